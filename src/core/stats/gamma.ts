/**
 * ln Γ(x) for x > 0, relative error about 1e-10.
 *
 * @source Lanczos 1964, coefficients for g = 7 and nine terms
 */
export function lnGamma(x: number): number {
  const terms = [
    0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
    12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
  ]; // prettier-ignore
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - lnGamma(1 - x);
  const z = x - 1;
  const t = z + 7.5;
  const sum = terms.reduce((total, term, i) => (i === 0 ? term : total + term / (z + i)), 0);
  return 0.5 * Math.log(2 * Math.PI) + (z + 0.5) * Math.log(t) - t + Math.log(sum);
}

/**
 * Upper tail of the gamma distribution, Q(a, x), with small relative error in the tail.
 *
 * @source series below a + 1, Lentz's continued fraction above (Abramowitz & Stegun 1964, 6.5.29 and 6.5.31)
 */
export function gammaUpperTail(a: number, x: number): number {
  if (x <= 0) return 1;
  const front = Math.exp(a * Math.log(x) - x - lnGamma(a));
  if (x < a + 1) {
    let term = 1 / a;
    let sum = term;
    for (let n = 1; n < 500 && Math.abs(term) > 1e-16 * Math.abs(sum); n++) {
      term *= x / (a + n);
      sum += term;
    }
    return 1 - front * sum;
  }
  const tiny = 1e-300;
  let b = x + 1 - a;
  let c = 1 / tiny;
  let d = 1 / b;
  let fraction = d;
  for (let n = 1; n < 500; n++) {
    const numerator = -n * (n - a);
    b += 2;
    d = 1 / (numerator * d + b);
    c = b + numerator / c;
    const step = d * c;
    fraction *= step;
    if (Math.abs(step - 1) < 1e-16) break;
  }
  return front * fraction;
}

/** Chance of a χ² at least this large. */
export const chiSquareTail = (chiSquare: number, df: number): number => gammaUpperTail(df / 2, chiSquare / 2);
