/** A parting of values in two: below and above. */
export interface Parted {
  readonly threshold: number;
  /** Share of the spread that lies between the two, 0 to 1. */
  readonly separability: number;
}

const BINS = 256;

/** The value that parts a sample best in two. @source Otsu 1979 */
export function otsu(values: Float32Array): Parted {
  let [low, high] = [Infinity, -Infinity];
  for (const value of values) {
    if (value < low) low = value;
    if (value > high) high = value;
  }
  if (!(high > low)) return { threshold: low, separability: 0 };
  const counts = new Float64Array(BINS);
  for (const value of values)
    counts[Math.min(BINS - 1, Math.floor(((value - low) / (high - low)) * BINS))]!++;
  const total = values.length;
  let [sum, squares] = [0, 0];
  counts.forEach((count, bin) => {
    sum += bin * count;
    squares += bin * bin * count;
  });
  const spread = squares / total - (sum / total) ** 2;
  let [below, sumBelow, best, at] = [0, 0, -1, 0];
  for (let bin = 0; bin < BINS - 1; bin++) {
    below += counts[bin]!;
    sumBelow += bin * counts[bin]!;
    if (below === 0 || below === total) continue;
    const apart = sumBelow / below - (sum - sumBelow) / (total - below);
    const between = (below / total) * (1 - below / total) * apart * apart;
    if (between > best) [best, at] = [between, bin + 1];
  }
  return { threshold: low + (at / BINS) * (high - low), separability: spread > 0 ? best / spread : 0 };
}
