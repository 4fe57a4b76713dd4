import { normalCdfFast } from '../stats/gauss';
import type { Knowledge } from './pooling';

/** ln of a number lies on these points. */
const REACH = 2.4;
const STEP = 0.04;
export const GRID = Array.from({ length: Math.round((2 * REACH) / STEP) + 1 }, (_, i) => -REACH + i * STEP);
const N = GRID.length;
const LEAST = 1e-300;
/** Narrower than this the grid cannot show. */
const NARROWEST = 0.08;
const KERNEL_REACH = 4.5;

/** What is known of a number point by point: ln of weights on {@link GRID}, of any common size. */
export type GridMessage = Float64Array;

const kernels = new Map<number, { readonly reach: number; readonly weights: Float64Array }>();

function kernelOf(sd: number) {
  const known = kernels.get(sd);
  if (known) return known;
  const width = Math.max(NARROWEST, sd);
  const reach = Math.min(N - 1, Math.ceil((KERNEL_REACH * width) / STEP));
  const raw = Float64Array.from({ length: 2 * reach + 1 }, (_, i) =>
    Math.exp(-0.5 * (((i - reach) * STEP) / width) ** 2),
  );
  const sum = raw.reduce((total, weight) => total + weight, 0);
  const kernel = { reach, weights: raw.map((weight) => weight / sum) };
  // A search tries many spreads; they are not worth keeping.
  if (kernels.size > 64) kernels.clear();
  kernels.set(sd, kernel);
  return kernel;
}

const highest = (message: GridMessage): number => message.reduce((most, ln) => Math.max(most, ln), -Infinity);

function convolved(message: GridMessage, sd: number): GridMessage {
  const { reach, weights } = kernelOf(sd);
  const top = highest(message);
  const plain = message.map((ln) => Math.exp(ln - top));
  const out = new Float64Array(N);
  for (let i = 0; i < N; i++) {
    let sum = 0;
    const from = Math.max(0, i - reach);
    const to = Math.min(N - 1, i + reach);
    for (let j = from; j <= to; j++) sum += plain[j]! * weights[j - i + reach]!;
    out[i] = Math.log(Math.max(LEAST, sum)) + top;
  }
  return out;
}

const lnSum = (message: GridMessage): number => {
  const top = highest(message);
  return top + Math.log(message.reduce((sum, ln) => sum + Math.exp(ln - top), 0));
};

const aboutZero = (sd: number): GridMessage =>
  Float64Array.from(
    GRID,
    (u) => -0.5 * (u / sd) ** 2 - Math.log(sd * Math.sqrt(2 * Math.PI)) + Math.log(STEP),
  );

const sumOf = (a: GridMessage, b: GridMessage, sign: 1 | -1): GridMessage =>
  a.map((ln, i) => ln + sign * b[i]!);

/** Point by point: for outcomes that are rounded to whole days, or cut short. */
export const gridKnowledge: Knowledge<GridMessage> = {
  none: new Float64Array(N),
  both: (a, b) => sumOf(a, b, 1),
  without: (all, one) => sumOf(all, one, -1),
  // Nothing known stays nothing known: at the ends a kernel would lose what lies beyond the grid.
  wider: (message, sd) => (message.every((ln) => ln === 0) ? message : convolved(message, sd)),
  aboutZero,
  evidence: (message, sd) => lnSum(sumOf(message, aboutZero(sd), 1)),
};

/** What is known of how long one style lasted. */
export interface DaysSeen {
  readonly days: number;
  /** It ended by itself; else it was still good then. */
  readonly ended: boolean;
  /** What the trade expected of it, days. */
  readonly expectedDays: number;
}

/** Ends of ln days over what was expected. @returns null where it says nothing: still good on the day of the takedown */
export function lnInterval({
  days,
  ended,
  expectedDays,
}: DaysSeen): readonly [low: number, high: number] | null {
  const ln = (value: number) => (value > 0 ? Math.log(value / expectedDays) : -Infinity);
  if (!ended) return days > 0 ? [ln(days), Infinity] : null;
  return [ln(days - 0.5), ln(days + 0.5)];
}

/**
 * What sets of one technique on one head say of how long it lasts there: whole days, some cut short.
 *
 * @param setSd spread of ln days from set to set
 * @source evidence §2.2
 */
export function daysCell(seen: readonly DaysSeen[], setSd: number): GridMessage {
  const out = new Float64Array(N);
  for (const one of seen) {
    const ends = lnInterval(one);
    if (!ends) continue;
    const [low, high] = ends;
    for (let i = 0; i < N; i++) {
      const a = (low - GRID[i]!) / setSd;
      const b = (high - GRID[i]!) / setSd;
      const between = a > 0 ? normalCdfFast(-a) - normalCdfFast(-b) : normalCdfFast(b) - normalCdfFast(a);
      out[i] = out[i]! + Math.log(Math.max(LEAST, between));
    }
  }
  return out;
}

/** Mean, variance and quantiles of what is known point by point. */
export function gridSummary(message: GridMessage, shares: readonly number[] = [0.1, 0.5, 0.9]) {
  const top = highest(message);
  const weights = message.map((ln) => Math.exp(ln - top));
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  let [mean, square] = [0, 0];
  weights.forEach((weight, i) => {
    mean += (weight * GRID[i]!) / total;
    square += (weight * GRID[i]! ** 2) / total;
  });
  const quantileAt = (share: number): number => {
    let below = 0;
    for (let i = 0; i < N; i++) {
      const here = weights[i]! / total;
      if (below + here >= share) return GRID[i]! - STEP / 2 + (STEP * (share - below)) / here;
      below += here;
    }
    return REACH;
  };
  return { mean, variance: square - mean * mean, quantiles: shares.map(quantileAt) };
}
