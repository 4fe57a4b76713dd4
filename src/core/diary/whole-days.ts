import type { Half } from '../hair/half';
import { RATING_IDS, type Ratings } from '../wear/rating-scales';

/** Ratings of a day of wear, of a whole head or of one half. */
export interface RatedHalf {
  readonly day: number;
  readonly half: Half;
  readonly ratings: Ratings;
}

/** Days of a whole head, in order: two halves rated on one day count as their mean, scale by scale. */
export function wholeDays(
  days: readonly RatedHalf[],
): readonly { readonly day: number; readonly ratings: Ratings }[] {
  const numbers = [...new Set(days.map(({ day }) => day))].sort((a, b) => a - b);
  return numbers.map((day) => {
    const own = days.filter((one) => one.day === day);
    const ratings: Ratings = {};
    for (const scale of RATING_IDS) {
      const rated = own.flatMap((one) => one.ratings[scale] ?? []);
      if (rated.length > 0) ratings[scale] = rated.reduce((sum, value) => sum + value, 0) / rated.length;
    }
    return { day, ratings };
  });
}
