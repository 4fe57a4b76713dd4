import fc from 'fast-check';
import { CONDITIONS, type BriefInput } from '@/core/formats/brief';
import { readBrief } from '@/core/formats/read-brief';
import { DRYING_METHOD_IDS } from '@/core/drying-methods';
import { PREP_STEP_IDS } from '@/core/coefficients/prep-steps';
import { START_STATE_IDS } from '@/core/coefficients/start-states';
import { ZONES } from '@/core/hair/zone';
import { PART_LINES, PARTING_PATTERNS } from '@/core/parting/pattern';
import { ROLE_IDS } from '@/core/products';
import { TECHNIQUE_IDS, techniqueOf } from '@/core/techniques';
import { NIGHT_CARE_IDS } from '@/core/coefficients/night-care';
import type { Brief } from '@/core/brief/brief';

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
    // Few, for many are worked out; what must be exact asks for more.
    draws: 60,
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
const layers = fc.array(fc.constantFrom(...ROLE_IDS), { maxLength: 4 });

const anyHead = fc.record({
  lengths: fc.array(double(1, 80), { minLength: ZONES.length, maxLength: ZONES.length }),
  circumferenceCm: double(46, 66),
  densityPerCm2: double(60, 320),
  strandDiameterUm: double(40, 110),
  naturalCoilDiameterMm: double(1, 40),
  shrinkage: double(0, 0.9),
  porosity: fc.constantFrom('low' as const, 'medium' as const, 'high' as const),
  conditions: fc.subarray([...CONDITIONS], { maxLength: 3 }),
});

/** A technique with root, ends and tool that it can carry. */
const anyWay = fc
  .record({
    technique: fc.constantFrom(...TECHNIQUE_IDS),
    root: fc.nat(),
    ends: fc.nat(),
    diameterMm: double(4, 40),
    workingLengthMm: double(30, 300),
  })
  .map(({ technique: id, root, ends, diameterMm, workingLengthMm }) => {
    const technique = techniqueOf(id);
    return {
      technique: id,
      rootMethod: technique.rootMethods[root % technique.rootMethods.length]!,
      endsMethod: technique.endsMethods[ends % technique.endsMethods.length]!,
      tool: { diameterMm, workingLengthMm },
    };
  });

/** Any valid brief. Few draws, for many are made. */
export const anyBrief: fc.Arbitrary<BriefInput> = fc
  .record({
    head: anyHead,
    way: anyWay,
    sections: fc.integer({ min: 2, max: 120 }),
    startState: fc.constantFrom(...START_STATE_IDS),
    roles: layers,
    brushedThrough: fc.boolean(),
    blotted: fc.boolean(),
    zones: fc.dictionary(
      fc.constantFrom(...ZONES),
      fc.record({ way: anyWay, sections: fc.option(fc.integer({ min: 1, max: 20 }), { nil: undefined }) }),
      { maxKeys: 3 },
    ),
    parting: fc.record({
      pattern: fc.constantFrom(...PARTING_PATTERNS),
      part: fc.constantFrom(...PART_LINES),
      trial: fc.boolean(),
      zoneSize: fc.record({ crown: double(0.6, 1.8), nape: double(0.6, 1.8) }),
    }),
    room: fc.record({
      temperatureC: double(5, 45),
      relativeHumidity: double(0, 1),
      dewPointOutsideC: double(-30, 30),
    }),
    wear: fc.record({
      night: fc.constantFrom(...NIGHT_CARE_IDS),
      separations: fc.integer({ min: 1, max: 8 }),
      fluffing: fc.integer({ min: 0, max: 3 }),
      hands: fc.constantFrom('oiled' as const, 'bare' as const),
    }),
    drying: fc.array(fc.record({ method: fc.constantFrom(...DRYING_METHOD_IDS), hours: double(0.1, 12) }), {
      maxLength: 3,
    }),
    prep: fc.option(
      fc.subarray([...PREP_STEP_IDS]).map((steps) => steps.map((step) => ({ step }))),
      { nil: undefined },
    ),
    sleep: fc.option(fc.constant({ from: '23:00', until: '07:00' }), { nil: undefined }),
    pace: double(0.5, 2),
    draws: fc.constantFrom(0, 12),
    seed: fc.nat(),
  })
  .map(({ head, way, zones, roles, ...any }): BriefInput => {
    const { lengths, ...measured } = head;
    const isTrial = any.parting.trial;
    return {
      format: 'keen-spiral/brief',
      version: 1,
      head: {
        ...measured,
        stretchedLengthCm: Object.fromEntries(ZONES.map((zone, i) => [zone, lengths[i]!])) as Record<
          (typeof ZONES)[number],
          number
        >,
      },
      set: {
        ...way,
        sections: isTrial ? 2 * Math.ceil(any.sections / 2) : any.sections,
        startState: any.startState,
        brushedThrough: any.brushedThrough,
        blotted: any.blotted,
        // In a trial every other layer goes on one half.
        layers: roles.map((role, i) => ({
          role,
          ...(isTrial && i % 2 === 1 ? { half: i % 4 === 1 ? ('left' as const) : ('right' as const) } : {}),
        })),
        zones: Object.fromEntries(
          Object.entries(zones).map(([zone, own]) => [
            zone,
            { ...own.way, ...(own.sections && !isTrial ? { sections: own.sections } : {}) },
          ]),
        ),
      },
      parting: any.parting,
      wear: any.wear,
      room: any.room,
      drying: any.drying,
      ...(any.prep ? { prep: any.prep } : {}),
      ...(any.sleep ? { sleep: any.sleep } : {}),
      pace: any.pace,
      draws: any.draws,
      seed: any.seed,
      wearBy: '2027-03-13T09:00:00-06:00',
    };
  });
