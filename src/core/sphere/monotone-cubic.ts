/**
 * Monotone cubic interpolant through ascending knots; between two knots it never leaves their range.
 *
 * @param xs ascending abscissae, at least two
 * @param ys ordinates
 * @source Fritsch & Carlson 1980, SIAM J. Numer. Anal. 17(2)
 */
export function monotoneCubic(xs: readonly number[], ys: readonly number[]): (x: number) => number {
  const n = xs.length;
  const secants = Array.from({ length: n - 1 }, (_, i) => (ys[i + 1]! - ys[i]!) / (xs[i + 1]! - xs[i]!));
  const slopes = Array.from({ length: n }, (_, i) => {
    if (i === 0) return secants[0]!;
    if (i === n - 1) return secants[n - 2]!;
    const [before, after] = [secants[i - 1]!, secants[i]!];
    return before * after <= 0 ? 0 : (before + after) / 2;
  });
  for (let i = 0; i < n - 1; i++) {
    const secant = secants[i]!;
    if (secant === 0) {
      slopes[i] = 0;
      slopes[i + 1] = 0;
      continue;
    }
    const length = Math.hypot(slopes[i]! / secant, slopes[i + 1]! / secant);
    if (length > 3) {
      slopes[i] = (3 * slopes[i]!) / length;
      slopes[i + 1] = (3 * slopes[i + 1]!) / length;
    }
  }
  return (x) => {
    let i = 0;
    while (i < n - 2 && x > xs[i + 1]!) i++;
    const h = xs[i + 1]! - xs[i]!;
    const u = (x - xs[i]!) / h;
    return (
      ys[i]! * (1 + 2 * u) * (1 - u) ** 2 +
      ys[i + 1]! * u * u * (3 - 2 * u) +
      h * u * (1 - u) * (slopes[i]! * (1 - u) - slopes[i + 1]! * u)
    );
  };
}
