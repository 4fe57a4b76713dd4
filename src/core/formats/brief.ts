import { z } from 'zod';
import {
  HEAD_RANGES,
  LAYER_RANGES,
  ROOM_RANGES,
  MOST_DRYING_STEPS,
  MOST_LAYERS,
  MOST_NOTE,
  SET_RANGES,
  TOOL_RANGES,
  USUAL_HEAD,
  USUAL_ROOM,
  DRYER_RANGES,
} from './ranges';
import { ENDS_METHOD_IDS, ROOT_METHOD_IDS } from '../coefficients/root-and-ends';
import { POROSITY, type Porosity } from '../coefficients/hair';
import { UNKNOWN_HEAD_LN_SD } from '../coefficients/drying';
import { LEARNT_OUTCOMES, type LearntOutcome } from '../coefficients/evidence';
import { NIGHT_CARE_IDS } from '../coefficients/night-care';
import { UNKNOWN_HAND_LN_SD } from '../coefficients/pace';
import { PREP_STEP_IDS } from '../coefficients/prep-steps';
import { START_STATE_IDS } from '../coefficients/start-states';
import { AFTERWARDS_IDS } from '../coefficients/afterwards';
import { FASTENED_IDS } from '../coefficients/fastened';
import { HAND_IDS } from '../coefficients/hands';
import { TAKEDOWN_HANDS_IDS } from '../coefficients/takedown-hands';
import { DRYING_METHOD_IDS } from '../drying-methods';
import { KNOWABLE } from '../hair/head';
import { SIDES } from '../hair/half';
import { ZONES } from '../hair/zone';
import { MAX_SECTIONS, MIN_SECTIONS, MOST_BACK_ROWS } from '../parting/generate';
import { PART_LINES, PARTING_PATTERNS } from '../parting/pattern';
import { ROLE_IDS } from '../products';
import { WINDING_PATTERN_IDS } from '../parting/winding';
import { TECHNIQUE_IDS } from '../techniques';
import { KNOT_PREPARED_IDS } from '../techniques/knot-way';
import { bounded, boundedInt, choice, wholeWithin, within } from './field';
import { upgradedPartingWish } from './older-parting';
import { recipeInput } from './recipe';

/** What may be noted of hair and scalp, and of who wears it. */
export const CONDITIONS = [
  'bleached', 'coloured', 'heat-damaged', 'transitioning', 'due-a-trim', 'blunt-trim', 'tapered-cut', 'sore-scalp',
  'flaking-scalp', 'child', 'protein-sensitive',
] as const; // prettier-ignore
export type Condition = (typeof CONDITIONS)[number];

const lengthCm = (label: string) => within(label, HEAD_RANGES.stretchedLengthCm, 'cm');

const stretchedLengthCm = z.union(
  [
    lengthCm('stretched length'),
    z.strictObject(
      Object.fromEntries(ZONES.map((zone) => [zone, lengthCm(`stretched length, ${zone},`)])) as Record<
        (typeof ZONES)[number],
        ReturnType<typeof lengthCm>
      >,
    ),
  ],
  {
    error:
      'stretched length must be one number in cm, or one for each of front, crown, left, right, back, nape',
  },
);

/** What a head is, as measured on the day. */
export const headInput = z.strictObject({
  circumferenceCm: within('head circumference', HEAD_RANGES.circumferenceCm, 'cm').default(
    USUAL_HEAD.circumferenceCm,
  ),
  densityPerCm2: within('density', HEAD_RANGES.densityPerCm2, 'hairs per cm²').optional(),
  ponytailCircumferenceCm: within(
    'ponytail circumference',
    HEAD_RANGES.ponytailCircumferenceCm,
    'cm',
  ).optional(),
  strandDiameterUm: within('strand diameter', HEAD_RANGES.strandDiameterUm, 'µm').default(
    USUAL_HEAD.strandDiameterUm,
  ),
  naturalCoilDiameterMm: within('natural coil diameter', HEAD_RANGES.naturalCoilDiameterMm, 'mm').default(
    USUAL_HEAD.naturalCoilDiameterMm,
  ),
  zoneCoilMm: z
    .partialRecord(z.enum(ZONES), within('natural coil diameter', HEAD_RANGES.naturalCoilDiameterMm, 'mm'))
    .default({})
    .describe('where the coil differs from that: looser in front, tighter at the nape'),
  shrinkage: within('shrinkage (a share, not a percentage)', HEAD_RANGES.shrinkage).default(
    USUAL_HEAD.shrinkage,
  ),
  porosity: choice('porosity', Object.keys(POROSITY) as Porosity[]).default(USUAL_HEAD.porosity),
  stretchedLengthCm,
  conditions: z.array(choice('condition', CONDITIONS)).default([]),
  notKnown: z
    .array(choice('field of the head', KNOWABLE))
    .default([])
    .describe(
      'measured by nobody: what stands there is what is usual, and what hangs on it gets a wider range',
    ),
});

