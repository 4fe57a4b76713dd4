import { z } from 'zod';
import { DRYING_METHOD_IDS } from '../drying-methods';
import { ROLE_IDS } from '../products';
import { PART_LINES } from '../parting/pattern';
import { WANTS, MOST_WANTS } from '../coefficients/wants';
import { TECHNIQUE_IDS } from '../techniques';
import { DRAWER_KIND_IDS } from '../techniques/tool-kind';
import { briefInput, dryingInput, headInput, roomInput, sleepInput } from './brief';
import { choice, within, wholeWithin } from './field';
import { LAYER_RANGES, SET_RANGES, TOOL_RANGES } from './ranges';

/** Days that a set of a record may have lasted. */
const PAST_DAYS = { low: 0, high: 365 };

const text = (most: number) => z.string().max(most, `at most ${most} letters`);

/** A product that may be taken; what is left out is not known. */
const productInput = z.strictObject({
  id: text(64).optional(),
  name: text(120),
  role: choice('product role', ROLE_IDS),
  hold: within('hold', LAYER_RANGES.hold).optional(),
  weight: within('weight', LAYER_RANGES.weight).optional(),
  waterShare: within('water share', LAYER_RANGES.waterShare).optional(),
  protein: z.boolean().default(false),
  gramsLeft: z.number().min(0, 'grams left must not be negative').optional(),
  priceMinorPerG: z.number().min(0, 'a price must not be negative').optional(),
  ingredients: text(2000).default(''),
  useBy: z.iso.date('use-by must be a day such as 2027-03-12').optional(),
  unusable: z.boolean().default(false).describe('past its day, or a mix that is not made yet'),
});

const shelfToolInput = z.strictObject({
  kind: choice('kind of tool', DRAWER_KIND_IDS),
  diameterMm: within('rod diameter', TOOL_RANGES.diameterMm, 'mm'),
  workingLengthMm: within('rod working length', TOOL_RANGES.workingLengthMm, 'mm'),
  owned: wholeWithin('rods owned', TOOL_RANGES.owned),
});

const { method, airSpeedMS, airC } = dryingInput.shape;

/** What is at hand. */
const shelfInput = z.strictObject({
  products: z.array(productInput).max(500, 'a shelf of at most 500 products').optional(),
  tools: z.array(shelfToolInput).max(200, 'a drawer of at most 200 sizes').optional(),
  drying: z
    .array(
      z.union([choice('drying method', DRYING_METHOD_IDS), z.strictObject({ method, airSpeedMS, airC })]),
    )
    .optional()
    .describe('ways to dry; with what a machine gives at the hair where it is known'),
});

/** What somebody wants of a set: fields that are left out are not known, or not asked for. */
export const wishInput = z
  .strictObject({
    format: z.literal('keen-spiral/wish', { error: 'format must be “keen-spiral/wish”' }),
    version: z.literal(1, { error: 'this version reads wishes of version 1' }),
    head: headInput.partial(),
    wants: z
      .array(choice('want', WANTS))
      .max(MOST_WANTS, `at most ${MOST_WANTS} things can matter at once`)
      .refine((wants) => new Set(wants).size === wants.length, 'each thing that matters is named once')
      .default([]),
    technique: choice('technique', TECHNIQUE_IDS).nullable().default(null),
    wearBy: briefInput.shape.wearBy,
    startAt: briefInput.shape.startAt.nullable(),
    timeZone: briefInput.shape.timeZone,
    sleep: sleepInput.nullable().default({ from: '23:00', until: '07:00' }),
    handsOnHours: within('hands-on time', SET_RANGES.handsOnHours, 'h').nullable().default(null),
    sureness: within('sureness (a share, not a percentage)', SET_RANGES.sureness).default(0.8),
    shelf: shelfInput.default({}).describe('left out: every role, usual tools and every way to dry'),
    allergies: text(1000).default(''),
    schools: z
      .record(text(40), text(40))
      .default({})
      .describe('schools taken on this head before, by question'),
    past: z
      .array(
        z.strictObject({
          technique: choice('technique', TECHNIQUE_IDS),
          daysLasted: within('days lasted', PAST_DAYS, 'days'),
          daysForecast: within('days forecast', PAST_DAYS, 'days'),
          hasEnded: z
            .boolean()
            .default(true)
            .describe('it ended by itself; false where it was cut short while good'),
        }),
      )
      .max(500, 'a record of at most 500 sets')
      .default([])
      .describe('sets on this head that are over'),
    part: choice('part', PART_LINES).default('none'),
    room: roomInput.prefault({}),
    hand: briefInput.shape.set.shape.hand,
    pace: briefInput.shape.pace,
    dryingRate: briefInput.shape.dryingRate,
    learnt: briefInput.shape.learnt,
    asIfUnknown: briefInput.shape.asIfUnknown,
    corrections: briefInput.shape.corrections,
    seed: briefInput.shape.seed,
  })
  .meta({ title: 'Keen Spiral wish, version 1' });

export type WishInput = z.input<typeof wishInput>;
