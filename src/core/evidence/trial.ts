import { halfHead } from '../coefficients/evidence';
import { normalCdf } from '../stats/normal';
import { normalTail } from '../stats/gauss';
import { plural } from '../words/words';

/** Ratings of both halves on one day, the two ways that are compared. */
export interface PairDay {
  readonly day: number;
  readonly a: number;
  readonly b: number;
}

/** One set on which two ways were worn side by side. */
export interface TrialSet {
  readonly isALeft: boolean;
  /** Days on which both halves were rated, up to the first half that was given up. */
  readonly pairs: readonly PairDay[];
  /** Which was given up first; null where neither was, or both on one day. */
  readonly gaveUpFirst?: 'a' | 'b' | null;
}

/** What half-head sets say so far. */
export interface TrialVerdict {
  readonly kind: 'none' | 'one' | 'a' | 'b' | 'same' | 'leans-a' | 'leans-b' | 'testing';
  /** Points that A is better by; the mean over trials while there is one. */
  readonly difference: number;
  readonly sd: number;
  /** Points that the left side comes out better by, whatever is on it. */
  readonly side: number;
  readonly chanceA: number;
  readonly chanceB: number;
  readonly chanceSame: number;
  readonly chanceBetter: number;
  /** Sets more that would settle it; null where more are not worth it, 0 where it is settled. */
  readonly moreSets: number | null;
  readonly trials: number;
  readonly pairDays: number;
  readonly isSwapped: boolean;
  /** Trials in which each outlived the other. */
  readonly longerLived: { readonly a: number; readonly b: number };
}

/**
 * Variance of the mean of neighbouring days, over the variance of one.
 *
 * @source first-order autocorrelation
 * @example meanOfDays(2, 0.5) // => 0.75
 */
export function meanOfDays(days: number, correlation: number): number {
  let sum = 1;
  for (let k = 1; k < days; k++) sum += 2 * (1 - k / days) * correlation ** k;
  return sum / days;
}

const NOISE = Array.from({ length: 17 }, (_, i) => -1 + i / 8);

const trialVariance = (days: number): number => {
  const c = halfHead.value;
  return c.trialSd ** 2 + c.daySd ** 2 * meanOfDays(days, c.dayCorrelation);
};

interface Told {
  readonly a: number;
  readonly b: number;
}

/** Chances that A, or B, is better by what is noticed. */
const chancesOf = (mean: number, sd: number, noticeable: number): Told => ({
  a: normalTail((noticeable - mean) / sd),
  b: normalTail((noticeable + mean) / sd),
});

const isFirm = ({ a, b }: Told): boolean => {
  const { firm } = halfHead.value;
  return a >= firm || b >= firm || 1 - a - b >= firm;
};

/** Sets more after which such a difference would be settled. */
function setsMore(mean: number, variance: number, trials: number, noticeable: number): number | null {
  const c = halfHead.value;
  const each = trialVariance(c.usualPairDays);
  for (let more = 1; more <= c.mostMore; more++) {
    if (trials + more < 2) continue;
    const left = 1 / (1 / variance + more / each);
    if (isFirm(chancesOf(mean, Math.sqrt(left), noticeable))) return more;
  }
  return null;
}

/**
 * Which of two ways came out better on this head. A trial counts as one, however many days of it were rated; a side of
 * the head that comes out better by itself is told apart from what was on it.
 *
 * @param noticeable points that this stylist notices
 * @source evidence §3: normal model with unknown noise, mixed over a grid
 */
