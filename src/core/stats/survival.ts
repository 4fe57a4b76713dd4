import { chiSquareTail } from './gamma';
import { normalQuantile } from './normal';

/** How long one style lasted: it ended by itself, or was still good when last seen (right-censored). */
export interface Lasted {
  readonly days: number;
  readonly ended: boolean;
}

/** One step of a product-limit curve. Limits are null where they are not defined: while nothing ended, or all did. */
export interface SurvivalStep {
  readonly days: number;
  readonly atRisk: number;
  readonly ended: number;
  readonly survival: number;
  readonly standardError: number;
  readonly low: number | null;
  readonly high: number | null;
}

/** Share of a distribution that limits enclose unless said otherwise. */
const USUAL_COVERAGE = 0.95;

/**
 * Product-limit estimate of how long styles last, one step for each day on which any ended.
 *
 * @param coverage of the log–log limits, 0 to 1
 * @source Kaplan & Meier 1958; Greenwood's variance; log–log limits as in Kalbfleisch & Prentice
 * @example productLimit([{ days: 3, ended: true }, { days: 4, ended: false }])[0].survival // => 0.5
 */
export function productLimit(styles: readonly Lasted[], coverage = USUAL_COVERAGE): SurvivalStep[] {
  const z = normalQuantile(0.5 + coverage / 2);
  const days = [...new Set(styles.filter((style) => style.ended).map((style) => style.days))].sort(
    (a, b) => a - b,
  );
  let survival = 1;
  let greenwood = 0;
  return days.map((day): SurvivalStep => {
    const atRisk = styles.filter((style) => style.days >= day).length;
    const ended = styles.filter((style) => style.ended && style.days === day).length;
    survival *= 1 - ended / atRisk;
    greenwood += ended / (atRisk * (atRisk - ended));
    const isOpen = survival > 0 && survival < 1;
    const theta = isOpen ? (z * Math.sqrt(greenwood)) / Math.log(survival) : 0;
    return {
      days: day,
      atRisk,
      ended,
      survival,
      standardError: survival > 0 ? survival * Math.sqrt(greenwood) : 0,
      low: isOpen ? survival ** Math.exp(-theta) : null,
      high: isOpen ? survival ** Math.exp(theta) : null,
    };
  });
}

/**
 * Days that half of the styles outlast: the first step below a half, or the middle of a step that is just a half.
 *
 * @returns null when the curve does not come down so far
 * @example medianDays(productLimit([2, 3, 5].map((days) => ({ days, ended: true })))) // => 3
 */
export function medianDays(steps: readonly SurvivalStep[]): number | null {
  const at = steps.findIndex((step) => step.survival <= 0.5 + 1e-12);
  const step = steps[at];
  if (!step) return null;
  const next = steps[at + 1];
  const isJustHalf = Math.abs(step.survival - 0.5) < 1e-12;
  return isJustHalf && next ? (step.days + next.days) / 2 : step.days;
}

/**
 * Interval of the median: where the limits of the curve come down to a half.
 *
 * @param steps of a curve whose limits have the coverage that is wanted
 * @returns null at an end that is not reached
 * @source Brookmeyer & Crowley 1982, log–log limits
 */
export function medianInterval(
  steps: readonly SurvivalStep[],
): readonly [low: number | null, high: number | null] {
  // A limit is not defined once nothing is left; the curve itself is below a half by then.
  const isDown = (limit: number | null, { survival }: SurvivalStep) =>
    limit === null ? survival === 0 : limit <= 0.5 + 1e-12;
  return [
    steps.find((step) => isDown(step.low, step))?.days ?? null,
    steps.find((step) => isDown(step.high, step))?.days ?? null,
  ];
}

