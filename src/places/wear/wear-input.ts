import { z } from 'zod';
import { MOST_NAME_LETTERS } from '@/core/run/run-event';
import { NIGHT_CARE_IDS } from '@/core/coefficients/night-care';
import type { HalfOutcome } from '@/core/diary/outcome';
import { END_REASON_IDS, endReasons } from '@/core/wear/end-reasons';
import { RATING_IDS } from '@/core/wear/rating-scales';
import { viewMarks } from '@/core/diary/photo';
import { PHOTO_MEASURE_IDS, photoMeasure } from '@/core/diary/photo-measure';
import { dayEntry } from '@/core/diary/day-entry';
import { HALVES } from '@/core/hair/half';

const id = z.string().min(1).max(64);
/** One day of wear, whole or of one half, over the revision that was seen. */
export const saveWearDayInput = z.strictObject({
  setId: id,
  date: z.string().regex(/^\d{4}-\d{2}-\d{2}$/, 'choose a day'),
  half: z.enum(HALVES),
  revision: z.int().min(0),
  entry: dayEntry,
  /** The name that the hand at this device goes by; null where it goes by none. */
  by: z.string().trim().max(MOST_NAME_LETTERS).nullable().default(null),
});

/** A second look at a day that somebody else rated. */
export const secondLookInput = z.strictObject({
  setId: id,
  date: z.string().regex(/^\d{4}-\d{2}-\d{2}$/, 'choose a day'),
  by: z
    .string()
    .trim()
    .min(1, 'say who rates')
    .max(MOST_NAME_LETTERS, `a name of at most ${MOST_NAME_LETTERS} letters`),
  ratings: dayEntry.shape.ratings.unwrap(),
});

/** What the form of an end holds. */
export const giveUpForm = z
  .strictObject({
    half: z.enum(HALVES),
    /** Last day it was still good, as a list of days gives it: null until one is chosen. */
    lastGoodDay: z.int().min(0).nullable(),
    /** Empty until one is chosen. */
    reason: z.enum(['', ...END_REASON_IDS]),
    /** Whether it would have gone another day: empty until it is said. */
    goesOn: z.enum(['', 'yes', 'no']),
    isRecalled: z.boolean(),
    best: z.enum(['', ...RATING_IDS]),
    worst: z.enum(['', ...RATING_IDS]),
    night: z.enum(['', ...NIGHT_CARE_IDS]),
    note: z.string().trim().max(500, 'at most 500 letters'),
  })
  .transform((form, context): HalfOutcome => {
    const { half, lastGoodDay, reason, goesOn, isRecalled, best, worst, night, note } = form;
    const say = (path: string, message: string) =>
      context.addIssue({ code: 'custom', path: [path], message });
    if (lastGoodDay === null) say('lastGoodDay', 'say which was the last day you were happy with it');
    if (reason === '') say('reason', 'say why it ended');
    const ended = reason === '' ? 'unknown' : reason;
    if (endReasons[ended].asks && goesOn === '')
      say('goesOn', 'say whether it would have gone another day: what had begun to fail would not');
    if (isRecalled && best !== '' && best === worst)
      say('worst', 'the best and the worst cannot be the same');
    return {
      half,
      lastGoodDay: lastGoodDay ?? 0,
      reason: ended,
      wouldHaveGoneOn: endReasons[ended].asks ? goesOn === 'yes' : null,
      note,
      recalled: isRecalled ? { best: best || null, worst: worst || null, night: night || null } : null,
    };
  });
export type GiveUpValues = z.input<typeof giveUpForm>;
export const giveUpInput = z.strictObject({ setId: id, form: giveUpForm });

/** What was measured on a picture. */
export const keepMeasuresInput = z.object({
  photoId: z.string(),
  measures: z.array(photoMeasure).min(1, 'measure something first').max(PHOTO_MEASURE_IDS.length),
});

/** Where a view is marked on a picture. */
export const keepMarksInput = z.object({ photoId: z.string(), marks: viewMarks });

/** A take-home diary that is brought back: its text, or what a camera read, with or without other words. */
export const homeDiaryInput = z.object({
  setId: z.string(),
  text: z.string().min(1, 'paste the text of the diary').max(100_000, 'this is too long for a diary'),
});
