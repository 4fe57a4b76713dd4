/** What a scale says at one moment. */
export interface ScaleReading {
  readonly grams: number;
  readonly atMs: number;
}

/**
 * A scale as the product knows it: it only tells. A real one is added by another function of this shape.
 *
 * @param onReading called for every reading until stopped
 * @returns stops listening
 */
export type Scale = (onReading: (reading: ScaleReading) => void) => () => void;

/** Readings that lie this close together, for this long, are a weight and not a hand in motion. */
const STEADY_WITHIN_G = 0.5;
const STEADY_MS = 1200;
/** Fewer than these are too few to tell. */
const STEADY_READINGS = 4;

/**
 * The weight that a scale has settled on, g: the median of the last second or so, or null while it still moves.
 * The median is not pulled by the one odd reading of a bump.
 *
 * @param readings oldest first
 */
export function settledG(readings: readonly ScaleReading[]): number | null {
  const last = readings.at(-1);
  if (!last) return null;
  const recent = readings.filter(({ atMs }) => atMs >= last.atMs - STEADY_MS);
  const covers = readings[0]!.atMs <= last.atMs - STEADY_MS;
  if (!covers || recent.length < STEADY_READINGS) return null;
  const sorted = recent.map(({ grams }) => grams).sort((a, b) => a - b);
  if (sorted.at(-1)! - sorted[0]! > STEADY_WITHIN_G) return null;
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}
