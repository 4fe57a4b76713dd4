import { goodDay } from '../coefficients/good-day';

/** What is rated of a day, as far as it says whether the style was still good. */
export interface RatedDay {
  readonly day: number;
  readonly definition: number;
  readonly frizz: number;
}

/** Whether the ratings of a day say that the style was still good. */
export const isGoodDay = ({ definition, frizz }: RatedDay): boolean =>
  definition > goodDay.value.leastDefinition && frizz < goodDay.value.mostFrizz;

/**
 * The last good day that the ratings suggest: the last rated one before the first that was not good.
 *
 * @returns the day, counted from the takedown; null where nothing is rated or the first rated day was not good
 * @example suggestedLastGoodDay([1, 2, 3].map((day) => ({ day, definition: 9 - 2 * day, frizz: 3 }))) // => 2
 */
export function suggestedLastGoodDay(days: readonly RatedDay[]): number | null {
  const ordered = [...days].sort((a, b) => a.day - b.day);
  const firstBad = ordered.find((day) => !isGoodDay(day))?.day ?? Infinity;
  return ordered.filter(({ day }) => day < firstBad).at(-1)?.day ?? null;
}

/** A rated day that speaks against a last good day: one not good up to it, or one still good after it. Null when none does. */
export function ratingAgainst(days: readonly RatedDay[], lastGoodDay: number): RatedDay | null {
  const ordered = [...days].sort((a, b) => a.day - b.day);
  return (
    ordered.find((day) => day.day <= lastGoodDay && !isGoodDay(day)) ??
    ordered.find((day) => day.day > lastGoodDay && isGoodDay(day)) ??
    null
  );
}
