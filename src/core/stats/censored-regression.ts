import { Matrix, inverse } from 'ml-matrix';
import { normalBetween, normalDensity, normalTail } from './gauss';

/** One observation: known exactly where both ends are the same, else to lie between them. */
export interface CensoredRow {
  /** Which stratum it belongs to, from 0. */
  readonly stratum: number;
  readonly x: readonly number[];
  readonly low: number;
  readonly high: number;
}

/** How far each part is thought to be from 0 beforehand. */
export interface RegressionPriors {
  readonly interceptSd: number;
  readonly stratumSd: number;
  readonly effectSd: number;
  readonly noiseSd: number;
  /** Of ln noise. */
  readonly noiseLnSd: number;
}

/** What came of it: effects with their covariance, on the scale of `x`. */
export interface Regression {
  readonly intercept: number;
  readonly effects: readonly number[];
  readonly standardErrors: readonly number[];
  readonly strata: readonly number[];
  readonly noiseSd: number;
  readonly logLikelihood: number;
}

const MOST_STEPS = 60;
const NOISE_ROUNDS = 4;
const NOISE_STEP = 0.06;
const NOISE_STEPS = 12;

/** Score, weight and ln likelihood of one observation about its expected value. */
function pieceOf(low: number, high: number, expected: number, sd: number) {
  if (low === high) {
    const z = (low - expected) / sd;
    return { score: z / sd, weight: 1 / (sd * sd), ln: Math.log(normalDensity(z) / sd) };
  }
  const a = (low - expected) / sd;
  const b = (high - expected) / sd;
  const between = a === -Infinity ? normalTail(-b) : b === Infinity ? normalTail(a) : normalBetween(a, b);
  if (between < 1e-250) {
    const nearest = Math.abs(a) < Math.abs(b) ? a : b;
    return { score: nearest / sd, weight: 1 / (sd * sd), ln: Math.log(1e-250) };
  }
  const [da, db] = [normalDensity(a), normalDensity(b)];
  const score = (da - db) / (sd * between);
  const bends = (Number.isFinite(b) ? b * db : 0) - (Number.isFinite(a) ? a * da : 0);
  return { score, weight: score * score + bends / (sd * sd * between), ln: Math.log(between) };
}

/** Sums over all rows at one point: what a Newton step is made of. */
function sumsAt(
  rows: readonly CensoredRow[],
  p: number,
  strata: number,
  noiseSd: number,
  expected: (row: CensoredRow) => number,
) {
  const gradient = new Float64Array(p);
  const bends = new Float64Array(p * p);
  const slopes = new Float64Array(strata);
  const curves = new Float64Array(strata);
  const crosses = new Float64Array(strata * p);
  const z = new Float64Array(p).fill(1);
  for (const row of rows) {
    const { score, weight } = pieceOf(row.low, row.high, expected(row), noiseSd);
    const h = row.stratum;
    z.set(row.x, 1);
    slopes[h]! += score;
    curves[h]! += weight;
    for (let i = 0; i < p; i++) {
      const own = weight * z[i]!;
      gradient[i]! += score * z[i]!;
      crosses[h * p + i]! += own;
      for (let j = 0; j <= i; j++) bends[i * p + j]! += own * z[j]!;
    }
  }
  return { gradient, bends, slopes, curves, crosses };
}

