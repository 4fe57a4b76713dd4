/** A curl as it is seen: how long its hair is, how much of that shows, how wide it is. */
export interface SeenCurl {
  readonly lengthCm: number;
  readonly visibleCm: number;
  readonly diameterMm: number;
  /** A curl winds round its axis; a wave or crimp lies in a plane. */
  readonly shape: 'curl' | 'crimp' | 'wave';
}

/** Hair straighter than this has no curl left to draw. */
const STRAIGHT = 0.999;
const BISECTIONS = 40;
const ARC_STEPS = 64;

/** Arc length over axis length of a sine wave, by Simpson's rule. */
function sineRatio(amplitudeCm: number, waveCm: number): number {
  const slope = (2 * Math.PI * amplitudeCm) / waveCm;
  let sum = 0;
  for (let i = 0; i <= ARC_STEPS; i++) {
    const weight = i === 0 || i === ARC_STEPS ? 1 : i % 2 === 1 ? 4 : 2;
    sum += weight * Math.hypot(1, slope * Math.cos((2 * Math.PI * i) / ARC_STEPS));
  }
  return sum / (3 * ARC_STEPS);
}

/**
 * Axis length of one turn of a curl whose hair is `lengthCm` long and shows `visibleCm`, cm.
 * A helix of diameter D and pitch p has √((πD)² + p²) of hair to a turn; a wave is a sine of half that height.
 * Infinite where the hair hangs straight.
 */
export function turnCm({ lengthCm, visibleCm, diameterMm, shape }: SeenCurl): number {
  const share = visibleCm / lengthCm;
  if (share >= STRAIGHT || diameterMm <= 0) return Infinity;
  const diameterCm = diameterMm / 10;
  const helix = (Math.PI * diameterCm * share) / Math.sqrt(1 - share * share);
  if (shape === 'curl') return helix;
  let [low, high] = [helix / 20, helix * 20];
  for (let i = 0; i < BISECTIONS; i++) {
    const middle = Math.sqrt(low * high);
    if (sineRatio(diameterCm / 2, middle) > 1 / share) low = middle;
    else high = middle;
  }
  return Math.sqrt(low * high);
}
