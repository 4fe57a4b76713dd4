import { z } from 'zod';
import { NIGHT_CARE_IDS } from '../coefficients/night-care';
import { wholeWithin } from '../formats/field';
import { WEAR_DAYS } from '../formats/ranges';
import { END_REASON_IDS, endReasons } from '../wear/end-reasons';
import { HALVES } from '../hair/half';
import { RATING_IDS } from '../wear/rating-scales';

/** What somebody remembers of days that nobody wrote down. */
export const recalled = z.object({
  best: z.enum(RATING_IDS).nullable(),
  worst: z.enum(RATING_IDS).nullable(),
  night: z.enum(NIGHT_CARE_IDS).nullable(),
});
export type Recalled = z.output<typeof recalled>;

const told = z.object({
  lastGoodDay: wholeWithin('last good day', WEAR_DAYS),
  reason: z.enum(END_REASON_IDS, { error: 'say why it was given up' }),
  /** Whether it would have gone another day; null where that is not asked. */
  wouldHaveGoneOn: z.boolean().nullable().default(null),
  note: z.string().trim().max(500, 'at most 500 letters').default(''),
  /** Told afterwards, from memory; null where it was written down as it went. */
  recalled: recalled.nullable().default(null),
});
/** How a style, or one half of it, ended. */
export type Outcome = z.output<typeof told>;

/** An end, of a whole head or of one half. */
export const halfOutcome = told
  .extend({ half: z.enum(HALVES) })
  .transform((ended) => (endReasons[ended.reason].asks ? ended : { ...ended, wouldHaveGoneOn: null }));
export type HalfOutcome = z.output<typeof halfOutcome>;
