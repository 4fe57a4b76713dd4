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

/**
 * Inverse of Φ by bisection on {@link normalCdf}, accurate to 1e-6 for p in 1e-6 … 1 − 1e-6.
 *
 * @throws RangeError when `p` is not strictly between 0 and 1
 */
export function normalQuantile(p: number): number {
  if (!(p > 0 && p < 1)) throw new RangeError(`probability ${p} must lie strictly between 0 and 1`);
  let low = -8;
  let high = 8;
  while (high - low > 1e-9) {
    const middle = (low + high) / 2;
    if (normalCdf(middle) < p) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
