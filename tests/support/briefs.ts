import fc from 'fast-check';
import type { BriefInput } from '@/core/formats/brief';
import { readBrief } from '@/core/formats/read-brief';
import { DRYING_METHOD_IDS } from '@/core/drying-methods';
import { START_STATE_IDS } from '@/core/coefficients/start-states';
import { ROLE_IDS } from '@/core/products';
import { TECHNIQUE_IDS, techniqueOf } from '@/core/techniques';
import { NIGHT_CARE_IDS } from '@/core/coefficients/night-care';
import type { Brief } from '@/core/plan/brief';

type Part<K extends keyof BriefInput> = Partial<Extract<BriefInput[K], object>>;

/** The head and set of the whole-forecast checks: 18 damp two-strand twists, foam hold, coiled ends. */
export function aBrief(
  change: {
    head?: Part<'head'>;
    set?: Part<'set'>;
    wear?: Part<'wear'>;
    room?: Part<'room'>;
    brief?: Partial<BriefInput>;
  } = {},
): BriefInput {
  return {
    format: 'keen-spiral/brief',
    version: 1,
    head: {
      circumferenceCm: 56,
      densityPerCm2: 165,
      strandDiameterUm: 70,
      naturalCoilDiameterMm: 6,
      shrinkage: 0.6,
      stretchedLengthCm: 25,
      ...change.head,
    },
    set: {
      technique: 'two-strand-twist',
      sections: 18,
      endsMethod: 'finger-coiled',
      startState: 'damp',
      layers: [{ role: 'mousse' }],
      ...change.set,
    },
    wear: { night: 'gather-and-bonnet', separations: 2, fluffing: 1, hands: 'oiled', ...change.wear },
    room: { temperatureC: 22, relativeHumidity: 0.45, dewPointOutsideC: 12, ...change.room },
    ...change.brief,
  };
}

/** A brief read, or a failing test that says why it was refused. */
export function readOrThrow(input: BriefInput): Brief {
  const read = readBrief(input);
  if (!read.ok) throw new Error(read.errors.map((error) => `${error.path}: ${error.message}`).join('; '));
  return read.value;
}

const double = (min: number, max: number) => fc.double({ min, max, noNaN: true });

/** Any valid brief of this version. */
export const anyBrief: fc.Arbitrary<BriefInput> = fc
  .record({
    technique: fc.constantFrom(...TECHNIQUE_IDS),
    sections: fc.integer({ min: 2, max: 120 }),
    startState: fc.constantFrom(...START_STATE_IDS),
    root: fc.nat(),
    ends: fc.nat(),
    roles: fc.array(fc.constantFrom(...ROLE_IDS), { maxLength: 4 }),
    lengths: fc.array(double(1, 80), { minLength: 6, maxLength: 6 }),
    density: double(60, 320),
    strand: double(40, 110),
    coil: double(1, 40),
    shrinkage: double(0, 0.9),
    porosity: fc.constantFrom('low' as const, 'medium' as const, 'high' as const),
    circumference: double(46, 66),
    rod: double(4, 40),
    rodLength: double(30, 150),
    temperature: double(5, 45),
    humidity: double(0, 1),
    dew: double(-30, 30),
    night: fc.constantFrom(...NIGHT_CARE_IDS),
    separations: fc.integer({ min: 1, max: 8 }),
    fluffing: fc.integer({ min: 0, max: 3 }),
    drying: fc.array(fc.record({ method: fc.constantFrom(...DRYING_METHOD_IDS), hours: double(0.1, 12) }), {
      maxLength: 3,
    }),
  })
  .map((any): BriefInput => {
    const technique = techniqueOf(any.technique);
    const [front, crown, left, right, back, nape] = any.lengths as [
      number,
      number,
      number,
      number,
      number,
      number,
    ];
    return {
      format: 'keen-spiral/brief',
      version: 1,
      head: {
        circumferenceCm: any.circumference,
        densityPerCm2: any.density,
        strandDiameterUm: any.strand,
        naturalCoilDiameterMm: any.coil,
        shrinkage: any.shrinkage,
        porosity: any.porosity,
        stretchedLengthCm: { front, crown, left, right, back, nape },
      },
      set: {
        technique: any.technique,
        sections: any.sections,
        rootMethod: technique.rootMethods[any.root % technique.rootMethods.length]!,
        endsMethod: technique.endsMethods[any.ends % technique.endsMethods.length]!,
        startState: any.startState,
        tool: technique.tool ? { diameterMm: any.rod, workingLengthMm: any.rodLength } : null,
        layers: any.roles.map((role) => ({ role })),
      },
      wear: { night: any.night, separations: any.separations, fluffing: any.fluffing, hands: 'oiled' },
      room: { temperatureC: any.temperature, relativeHumidity: any.humidity, dewPointOutsideC: any.dew },
      drying: any.drying,
      wearBy: '2027-03-13T09:00:00-06:00',
    };
  });