/** Likeliest effects at one noise: Newton's method, strata eliminated. */
function atNoise(
  rows: readonly CensoredRow[],
  priors: RegressionPriors,
  noiseSd: number,
  start: { readonly fixed: readonly number[]; readonly strata: readonly number[] },
) {
  const p = start.fixed.length;
  let fixed = [...start.fixed];
  let strata = [...start.strata];
  const precision = (i: number) => 1 / (i === 0 ? priors.interceptSd : priors.effectSd) ** 2;
  const expected = (row: CensoredRow, f: readonly number[], s: readonly number[]) =>
    row.x.reduce((sum, value, i) => sum + value * f[i + 1]!, f[0]! + s[row.stratum]!);
  const objective = (f: readonly number[], s: readonly number[]) =>
    rows.reduce((sum, row) => sum + pieceOf(row.low, row.high, expected(row, f, s), noiseSd).ln, 0) -
    0.5 * f.reduce((sum, value, i) => sum + value * value * precision(i), 0) -
    (0.5 * s.reduce((sum, value) => sum + value * value, 0)) / priors.stratumSd ** 2;
  let covariance = Matrix.eye(p);
  let value = objective(fixed, strata);
  for (let step = 0; step < MOST_STEPS; step++) {
    const sums = sumsAt(rows, p, strata.length, noiseSd, (row) => expected(row, fixed, strata));
    const slopes = strata.map((own, h) => sums.slopes[h]! - own / priors.stratumSd ** 2);
    const curves = strata.map((_, h) => sums.curves[h]! + 1 / priors.stratumSd ** 2);
    const cross = (h: number, i: number) => sums.crosses[h * p + i]!;
    const gradient = fixed.map((own, i) =>
      slopes.reduce(
        (sum, slope, h) => sum - (cross(h, i) * slope) / curves[h]!,
        sums.gradient[i]! - own * precision(i),
      ),
    );
    const remainder = Matrix.zeros(p, p);
    for (let i = 0; i < p; i++)
      for (let j = 0; j <= i; j++) {
        const own = curves.reduce(
          (sum, curve, h) => sum - (cross(h, i) * cross(h, j)) / curve,
          sums.bends[i * p + j]! + (i === j ? precision(i) : 0),
        );
        remainder.set(i, j, own);
        remainder.set(j, i, own);
      }
    covariance = inverse(remainder);
    const move = covariance.mmul(Matrix.columnVector(gradient)).to1DArray();
    const moves = strata.map(
      (_, h) => (slopes[h]! - move.reduce((sum, own, i) => sum + own * cross(h, i), 0)) / curves[h]!,
    );
    let scale = 1;
    let [nextFixed, nextStrata, next] = [fixed, strata, value];
    for (; scale > 1e-4; scale /= 2) {
      nextFixed = fixed.map((own, i) => own + scale * move[i]!);
      nextStrata = strata.map((own, h) => own + scale * moves[h]!);
      next = objective(nextFixed, nextStrata);
      if (next >= value - 1e-12) break;
    }
    const gain = next - value;
    [fixed, strata, value] = [nextFixed, nextStrata, next];
    if (gain < 1e-10) break;
  }
  return { fixed, strata, covariance, expected };
}

/** The step of the noise's grid that scores most, from one that is near: there is one top. */
function climbed(from: number, scoreOf: (step: number) => number): number {
  let best = { at: from, score: scoreOf(from) };
  for (const way of [-1, 1])
    for (let at = best.at + way; Math.abs(at) <= NOISE_STEPS; at += way) {
      const score = scoreOf(at);
      if (score <= best.score) break;
      best = { at, score };
    }
  return best.at;
}

/**
 * Normal regression with strata on observations of which some are only known to lie between two ends.
 *
 * @param rows at least one; strata are numbered from 0 without gaps
 * @param noiseSd fixed noise; fitted where it is left out
 * @source Newton's method on the log posterior, strata by Schur complement; evidence §4
 */
export function censoredRegression(
  rows: readonly CensoredRow[],
  priors: RegressionPriors,
  noiseSd?: number,
): Regression {
  const p = rows[0]!.x.length;
  const n = rows.length;
  const count = 1 + Math.max(...rows.map(({ stratum }) => stratum));
  let sd = noiseSd ?? priors.noiseSd;
  let fit = atNoise(rows, priors, sd, {
    fixed: new Array<number>(p + 1).fill(0),
    strata: new Array<number>(count).fill(0),
  });
  const likelihoodOfNoise = () => {
    const expected = rows.map((row) => fit.expected(row, fit.fixed, fit.strata));
    return (noise: number) =>
      rows.reduce((sum, row, i) => sum + pieceOf(row.low, row.high, expected[i]!, noise).ln, 0);
  };
  const noiseAt = (k: number) => priors.noiseSd * Math.exp(NOISE_STEP * k);
  let k = 0;
  for (let round = 0; noiseSd === undefined && round < NOISE_ROUNDS; round++) {
    const lnLikelihood = likelihoodOfNoise();
    k = climbed(
      k,
      (step) => lnLikelihood(noiseAt(step)) - 0.5 * ((NOISE_STEP * step) / priors.noiseLnSd) ** 2,
    );
    const likeliest = noiseAt(k);
    const between = priors.stratumSd ** 2;
    const lost = (Math.min(count, n / 2) * between) / (between + (likeliest ** 2 * count) / n);
    sd = likeliest * Math.sqrt(n / (n - Math.min(p, n / 3) - lost));
    fit = atNoise(rows, priors, sd, fit);
  }
  return {
    intercept: fit.fixed[0]!,
    effects: fit.fixed.slice(1),
    standardErrors: Array.from({ length: p }, (_, i) => Math.sqrt(fit.covariance.get(i + 1, i + 1))),
    strata: fit.strata,
    noiseSd: sd,
    logLikelihood: likelihoodOfNoise()(sd),
  };
}
