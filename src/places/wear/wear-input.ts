import { z } from 'zod';
import { NIGHT_CARE_IDS } from '@/core/coefficients/night-care';
import { END_REASON_IDS } from '@/core/wear/end-reasons';
import { bounded, choice } from '@/core/formats/field';

const id = z.string().min(1).max(64);
const date = z.string().regex(/^\d{4}-\d{2}-\d{2}$/, 'choose a day');
const rating = (label: string) =>
  bounded(label, 0, 10).refine((value) => Number.isInteger(value * 2), `${label}: whole or half points`);

export const wearDayInput = z.strictObject({
  setId: id,
  date,
  revision: z.int().min(0),
  definition: rating('definition'),
  frizz: rating('frizz'),
  volume: rating('volume'),
  moisture: rating('moisture'),
  shine: rating('shine'),
  night: choice('night care', NIGHT_CARE_IDS),
  visibleLengthCm: bounded('visible length', 1, 120, 'cm').nullable(),
  note: z.string().trim().max(500, 'at most 500 letters'),
});

export const giveUpInput = z.strictObject({
  setId: id,
  /** Last day it was still good. */
  date: z.string().regex(/^\d{4}-\d{2}-\d{2}$/, 'say which was the last day you were happy with it'),
  reason: z.enum(END_REASON_IDS, { error: 'say why it ended' }),
  note: z.string().trim().max(500, 'at most 500 letters'),
});