/** One size of rod, former or other tool as it is written. */
const sizeInput = z.strictObject({
  diameterMm: within('rod diameter', TOOL_RANGES.diameterMm, 'mm'),
  workingLengthMm: within('rod working length', TOOL_RANGES.workingLengthMm, 'mm').optional(),
  owned: wholeWithin('rods owned', TOOL_RANGES.owned).default(0),
});

/** What a set is wound on: one size, or two that take turns. */
const toolInput = sizeInput.extend({
  alternate: sizeInput.optional().describe('every other section takes this size'),
});

/** One layer of product: its role, and what is known of the product itself. */
export const layerInput = z.strictObject({
  role: choice('product role', ROLE_IDS),
  grams: within('product dose', LAYER_RANGES.grams, 'g').optional(),
  waterShare: within('water share', LAYER_RANGES.waterShare).optional(),
  hold: within('hold', LAYER_RANGES.hold).optional(),
  weight: within('weight', LAYER_RANGES.weight).optional(),
  inHand: z
    .boolean()
    .optional()
    .describe('mixed in the hand with the layer before, section by section, without a batch'),
  protein: z.boolean().optional().describe('the product holds protein'),
  zones: z
    .array(choice('zone', ZONES))
    .min(1, 'name a zone that this layer goes on, or leave its zones out for everywhere')
    .optional()
    .describe('the only zones it goes on; everywhere when left out'),
  half: choice('half', SIDES)
    .optional()
    .describe('the only half it goes on, where two halves are compared; both when left out'),
});

/** What is different in one zone: a tapered cut mixes techniques, sizes and counts. */
export const zoneInput = z.strictObject({
  technique: choice('technique', TECHNIQUE_IDS).optional(),
  sections: boundedInt('number of sections in a zone', 1, MAX_SECTIONS)
    .optional()
    .describe('the zone is parted for itself, in addition to the sections of the set'),
  rootMethod: choice('root method', ROOT_METHOD_IDS).optional(),
  endsMethod: choice('ends method', ENDS_METHOD_IDS).optional(),
  tool: toolInput.nullable().optional(),
});

const perZone = <T extends z.ZodType>(field: (zone: (typeof ZONES)[number]) => T) =>
  z.strictObject(
    Object.fromEntries(ZONES.map((zone) => [zone, field(zone).optional()])) as Record<
      (typeof ZONES)[number],
      z.ZodOptional<T>
    >,
  );

/** What is done: technique, sections, roots, ends, tool and layers. */
export const setInput = z
  .strictObject({
    technique: choice('technique', TECHNIQUE_IDS),
    sections: boundedInt('number of sections', MIN_SECTIONS, MAX_SECTIONS).optional(),
    sectionSideCm: within('section side', SET_RANGES.sectionSideCm, 'cm').optional(),
    rootMethod: choice('root method', ROOT_METHOD_IDS).optional(),
    endsMethod: choice('ends method', ENDS_METHOD_IDS).optional(),
    startState: choice('start state', START_STATE_IDS).default('damp'),
    tool: toolInput.nullable().optional(),
    layers: z.array(layerInput).max(MOST_LAYERS, `a set takes at most ${MOST_LAYERS} layers`).default([]),
    brushedThrough: z.boolean().default(false),
    hand: choice('hand', HAND_IDS).default('usual').describe('how tightly it is worked'),
    knot: z
      .strictObject({
        turns: boundedInt('turns of a knot', 1, 6).optional().describe('all of it wound, when left out'),
        prepared: choice('how hair goes into a knot', KNOT_PREPARED_IDS).default('rolled'),
      })
      .prefault({}),
    fastened: choice('how flexible rods are closed', FASTENED_IDS).default('root'),
    blotted: z.boolean().default(true).describe('pressed with a towel once the products are in'),
    zones: perZone(() => zoneInput).optional(),
  })
  .refine((set) => set.sections !== undefined || set.sectionSideCm !== undefined, {
    path: ['sections'],
    error: `the number of sections is missing: give ${MIN_SECTIONS} to ${MAX_SECTIONS}, or a section side in cm`,
  });

