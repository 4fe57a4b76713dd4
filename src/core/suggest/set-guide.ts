import { DENSITY_PER_CM2, STRAND_UM, type Porosity } from '../coefficients/hair';
import type { Brief } from '../brief/brief';
import { byEye } from '../parting/by-eye';
import { perZone } from '../hair/zone';
import { techniqueOf, type TechniqueId } from '../techniques';
import { ask, contextOf, timesOf, type Wish } from './ask';
import { Search, type Pick } from './search';
import { routeWords, stackWords } from './words';

/** Typical coils and lengths that a guide goes through (common practice). */
export const GUIDE_COILS = {
  tight: { label: 'tight coils', coilMm: 4.5, shrinkage: 0.68 },
  medium: { label: 'medium coils', coilMm: 8, shrinkage: 0.5 },
  loose: { label: 'loose coils', coilMm: 18, shrinkage: 0.3 },
} as const;
export const GUIDE_LENGTHS = {
  short: { label: 'short', cm: 8 },
  medium: { label: 'medium', cm: 22 },
  long: { label: 'long', cm: 42 },
} as const;
export type GuideCoil = keyof typeof GUIDE_COILS;
export type GuideLength = keyof typeof GUIDE_LENGTHS;
export type GuideStrand = keyof typeof STRAND_UM;

/** One typical head of hair. */
export interface GuideHair {
  readonly strand: GuideStrand;
  readonly coil: GuideCoil;
  readonly length: GuideLength;
}

/** Techniques that a guide has a column for. */
export const GUIDE_TECHNIQUES = [
  'two-strand-twist',
  'three-strand-twist',
  'flat-twist',
  'braid',
  'bantu-knot',
  'rod-set',
  'flexible-rod-set',
  'finger-coil',
] as const satisfies readonly TechniqueId[];

/** What one technique comes to on one head of hair, in words and figures; null where the hair cannot carry it. */
export interface GuideCell {
  readonly technique: TechniqueId;
  readonly sections: number;
  /** Side of a section, cm; and by eye. */
  readonly sideCm: number;
  readonly byEye: string;
  readonly toolMm: number | null;
  readonly layers: string;
  readonly startState: Brief['set']['startState'];
  readonly route: string;
  readonly chance: number | null;
  readonly days: number;
  readonly definition: number;
  readonly stretch: number;
  readonly workMin: number;
}

/** One row: a head of hair, and what each technique comes to on it. */
export interface GuideRow {
  readonly hair: GuideHair;
  readonly cells: readonly (GuideCell | null)[];
}

/** Every head of hair of a guide, in the order it is read. */
export const GUIDE_HAIRS: readonly GuideHair[] = (Object.keys(GUIDE_LENGTHS) as GuideLength[]).flatMap(
  (length) =>
    (Object.keys(STRAND_UM) as GuideStrand[]).flatMap((strand) =>
      (Object.keys(GUIDE_COILS) as GuideCoil[]).map((coil) => ({ strand, coil, length })),
    ),
);

/** A head that stands for a row: everything else about it as is usual. */
export const guideHead = ({ strand, coil, length }: GuideHair, porosity: Porosity): Brief['head'] => ({
  circumferenceCm: 56,
  densityPerCm2: DENSITY_PER_CM2.medium,
  strandDiameterUm: STRAND_UM[strand],
  naturalCoilDiameterMm: GUIDE_COILS[coil].coilMm,
  zoneCoilMm: {},
  shrinkage: GUIDE_COILS[coil].shrinkage,
  porosity,
  conditions: [],
  stretchedLengthCm: perZone(() => GUIDE_LENGTHS[length].cm),
  notKnown: [],
});

/** Runs of the drying model for each cell. */
const BUDGET = 8;

const cellOf = ({ way, weighed, node }: Pick): GuideCell => {
  const areaCm2 =
    node.alike.reduce((sum, { section, count }) => sum + count * section.areaCm2, 0) / way.set.sections;
  const sideCm = Math.sqrt(areaCm2);
  return {
    technique: way.set.technique,
    sections: way.set.sections,
    sideCm,
    byEye: byEye(sideCm),
    toolMm: techniqueOf(way.set.technique).tool ? (way.set.tool?.diameterMm ?? null) : null,
    layers: stackWords(way.stack),
    startState: way.startState,
    route: routeWords(way.route),
    chance: weighed.chance,
    days: weighed.days,
    definition: weighed.definition,
    stretch: weighed.stretch,
    workMin: weighed.handsOnMin,
  };
};

/**
 * A table of textures: for each typical head of hair, what each technique would be done with. One row at a time.
 *
 * @param wish means, room and times; its head is not looked at
 */
export function* setGuide(wish: Wish, porosity: Porosity): Generator<GuideRow, readonly GuideRow[]> {
  const rows: GuideRow[] = [];
  for (const hair of GUIDE_HAIRS) {
    const base = { ...wish.base, head: guideHead(hair, porosity) };
    const search = new Search(ask({ ...wish, base }, contextOf(base)), timesOf(base));
    const cells = GUIDE_TECHNIQUES.map((technique) => {
      const best = search.bestOfTechnique(technique, BUDGET);
      return best && Object.keys(best.way.set.zones).length === 0 ? cellOf(best) : null;
    });
    const row = { hair, cells };
    rows.push(row);
    yield row;
  }
  return rows;
}
