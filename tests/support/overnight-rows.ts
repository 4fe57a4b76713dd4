import type { BriefInput } from '@/core/formats/brief';
import type { DryingMethodId } from '@/core/drying-methods';
import type { RoleId } from '@/core/products';
import type { TechniqueId } from '@/core/techniques';
import type { StartStateId } from '@/core/coefficients/start-states';
import { aBrief } from './briefs';

/** What practice says of a set: middle hours between two, and a chance after some hours between two (common practice). */
export interface PracticeRow {
  readonly name: string;
  readonly lengthCm: number;
  readonly technique: TechniqueId;
  readonly sections: number;
  readonly start: StartStateId;
  readonly layers: readonly (RoleId | readonly [RoleId, grams: number])[];
  readonly drying?: readonly (readonly [DryingMethodId, hours: number])[];
  readonly set?: Partial<BriefInput['set']>;
  readonly room?: { readonly relativeHumidity: number };
  readonly middleH?: readonly [number, number];
  readonly chances?: readonly (readonly [afterH: number, low: number, high: number])[];
}

/** As long as it takes: chances are asked after some hours of it. */
const NIGHT = [['bonnet', 48]] as const;

/** The trade's check values of whole forecasts: covered nights, misted hair, knots and formers (trade §5). */
export const PRACTICE_ROWS: readonly PracticeRow[] = [
  { name: '8 large twists, damp, in air: most of a day, roots doubtful next morning', lengthCm: 25, technique: 'two-strand-twist', sections: 8, start: 'damp', layers: ['leave-in', 'cream', 'gel'], middleH: [12, 26], chances: [[10, 0, 0.5]] },
  { name: '24 braids with little product, in air: 6 to 8 h', lengthCm: 25, technique: 'braid', sections: 24, start: 'damp', layers: [['leave-in', 6], ['cream', 7]], middleH: [5, 9] },
  { name: '15 wet knots in air: two and a half days', lengthCm: 25, technique: 'bantu-knot', sections: 15, start: 'wet', layers: ['leave-in', 'gel'], set: { endsMethod: 'tucked' }, middleH: [45, 85] },
  { name: '20 misted twists with a little cream, in air: about an hour', lengthCm: 25, technique: 'two-strand-twist', sections: 20, start: 'stretched-misted', layers: [['cream', 5]], middleH: [0.7, 2] },
  { name: '100 short gel coils under a hot hood: half an hour', lengthCm: 8, technique: 'finger-coil', sections: 100, start: 'damp', layers: ['leave-in', 'gel'], set: { endsMethod: 'twisted' }, drying: [['hood-hot', 0.5]], middleH: [0.3, 0.9] },
  { name: '18 damp twists, blotted, in a bonnet: taken down next morning', lengthCm: 22, technique: 'two-strand-twist', sections: 18, start: 'damp', layers: ['leave-in', 'cream', 'butter'], drying: NIGHT, middleH: [6, 12], chances: [[10, 0.35, 0.9]] },
  { name: '15 damp twists of 24 cm in a bonnet', lengthCm: 24, technique: 'two-strand-twist', sections: 15, start: 'damp', layers: ['leave-in', 'cream', 'butter'], drying: NIGHT, middleH: [6, 12], chances: [[10, 0.35, 0.9]] },
  { name: '20 damp twists of 20 cm in a bonnet', lengthCm: 20, technique: 'two-strand-twist', sections: 20, start: 'damp', layers: ['leave-in', 'cream', 'butter'], drying: NIGHT, middleH: [6, 12], chances: [[10, 0.35, 0.9]] },
  { name: '18 damp braids with cream, in air: 6 to 8 h', lengthCm: 22, technique: 'braid', sections: 18, start: 'damp', layers: ['cream'], middleH: [6, 8] },
  { name: '20 damp braids with leave-in and cream, in air: 6 to 8 h', lengthCm: 22, technique: 'braid', sections: 20, start: 'damp', layers: ['leave-in', 'cream'], middleH: [6, 8] },
  { name: '18 damp braids with cream in a bonnet: a night is enough more often than not', lengthCm: 22, technique: 'braid', sections: 18, start: 'damp', layers: ['cream'], drying: NIGHT, middleH: [6, 11], chances: [[10, 0.5, 1]] },
  { name: '20 damp braids with leave-in and cream in a bonnet', lengthCm: 22, technique: 'braid', sections: 20, start: 'damp', layers: ['leave-in', 'cream'], drying: NIGHT, middleH: [6, 11] },
  { name: '10 three-strand twists, pomade, plaited roots, scarf: next day, in less than 24 h', lengthCm: 22, technique: 'three-strand-twist', sections: 10, start: 'damp', layers: ['leave-in', 'pomade'], set: { rootMethod: 'braided' }, drying: NIGHT, middleH: [8, 18], chances: [[24, 0.85, 1]] },
  { name: '7 flat twists, cream and gel, scarf: usually the next day', lengthCm: 22, technique: 'flat-twist', sections: 7, start: 'damp', layers: ['cream', 'gel'], drying: NIGHT, middleH: [8, 18] },
  { name: '7 flat twists in air', lengthCm: 22, technique: 'flat-twist', sections: 7, start: 'damp', layers: ['cream', 'gel'], middleH: [6, 18] },
  { name: '4 very large twists, scarf: roots doubtful next morning, dry within a day', lengthCm: 22, technique: 'two-strand-twist', sections: 4, start: 'damp', layers: ['cream'], drying: NIGHT, middleH: [12, 24], chances: [[10, 0, 0.5]] },
  // No row bounds rods from below; nobody takes them down in the evening they were put in (our reading).
  { name: '60 small rods on short hair: a night is enough, an evening is not', lengthCm: 10, technique: 'rod-set', sections: 60, start: 'damp', layers: ['leave-in', 'mousse'], set: { endsMethod: 'pasted', tool: { diameterMm: 10, workingLengthMm: 60 } }, drying: NIGHT, middleH: [3, 9], chances: [[9, 0.75, 1], [2, 0, 0.1]] },
  { name: '60 small rods on 14 cm: a night is enough, an evening is not', lengthCm: 14, technique: 'rod-set', sections: 60, start: 'damp', layers: ['leave-in', 'mousse'], set: { endsMethod: 'pasted', tool: { diameterMm: 10, workingLengthMm: 60 } }, drying: NIGHT, middleH: [4, 9], chances: [[9, 0.75, 1], [2, 0, 0.05]] },
  { name: '12 wet braids with rods on the ends: one night is not enough, two are', lengthCm: 22, technique: 'braid', sections: 12, start: 'wet', layers: ['leave-in', 'cream'], set: { endsMethod: 'rod', tool: { diameterMm: 13, workingLengthMm: 60 } }, drying: [['bonnet', 10], ['air', 14], ['bonnet', 10]], chances: [[10, 0, 0.4], [34, 0.75, 1]] },
  { name: '18 twists set wet at two in the morning: not by the same morning', lengthCm: 22, technique: 'two-strand-twist', sections: 18, start: 'wet', layers: ['leave-in', 'cream', 'butter'], drying: [['bonnet', 6], ['air', 16], ['bonnet', 8]], chances: [[6, 0, 0.1], [30, 0.75, 1]] },
  { name: '20 misted twists with a full dose of cream, in air', lengthCm: 22, technique: 'two-strand-twist', sections: 20, start: 'stretched-misted', layers: ['cream'], middleH: [0.7, 2] },
  { name: '20 misted twists with nothing on them, in dry air', lengthCm: 22, technique: 'two-strand-twist', sections: 20, start: 'stretched-misted', layers: [], room: { relativeHumidity: 0.2 }, middleH: [0.2, 1.5] },
  { name: '20 misted twists with nothing on them', lengthCm: 22, technique: 'two-strand-twist', sections: 20, start: 'stretched-misted', layers: [], middleH: [0.2, 1.5] },
  { name: '15 knots on blown-out hair under a cool hood: about an hour and a half', lengthCm: 22, technique: 'bantu-knot', sections: 15, start: 'stretched-dry', layers: ['leave-in', 'cream'], set: { endsMethod: 'tucked' }, drying: [['hood-cool', 2]], middleH: [1.1, 1.9] },
  { name: '15 knots on blown-out hair under a hot hood: about an hour', lengthCm: 22, technique: 'bantu-knot', sections: 15, start: 'stretched-dry', layers: ['leave-in', 'cream'], set: { endsMethod: 'tucked' }, drying: [['hood-hot', 2]], middleH: [0.75, 1.3] },
  { name: 'the same overnight, then half an hour of hood', lengthCm: 22, technique: 'bantu-knot', sections: 15, start: 'stretched-dry', layers: ['leave-in', 'cream'], set: { endsMethod: 'tucked' }, drying: [['bonnet', 8], ['hood-hot', 0.5]], middleH: [4, 8.6] },
  { name: '30 flexible rods set nearly dry: an evening, then 20 min of hood for the roots', lengthCm: 22, technique: 'flexible-rod-set', sections: 30, start: 'nearly-dry', layers: ['leave-in', 'mousse'], set: { endsMethod: 'pasted', tool: { diameterMm: 16, workingLengthMm: 200 } }, drying: [['air', 4], ['hood-warm', 0.4]], middleH: [3, 5.33] },
  { name: '80 long finger coils with a diffuser: 40 min and more', lengthCm: 25, technique: 'finger-coil', sections: 80, start: 'damp', layers: ['leave-in', 'gel'], set: { endsMethod: 'twisted' }, drying: [['diffuser', 4]], middleH: [0.67, 1.5] },
  { name: '40 misted formers: within 90 min of hood and 90 min standing', lengthCm: 22, technique: 'spiral-former', sections: 40, start: 'stretched-misted', layers: ['leave-in', 'mousse'], set: { tool: { diameterMm: 16, workingLengthMm: 300 } }, drying: [['hood-warm', 1.5], ['air', 1.5]], middleH: [1, 3] },
]; // prettier-ignore

/** The brief of a row. */
export const briefOfRow = (row: PracticeRow): BriefInput =>
  aBrief({
    head: { stretchedLengthCm: row.lengthCm },
    set: {
      technique: row.technique,
      sections: row.sections,
      startState: row.start,
      layers: row.layers.map((layer) =>
        typeof layer === 'string' ? { role: layer } : { role: layer[0], grams: layer[1] },
      ),
      ...row.set,
    },
    room: row.room ?? {},
    brief: {
      drying: (row.drying ?? [['air', 8] as const]).map(([method, hours]) => ({ method, hours })),
      draws: 400,
    },
  });