/** The room it dries in and the weather it is worn in. */
export const roomInput = z.strictObject({
  temperatureC: within('room temperature', ROOM_RANGES.temperatureC, '°C').default(USUAL_ROOM.temperatureC),
  relativeHumidity: within('room humidity (a share, not a percentage)', ROOM_RANGES.relativeHumidity).default(
    USUAL_ROOM.relativeHumidity,
  ),
  dewPointOutsideC: within('dew point outdoors', ROOM_RANGES.dewPointOutsideC, '°C').default(
    USUAL_ROOM.dewPointOutsideC,
  ),
  closed: z
    .boolean()
    .default(false)
    .describe('a small room that is shut while hair dries in it, such as a bathroom'),
});

/** How it is taken down and looked after. */
export const wearInput = z.strictObject({
  night: choice('night care', NIGHT_CARE_IDS).default('gather-and-bonnet'),
  separations: wholeWithin('pieces each section is separated into', SET_RANGES.separations).default(2),
  fluffing: wholeWithin('fluffing', SET_RANGES.fluffing).default(1),
  hands: choice('hands at takedown', TAKEDOWN_HANDS_IDS).default('oiled'),
  after: z
    .array(choice('what goes on afterwards', AFTERWARDS_IDS))
    .max(AFTERWARDS_IDS.length, 'each of them once')
    .default([])
    .describe('on once it is taken down; no layer that has to dry'),
});

/** One step of drying; it lasts as long as it says. */
export const dryingInput = z.strictObject({
  method: choice('drying method', DRYING_METHOD_IDS),
  hours: within('drying time', SET_RANGES.dryingHours, 'h'),
  airSpeedMS: within('air speed at the hair', DRYER_RANGES.airSpeedMS, 'm/s')
    .optional()
    .describe('of the machine at hand; that of the method when left out'),
  airC: within('air temperature at the hair', DRYER_RANGES.airC, '°C').optional().describe('the same'),
});

/** One step before the set. */
export const prepInput = z.strictObject({
  step: choice('preparing step', PREP_STEP_IDS),
  minutes: within('preparing time', SET_RANGES.prepMinutes, 'min')
    .optional()
    .describe('the usual time when left out'),
  product: z
    .string()
    .trim()
    .min(1, 'name what it is done with, or leave it out')
    .max(60, 'a name of at most 60 letters')
    .optional()
    .describe('what it is done with: a mask, a mix of one’s own'),
});

const CLOCK = /^([01]\d|2[0-3]):[0-5]\d$/;
const clock = (label: string) => z.string().regex(CLOCK, `${label} must be a time of day such as 23:00`);

/** Hours of the night that no hands-on work is laid into. */
export const sleepInput = z
  .strictObject({ from: clock('sleep from'), until: clock('sleep until') })
  .refine(({ from, until }) => from !== until, {
    path: ['until'],
    error: 'sleep must last some time: give another hour to get up, or leave sleep out',
  });

const TIME = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2}(\.\d+)?)?(Z|[+-]\d{2}:\d{2})?$/;
const time = (label: string) =>
  z
    .string()
    .regex(
      TIME,
      `${label} must be a time such as 2027-03-13T09:00:00-06:00, or without the offset beside a timeZone`,
    );

/** Heads drawn when a brief does not say, and the belief in a head and a hand not learnt yet. */
export const DEFAULT_DRAWS = 400;
const DEFAULT_PACE = { median: 1, lnSd: UNKNOWN_HAND_LN_SD };
const DEFAULT_RATE = { median: 1, lnSd: UNKNOWN_HEAD_LN_SD };

/** A multiplier as one number, or as what was learnt of it: its middle value and how sure that is. */
const learnt = (label: string, lnSd: number) =>
  z
    .union(
      [
        bounded(label, 0.3, 3),
        z.strictObject({
          median: bounded(`${label}, median,`, 0.3, 3),
          lnSd: bounded(`${label}, standard deviation of its logarithm,`, 0, 1).default(lnSd),
        }),
      ],
      { error: `${label} must be a number from 0.3 to 3, or { median, lnSd }` },
    )
    .transform((value) => (typeof value === 'number' ? { median: value, lnSd } : value));

/** How far an outcome of a head may lie from the trade's, in its own unit: ln, points, points of 100. */
const LEARNT_REACH: Readonly<Record<LearntOutcome, number>> = {
  days: 2.4,
  definition: 10,
  stretch: 100,
  pace: 2.4,
  dryingRate: 2.4,
};
const MOST_LEARNT_SETS = 100_000;

