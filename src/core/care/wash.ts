import { care } from '../coefficients/care';
import { quantiles } from '../stats/quantile';

/** When to wash next, and what that rests on. Days are counted from one fixed day. */
export interface WashDue {
  readonly day: number;
  readonly why: 'her-rhythm' | 'usual-loose' | 'usual-twists' | 'scalp';
  /** Washes apart that her rhythm is the median of. */
  readonly intervals: number;
}

/**
 * The next wash: the last one and her own rhythm, or what is usual; never later than a fortnight in twists, and at once
 * where the scalp asks for it.
 *
 * @param washes days on which it was washed
 * @param isInSet whether twists, braids or the like are in, not taken down
 * @param scalpNotedOn day on which itch or flakes were noted since the last wash; null for none
 * @returns null where no wash is known
 * @source evidence §7
 */
export function nextWash(
  washes: readonly number[],
  isInSet: boolean,
  scalpNotedOn: number | null,
): WashDue | null {
  const days = [...new Set(washes)].sort((a, b) => a - b);
  const last = days.at(-1);
  if (last === undefined) return null;
  const c = care.value;
  const intervals = days
    .slice(1)
    .map((day, i) => day - days[i]!)
    .slice(-c.lastIntervals);
  const longest = isInSet ? c.washInTwistsDays : Infinity;
  const usual: WashDue = {
    day: last + (isInSet ? c.washInTwistsDays : c.washLooseDays),
    why: isInSet ? 'usual-twists' : 'usual-loose',
    intervals: 0,
  };
  const due =
    intervals.length < c.fewestIntervals
      ? usual
      : {
          day: last + Math.min(longest, Math.round(quantiles(intervals, [0.5])[0]!)),
          why: 'her-rhythm' as const,
          intervals: intervals.length,
        };
  return scalpNotedOn !== null && scalpNotedOn >= last && scalpNotedOn < due.day
    ? { ...due, day: scalpNotedOn, why: 'scalp' }
    : due;
}
