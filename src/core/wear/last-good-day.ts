import { goodDay } from '../coefficients/good-day';
import type { Ratings } from './rating-scales';

/** What is rated of a day, as far as it says whether the style was still good. */
export interface RatedDay {
  readonly day: number;
  readonly ratings: Pick<Ratings, 'definition' | 'frizz'>;
}

/** Whether the ratings of a day say that the style was still good; null where nothing was rated that would tell. */
export function isGoodDay({ ratings: { definition, frizz } }: RatedDay): boolean | null {
  if (definition === undefined && frizz === undefined) return null;
  const { leastDefinition, mostFrizz } = goodDay.value;
  return (
    (definition === undefined || definition > leastDefinition) && (frizz === undefined || frizz < mostFrizz)
  );
}

const inOrder = (days: readonly RatedDay[]) =>
  days.filter((day) => isGoodDay(day) !== null).sort((a, b) => a.day - b.day);

/**
 * The last good day that the ratings suggest: the last rated one before the first that was not good.
 *
 * @returns the day, counted from the takedown; null where nothing is rated or the first rated day was not good
 * @example suggestedLastGoodDay([1, 2, 3].map((day) => ({ day, ratings: { definition: 9 - 2 * day } }))) // => 2
 */
export function suggestedLastGoodDay(days: readonly RatedDay[]): number | null {
  const ordered = inOrder(days);
  const firstBad = ordered.find((day) => !isGoodDay(day))?.day ?? Infinity;
  return ordered.filter(({ day }) => day < firstBad).at(-1)?.day ?? null;
}

/** A rated day that speaks against a last good day: one not good up to it, or one still good after it. Null when none does. */
export function ratingAgainst(days: readonly RatedDay[], lastGoodDay: number): RatedDay | null {
  const ordered = inOrder(days);
  return (
    ordered.find((day) => day.day <= lastGoodDay && !isGoodDay(day)) ??
    ordered.find((day) => day.day > lastGoodDay && isGoodDay(day)) ??
    null
  );
}