const learntShift = (reach: number) =>
  z.strictObject({
    shift: bounded('what was learnt', -reach, reach),
    spread: bounded('spread, times the usual,', 0.05, 5),
    sd: bounded('spread of the next set', 0, reach)
      .optional()
      .describe('as the studio’s own log has it; left out until it does'),
    sets: boundedInt('sets it rests on', 0, MOST_LEARNT_SETS),
    worth: bounded('sets it is worth', 0, MOST_LEARNT_SETS),
  });
const learntOutcomes = z.strictObject(
  Object.fromEntries(LEARNT_OUTCOMES.map((id) => [id, learntShift(LEARNT_REACH[id]).optional()])) as Record<
    LearntOutcome,
    z.ZodOptional<ReturnType<typeof learntShift>>
  >,
);

/** What is learnt of the head from its own sets, technique by technique. */
export const learntInput = z.strictObject({
  techniques: z.partialRecord(z.enum(TECHNIQUE_IDS), learntOutcomes).default({}),
  others: learntOutcomes.default({}),
});

/** What past forecasts are put right by. */
export const correctionsInput = z.strictObject({
  dry: z
    .strictObject({
      shift: bounded('shift of a chance', -10, 10),
      slope: bounded('slope of a chance', 0.05, 5),
    })
    .nullable()
    .default(null),
  widths: z
    .strictObject({
      days: bounded('width of a band', 0.2, 5).optional(),
      definition: bounded('width of a band', 0.2, 5).optional(),
      stretch: bounded('width of a band', 0.2, 5).optional(),
      pace: bounded('width of a band', 0.2, 5).optional(),
    })
    .default({}),
});

const parting = z.strictObject({
  pattern: choice('parting pattern', PARTING_PATTERNS)
    .optional()
    .describe('the usual one of the technique when left out'),
  part: choice('part', PART_LINES).default('none'),
  trial: z.boolean().default(false).describe('two halves are compared: no section lies in both'),
  namesHidden: z
    .boolean()
    .default(false)
    .describe('products of one half are not named to who rates, until both halves are over'),
  backRows: boundedInt('rows at the back', 1, MOST_BACK_ROWS)
    .optional()
    .describe('as many as suit when left out'),
  zoneSize: perZone((zone) => within(`size of sections, ${zone},`, SET_RANGES.zoneSize)).optional(),
  winding: choice('winding', WINDING_PATTERN_IDS).default('usual'),
  recipe: recipeInput.optional(),
});
const partingInput = z.preprocess(upgradedPartingWish, parting) as unknown as typeof parting;

/** A brief as it is written: fields with defaults may be left out. */
export const briefInput = z
  .strictObject({
    format: z.literal('keen-spiral/brief', { error: 'format must be “keen-spiral/brief”' }),
    version: z.literal(1, { error: 'this version reads briefs of version 1' }),
    head: headInput,
    set: setInput,
    parting: partingInput.prefault({}),
    wear: wearInput.prefault({}),
    room: roomInput.prefault({}),
    prep: z
      .array(prepInput)
      .max(8, 'a set takes at most 8 steps of preparing')
      .optional()
      .describe('cleanse, condition and blot in one, when left out'),
    sleep: sleepInput.optional(),
    drying: z
      .array(dryingInput)
      .max(MOST_DRYING_STEPS, `a drying sequence takes at most ${MOST_DRYING_STEPS} steps`)
      .default([]),
    pace: learnt('pace', DEFAULT_PACE.lnSd).default(DEFAULT_PACE),
    dryingRate: learnt('drying rate', DEFAULT_RATE.lnSd).default(DEFAULT_RATE),
    learnt: learntInput
      .optional()
      .describe('what is learnt of this head; it takes the place of pace and dryingRate where it has them'),
    asIfUnknown: z.boolean().default(false).describe('forecast as if nothing were learnt of this head'),
    corrections: correctionsInput.optional().describe('what past forecasts of the studio are put right by'),
    startAt: time('startAt').optional(),
    wearBy: time('wearBy').optional(),
    timeZone: z.string().min(1).optional(),
    draws: boundedInt('draws', 0, 5000).default(DEFAULT_DRAWS),
    seed: boundedInt('seed', 0, 4294967295).default(1),
    note: z.string().max(MOST_NOTE, `a note of at most ${MOST_NOTE} letters`).default(''),
  })
  .meta({ title: 'Keen Spiral brief, version 1' });

export type BriefInput = z.input<typeof briefInput>;
export type ParsedBrief = z.output<typeof briefInput>;
export type HeadInput = z.input<typeof headInput>;
