import { z } from 'zod';
import { NIGHT_CARE_IDS } from '@/core/coefficients/night-care';
import { END_REASON_IDS, type EndReasonId } from '@/core/wear/end-reasons';
import { ratingScales, type RatingId } from '@/core/wear/rating-scales';
import { listed } from '@/core/words/words';
import { bounded, choice, within } from '@/core/formats/field';

const id = z.string().min(1).max(64);
/** Why it ended, as a list of choices gives it: empty until one is chosen. */
const endReason = z.enum(['', ...END_REASON_IDS]).transform((reason, context): EndReasonId => {
  if (reason !== '') return reason;
  context.addIssue({ code: 'custom', message: 'say why it ended' });
  return z.NEVER;
});
const date = z.string().regex(/^\d{4}-\d{2}-\d{2}$/, 'choose a day');
/** What a hand can measure at the crown, cm. */
export const VISIBLE_LENGTH_CM = { low: 1, high: 120 } as const;
const rating = bounded('a rating', 0, 10).refine((value) => Number.isInteger(value * 2), {
  error: 'a rating: whole or half points',
});

/** Every scale rated; what is missing is asked for in one sentence. */
const ratings = z
  .strictObject({
    definition: rating.nullable(),
    frizz: rating.nullable(),
    volume: rating.nullable(),
    moisture: rating.nullable(),
    shine: rating.nullable(),
  } satisfies Record<RatingId, unknown>)
  .transform((given, context) => {
    const missing = ratingScales.filter(({ id }) => given[id] === null);
    if (missing.length === 0) return given as Record<RatingId, number>;
    const names = listed(missing.map(({ label }) => label.toLowerCase()));
    context.addIssue({ code: 'custom', message: `rate ${names} too` });
    return z.NEVER;
  });

/** What the form of a day of wear holds. */
export const wearDayForm = z
  .strictObject({
    date,
    revision: z.int().min(0),
    ratings,
    night: choice('night care', NIGHT_CARE_IDS),
    visibleLengthCm: within('visible length', VISIBLE_LENGTH_CM, 'cm').nullable(),
    note: z.string().trim().max(500, 'at most 500 letters'),
  })
  .transform(({ ratings: rated, ...entry }) => ({ ...entry, ...rated }));
export type WearDayValues = z.input<typeof wearDayForm>;
export const saveWearDayInput = z.strictObject({ setId: id, form: wearDayForm });

/** What the form of an end holds. */
export const giveUpForm = z.strictObject({
  /** Last day it was still good. */
  date: z.string().regex(/^\d{4}-\d{2}-\d{2}$/, 'say which was the last day you were happy with it'),
  reason: endReason,
  note: z.string().trim().max(500, 'at most 500 letters'),
});
export type GiveUpValues = z.input<typeof giveUpForm>;
export const giveUpInput = z.strictObject({ setId: id, form: giveUpForm });
