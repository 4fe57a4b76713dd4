import { z } from 'zod';
import { END_REASON_IDS, type EndReasonId } from '@/core/wear/end-reasons';
import { dayEntry, HALVES } from '@/core/diary/day-entry';

const id = z.string().min(1).max(64);
/** Why it ended, as a list of choices gives it: empty until one is chosen. */
const endReason = z.enum(['', ...END_REASON_IDS]).transform((reason, context): EndReasonId => {
  if (reason !== '') return reason;
  context.addIssue({ code: 'custom', message: 'say why it ended' });
  return z.NEVER;
});

/** One day of wear, whole or of one half, over the revision that was seen. */
export const saveWearDayInput = z.strictObject({
  setId: id,
  date: z.string().regex(/^\d{4}-\d{2}-\d{2}$/, 'choose a day'),
  half: z.enum(HALVES),
  revision: z.int().min(0),
  entry: dayEntry,
});

/** What the form of an end holds. */
export const giveUpForm = z.strictObject({
  /** Last day it was still good. */
  date: z.string().regex(/^\d{4}-\d{2}-\d{2}$/, 'say which was the last day you were happy with it'),
  reason: endReason,
  note: z.string().trim().max(500, 'at most 500 letters'),
});
export type GiveUpValues = z.input<typeof giveUpForm>;
export const giveUpInput = z.strictObject({ setId: id, form: giveUpForm });
