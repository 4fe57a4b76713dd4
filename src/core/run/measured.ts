import { z } from 'zod';
import { within } from '../formats/field';
import { ZONES } from '../hair/zone';
import { RATING_IDS } from '../wear/rating-scales';

/** What a tape reads of hair as it hangs, and of one curl held loosely. */
export const MEASURED_RANGES = {
  visibleCm: { low: 1, high: 120 },
  curlMm: { low: 1, high: 80 },
} as const;

const rating = z
  .number()
  .min(0)
  .max(10)
  .refine((value) => Number.isInteger(value * 2), { error: 'a rating: whole or half points' });

/** First measurements of a set that was just taken down. Whatever was not measured is left out. */
export const measured = z.object({
  ratings: z.partialRecord(z.enum(RATING_IDS), rating).default({}),
  visibleCm: z
    .partialRecord(z.enum(ZONES), within('visible length', MEASURED_RANGES.visibleCm, 'cm'))
    .default({}),
  curlMm: z.partialRecord(z.enum(ZONES), within('curl', MEASURED_RANGES.curlMm, 'mm')).default({}),
});
export type Measured = z.output<typeof measured>;
