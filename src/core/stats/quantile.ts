/**
 * Quantiles of a sample by linear interpolation between order statistics.
 *
 * @param values at least one
 * @source Hyndman & Fan 1996, type 7
 * @example quantiles([1, 2, 3, 4], [0.1, 0.5]) // => [1.3, 2.5]
 */
export function quantiles(values: readonly number[], wanted: readonly number[]): number[] {
  const sorted = [...values].sort((a, b) => a - b);
  return wanted.map((p) => {
    const at = p * (sorted.length - 1);
    const below = Math.floor(at);
    const above = Math.min(sorted.length - 1, below + 1);
    return sorted[below]! + (at - below) * (sorted[above]! - sorted[below]!);
  });
}