/** Solves a small symmetric system by elimination with pivoting; null when it has no single answer. */
function solve(matrix: readonly (readonly number[])[], right: readonly number[]): number[] | null {
  const rows = matrix.map((row, i) => [...row, right[i]!]);
  const n = rows.length;
  for (let i = 0; i < n; i++) {
    let pivot = i;
    for (let r = i + 1; r < n; r++) if (Math.abs(rows[r]![i]!) > Math.abs(rows[pivot]![i]!)) pivot = r;
    if (Math.abs(rows[pivot]![i]!) < 1e-12) return null;
    [rows[i], rows[pivot]] = [rows[pivot]!, rows[i]!];
    for (let r = 0; r < n; r++) {
      if (r === i) continue;
      const share = rows[r]![i]! / rows[i]![i]!;
      for (let k = i; k <= n; k++) rows[r]![k]! -= share * rows[i]![k]!;
    }
  }
  return rows.map((row, i) => row[n]! / row[i]!);
}

/**
 * Whether groups of styles last differently.
 *
 * @param groups two or more
 * @returns null when there is nothing to compare: one group, or no style ended
 * @source Mantel 1966; Peto & Peto 1972, log-rank test
 */
export function logRank(
  groups: readonly (readonly Lasted[])[],
): { chiSquare: number; df: number; p: number } | null {
  if (groups.length < 2) return null;
  const all = groups.flat();
  const days = [...new Set(all.filter((style) => style.ended).map((style) => style.days))];
  const df = groups.length - 1;
  const difference = new Array<number>(df).fill(0);
  const variance = Array.from({ length: df }, () => new Array<number>(df).fill(0));
  for (const day of days) {
    const atRisk = groups.map((group) => group.filter((style) => style.days >= day).length);
    const ended = groups.map((group) => group.filter((style) => style.ended && style.days === day).length);
    const n = atRisk.reduce((sum, count) => sum + count, 0);
    const d = ended.reduce((sum, count) => sum + count, 0);
    for (let i = 0; i < df; i++) {
      difference[i]! += ended[i]! - (d * atRisk[i]!) / n;
      for (let k = 0; k < df && n > 1; k++) {
        const share = (i === k ? 1 : 0) - atRisk[k]! / n;
        variance[i]![k]! += (d * (n - d) * atRisk[i]! * share) / (n * (n - 1));
      }
    }
  }
  const weights = solve(variance, difference);
  if (!weights) return null;
  const chiSquare = weights.reduce((sum, weight, i) => sum + weight * difference[i]!, 0);
  return { chiSquare, df, p: chiSquareTail(chiSquare, df) };
}

/** Two groups in one stratum, such as what one head wore of either. */
export interface Stratum {
  readonly a: readonly Lasted[];
  readonly b: readonly Lasted[];
}

/** What a comparison of two groups within strata says. */
export interface Compared {
  readonly chiSquare: number;
  readonly p: number;
  /** Ended in the first group, and as many as would have if both lasted alike. */
  readonly observed: number;
  readonly expected: number;
  readonly variance: number;
}

/**
 * Whether two groups last differently, each stratum compared with itself: what differs between strata does not count.
 *
 * @returns null where no stratum has both groups and an end
 * @source stratified log-rank test, Mantel 1966
 */
export function stratifiedLogRank(strata: readonly Stratum[]): Compared | null {
  let [observed, expected, variance] = [0, 0, 0];
  for (const { a, b } of strata) {
    const all = [...a, ...b];
    for (const day of new Set(all.filter((style) => style.ended).map((style) => style.days))) {
      const nA = a.filter((style) => style.days >= day).length;
      const n = nA + b.filter((style) => style.days >= day).length;
      const dA = a.filter((style) => style.ended && style.days === day).length;
      const d = dA + b.filter((style) => style.ended && style.days === day).length;
      observed += dA;
      expected += (d * nA) / n;
      if (n > 1) variance += (d * (nA / n) * ((n - nA) / n) * (n - d)) / (n - 1);
    }
  }
  if (variance <= 0) return null;
  const chiSquare = (observed - expected) ** 2 / variance;
  return { chiSquare, p: chiSquareTail(chiSquare, 1), observed, expected, variance };
}
