import { care } from '../coefficients/care';
import { quantiles } from '../stats/quantile';
import { Z_90 } from '../stats/normal';

/** A length on a day, mm. */
export interface LengthOnDay {
  readonly day: number;
  readonly mm: number;
}

/** A slope through lengths, mm a day. */
export interface Slope {
  readonly perDay: number;
  /** 80 %; null where it is too early to tell. */
  readonly interval: readonly [low: number, high: number] | null;
  /** Pairs of different days it is the median of. */
  readonly pairs: number;
}

const median = (values: readonly number[]): number => quantiles(values, [0.5])[0]!;

/**
 * The median of the slopes between every two of the points: one wild measurement does not move it.
 *
 * @returns null under two different days
 * @source Theil 1950, Sen 1968; evidence §7
 */
export function theilSen(points: readonly LengthOnDay[]): Slope | null {
  const slopes: number[] = [];
  points.forEach((a, i) =>
    points.slice(i + 1).forEach((b) => {
      if (a.day !== b.day) slopes.push((b.mm - a.mm) / (b.day - a.day));
    }),
  );
  if (slopes.length === 0) return null;
  slopes.sort((a, b) => a - b);
  const n = points.length;
  const days = points.map(({ day }) => day);
  const span = Math.max(...days) - Math.min(...days);
  const { fewestLengths, shortestSpan } = care.value;
  const N = slopes.length;
  const C = Z_90 * Math.sqrt((n * (n - 1) * (2 * n + 5)) / 18);
  const low = Math.max(1, Math.floor((N - C) / 2));
  const high = Math.min(N, Math.ceil((N + C) / 2) + 1);
  return {
    perDay: median(slopes),
    interval: n < fewestLengths || span < shortestSpan ? null : [slopes[low - 1]!, slopes[high - 1]!],
    pairs: N,
  };
}

/** A cut: how much came off on a day, mm. */
export interface Cut {
  readonly day: number;
  readonly mm: number;
}

/** Lengths as they would be had nothing been cut since the first of them. */
export const withCutsBack = (points: readonly LengthOnDay[], cuts: readonly Cut[]): LengthOnDay[] => {
  const first = Math.min(...points.map(({ day }) => day));
  return points.map(({ day, mm }) => ({
    day,
    mm: mm + cuts.filter((cut) => cut.day > first && cut.day <= day).reduce((sum, cut) => sum + cut.mm, 0),
  }));
};

/** How a zone grew, and how much of it was kept. */
export interface Growth {
  readonly slope: Slope;
  /** Share of the growth that a head is assumed to have. */
  readonly kept: number;
  readonly keptBetween: readonly [low: number, high: number] | null;
  readonly verdict: 'kept' | 'breaks' | 'differs' | 'early';
  /** Days on which it was measured so far off the line that one asks how. */
  readonly oddDays: readonly number[];
}

/**
 * Growth of one zone from its log of stretched lengths, the trims added back. Growth above what is known of scalp hair is
 * never praised: measuring differs then, or growth does.
 *
 * @returns null under two different days
 * @source evidence §7
 */
export function growthOf(points: readonly LengthOnDay[], cuts: readonly Cut[]): Growth | null {
  const whole = withCutsBack(points, cuts);
  const slope = theilSen(whole);
  if (!slope) return null;
  const c = care.value;
  const kept = slope.perDay / c.growth;
  const middle = median(whole.map(({ day, mm }) => mm - slope.perDay * day));
  const off = whole.map(({ day, mm }) => mm - slope.perDay * day - middle);
  const spread = median(off.map(Math.abs));
  return {
    slope,
    kept,
    keptBetween: slope.interval && [slope.interval[0] / c.growth, slope.interval[1] / c.growth],
    verdict: !slope.interval
      ? 'early'
      : kept > c.oddRetention
        ? 'differs'
        : kept < c.poorRetention
          ? 'breaks'
          : 'kept',
    oddDays: whole
      .filter((_, i) => Math.abs(off[i]!) > Math.max(c.tapeMm, c.oddLengthMad * spread))
      .map(({ day }) => day),
  };
}