export function trialVerdict(
  sets: readonly TrialSet[],
  noticeable: number = halfHead.value.noticeable,
): TrialVerdict {
  const c = halfHead.value;
  const trials = sets
    .filter(({ pairs }) => pairs.length > 0)
    .map(({ isALeft, pairs }) => ({
      sign: isALeft ? 1 : -1,
      mean: pairs.reduce((sum, { a, b }) => sum + a - b, 0) / pairs.length,
      variance: trialVariance(pairs.length),
    }));
  const mixed = NOISE.map((g) => {
    const noise = Math.exp(2 * g);
    const weights = trials.map(({ variance }) => 1 / (noise * variance));
    const sum = (of: (trial: (typeof trials)[number]) => number) =>
      trials.reduce((total, trial, i) => total + weights[i]! * of(trial), 0);
    const a = 1 / c.differenceSd ** 2 + sum(() => 1);
    const b = sum(({ sign }) => sign);
    const s = 1 / c.sideSd ** 2 + sum(() => 1);
    const p = sum(({ mean }) => mean);
    const q = sum(({ sign, mean }) => sign * mean);
    const determinant = a * s - b * b;
    const mean = (s * p - b * q) / determinant;
    const side = (a * q - b * p) / determinant;
    const squares = sum(({ mean: own }) => own * own) - mean * p - side * q;
    const ln =
      -0.5 * (g / c.noiseSd) ** 2 -
      0.5 * trials.reduce((total, { variance }) => total + Math.log(noise * variance), 0) -
      0.5 * Math.log(determinant) -
      0.5 * squares;
    return { mean, side, variance: s / determinant, ln };
  });
  const top = Math.max(...mixed.map(({ ln }) => ln));
  const weights = mixed.map(({ ln }) => Math.exp(ln - top));
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const average = (of: (one: (typeof mixed)[number]) => number) =>
    mixed.reduce((sum, one, i) => sum + (weights[i]! / total) * of(one), 0);
  const mean = average((one) => one.mean);
  const side = average((one) => one.side);
  const variance = average((one) => one.variance + (one.mean - mean) ** 2);
  const chanceA = average((one) => chancesOf(one.mean, Math.sqrt(one.variance), noticeable).a);
  const chanceB = average((one) => chancesOf(one.mean, Math.sqrt(one.variance), noticeable).b);
  const chanceBetter = average((one) => normalCdf(one.mean / Math.sqrt(one.variance)));
  const chanceSame = 1 - chanceA - chanceB;
  const isSwapped = new Set(trials.map(({ sign }) => sign)).size === 2;
  const kind = ((): TrialVerdict['kind'] => {
    if (trials.length === 0) return 'none';
    if (trials.length < 2 || !isSwapped) return 'one';
    if (chanceA >= c.firm) return 'a';
    if (chanceB >= c.firm) return 'b';
    if (chanceSame >= c.firm) return 'same';
    if (chanceBetter >= c.leansSign && chanceA >= c.leansNoticed) return 'leans-a';
    if (1 - chanceBetter >= c.leansSign && chanceB >= c.leansNoticed) return 'leans-b';
    return 'testing';
  })();
  const isSettled = kind === 'a' || kind === 'b' || kind === 'same';
  return {
    kind,
    difference: mean,
    sd: Math.sqrt(variance),
    side,
    chanceA,
    chanceB,
    chanceSame,
    chanceBetter,
    moreSets: isSettled ? 0 : setsMore(mean, variance, trials.length, noticeable),
    trials: trials.length,
    pairDays: sets.reduce((sum, { pairs }) => sum + pairs.length, 0),
    isSwapped,
    longerLived: {
      a: sets.filter(({ gaveUpFirst }) => gaveUpFirst === 'b').length,
      b: sets.filter(({ gaveUpFirst }) => gaveUpFirst === 'a').length,
    },
  };
}

const points = (value: number): string => {
  const half = Math.max(0.5, Math.round(2 * Math.abs(value)) / 2);
  return plural(half, 'point');
};

/** A verdict in words. */
export function trialWords(verdict: TrialVerdict, a: string, b: string): string {
  const more =
    verdict.moreSets === null
      ? 'Too close to the line to be worth more sets.'
      : `About ${plural(verdict.moreSets, 'more set')}.`;
  switch (verdict.kind) {
    case 'none':
      return 'Rate both halves on the same day to start.';
    case 'one':
      return verdict.trials < 2
        ? 'One set so far. It could be the side, not the product. Swap sides next time.'
        : 'Always on the same sides so far. It could be the side, not the product. Swap sides next time.';
    case 'a':
      return `${a} came out better on this head, by about ${points(verdict.difference)}.`;
    case 'b':
      return `${b} came out better on this head, by about ${points(verdict.difference)}.`;
    case 'same':
      return 'No difference you would notice.';
    case 'leans-a':
      return `Leans to ${a}. ${more}`;
    case 'leans-b':
      return `Leans to ${b}. ${more}`;
    case 'testing':
      return verdict.moreSets === null
        ? more
        : `Keep testing: about ${plural(verdict.moreSets, 'more set')}.`;
  }
}

/**
 * The side that A goes on next: by a flip for the first trial, the other side for the second, and so on in pairs.
 *
 * @param past whether A was on the left, set by set
 * @param flip a coin, heads or tails
 */
export function nextIsALeft(past: readonly boolean[], flip: boolean): boolean {
  return past.length % 2 === 0 ? flip : !past.at(-1)!;
}
