/**
 * Piecewise linear interpolation, constant beyond the ends.
 *
 * @param xs abscissae, ascending, at least one
 * @param ys ordinates, as many as `xs`
 */
export function interpolate(xs: ArrayLike<number>, ys: ArrayLike<number>, x: number): number {
  const last = xs.length - 1;
  if (x <= xs[0]!) return ys[0]!;
  if (x >= xs[last]!) return ys[last]!;
  let low = 0;
  let high = last;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (xs[middle]! <= x) low = middle;
    else high = middle;
  }
  const share = (x - xs[low]!) / (xs[high]! - xs[low]!);
  return ys[low]! + share * (ys[high]! - ys[low]!);
}
