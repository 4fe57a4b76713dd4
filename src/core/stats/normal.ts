/** 90 % point of the standard normal distribution: p10 and p90 lie this many standard deviations out. */
export const Z_90 = 1.2815515655446004;

/**
 * Standard normal cumulative distribution Φ(z), absolute error below 1e-7.
 *
 * @source Abramowitz & Stegun 1964, 26.2.17
 * @example normalCdf(0) // => 0.5
 */
export function normalCdf(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail =
    (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return z >= 0 ? 1 - tail : tail;
}

const CENTRE = [
  [3.387132872796366608, 133.14166789178437745, 1971.5909503065514427, 13731.693765509461125,
   45921.953931549871457, 67265.770927008700853, 33430.575583588128105, 2509.0809287301226727],
  [1, 42.313330701600911252, 687.1870074920579083, 5394.1960214247511077, 21213.794301586595867,
   39307.89580009271061, 28729.085735721942674, 5226.495278852854561],
] as const; // prettier-ignore
const SIDE = [
  [1.42343711074968357734, 4.6303378461565452959, 5.7694972214606914055, 3.64784832476320460504,
   1.27045825245236838258, 0.24178072517745061177, 0.0227238449892691845833, 7.7454501427834140764e-4],
  [1, 2.05319162663775882187, 1.6763848301838038494, 0.68976733498510000455, 0.14810397642748007459,
   0.0151986665636164571966, 5.475938084995344946e-4, 1.05075007164441684324e-9],
] as const; // prettier-ignore
const TAIL = [
  [6.6579046435011037772, 5.4637849111641143699, 1.7848265399172913358, 0.29656057182850489123,
   0.026532189526576123093, 0.0012426609473880784386, 2.71155556874348757815e-5, 2.01033439929228813265e-7],
  [1, 0.59983220655588793769, 0.13692988092273580531, 0.0148753612908506148525, 7.868691311456132591e-4,
   1.8463183175100546818e-5, 1.4215117583164458887e-7, 2.04426310338993978564e-15],
] as const; // prettier-ignore

type Ratio = readonly [readonly number[], readonly number[]];
const horner = (coefficients: readonly number[], x: number) =>
  coefficients.reduceRight((sum, coefficient) => sum * x + coefficient, 0);
const ratio = ([top, bottom]: Ratio, x: number) => horner(top, x) / horner(bottom, x);

/**
 * Inverse of Φ, relative error about 1e-15.
 *
 * @throws RangeError when `p` is not strictly between 0 and 1
 * @source Wichura 1988, Applied Statistics 37, algorithm AS 241 (PPND16)
 * @example normalQuantile(0.9) // => 1.282
 */
export function normalQuantile(p: number): number {
  if (!(p > 0 && p < 1)) throw new RangeError(`probability ${p} must lie strictly between 0 and 1`);
  const q = p - 0.5;
  if (Math.abs(q) <= 0.425) return q * ratio(CENTRE, 0.180625 - q * q);
  const r = Math.sqrt(-Math.log(q < 0 ? p : 1 - p));
  const z = r <= 5 ? ratio(SIDE, r - 1.6) : ratio(TAIL, r - 5);
  return q < 0 ? -z : z;
}
