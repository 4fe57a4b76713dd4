/** A point or direction, cm: x to the client's right, y to the face, z up. */
export type Vec3 = readonly [number, number, number];

/** A curl as it is seen: how long its hair is, how much of that shows, how wide it is. */
export interface SeenCurl {
  readonly lengthCm: number;
  readonly visibleCm: number;
  readonly diameterMm: number;
  /** A curl winds round its axis; a wave or crimp lies in a plane. */
  readonly shape: 'curl' | 'crimp' | 'wave';
}

/** A place along a curl: how far down its axis, and how far off it, cm. */
export interface CurlPoint {
  readonly alongCm: number;
  readonly uCm: number;
  readonly vCm: number;
}

/** Hair straighter than this has no curl left to draw. */
const STRAIGHT = 0.999;
const POINTS_A_TURN = 14;
const MOST_POINTS = 420;
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

/**
 * Points along a curl at its true size: the hair between them is as long as the hair is.
 *
 * @param phaseRad where round its axis it begins
 */
export function curlPoints(curl: SeenCurl, phaseRad = 0): CurlPoint[] {
  const turn = turnCm(curl);
  const turns = Number.isFinite(turn) ? curl.visibleCm / turn : 0;
  const count = Math.min(MOST_POINTS, Math.max(8, Math.ceil(turns * POINTS_A_TURN)));
  const radiusCm = turns === 0 ? 0 : curl.diameterMm / 20;
  return Array.from({ length: count + 1 }, (_, i) => {
    const alongCm = (curl.visibleCm * i) / count;
    const angle = phaseRad + (turns === 0 ? 0 : (2 * Math.PI * alongCm) / turn);
    return {
      alongCm,
      uCm: radiusCm * Math.cos(angle),
      vCm: curl.shape === 'curl' ? radiusCm * Math.sin(angle) : 0,
    };
  });
}

const add = (a: Vec3, b: Vec3, times = 1): Vec3 => [
  a[0] + times * b[0],
  a[1] + times * b[1],
  a[2] + times * b[2],
];
const dot = (a: Vec3, b: Vec3) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const cross = (a: Vec3, b: Vec3): Vec3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
const unit = (a: Vec3): Vec3 => {
  const length = Math.hypot(...a) || 1;
  return [a[0] / length, a[1] / length, a[2] / length];
};

/** How far from the scalp hair stands before it hangs, cm (for the eye; assumed). */
const STANDS_CM = 1.6;
const DOWN: Vec3 = [0, 0, -1];

/** A place on an axis, with two directions across it. */
export interface AxisPoint {
  readonly at: Vec3;
  readonly u: Vec3;
  readonly v: Vec3;
}

/**
 * The axis of a curl: out of the scalp, then down, never through the head. For the eye only; how long it is,
 * is exact.
 *
 * @param outside moves a point that lies in the head to its surface
 */
export function hangingAxis(
  rootAt: Vec3,
  normal: Vec3,
  lengthCm: number,
  steps: number,
  outside: (at: Vec3) => Vec3,
): AxisPoint[] {
  const step = lengthCm / steps;
  const sideways = unit([normal[0], normal[1] === 0 && normal[0] === 0 ? -1 : normal[1], 0]);
  let at = rootAt;
  let along = unit(normal);
  let u = unit(cross(along, Math.abs(along[2]) > 0.9 ? [0, 1, 0] : [0, 0, 1]));
  const points: AxisPoint[] = [{ at, u, v: cross(along, u) }];
  for (let i = 1; i <= steps; i++) {
    const left = Math.exp(-(i * step) / STANDS_CM);
    const pull = add(DOWN, sideways, 0.25);
    const wanted = unit(add(add([0, 0, 0], normal, left), pull, 1 - left));
    const moved = outside(add(at, wanted, step));
    // The surface may push a point along; the step keeps its length all the same.
    along = unit(add(moved, at, -1));
    at = add(at, along, step);
    u = unit(add(u, along, -dot(u, along)));
    points.push({ at, u, v: cross(along, u) });
  }
  return points;
}

/** Points of a curl wound about an axis, cm. */
export function woundAbout(curl: readonly CurlPoint[], axis: readonly AxisPoint[], lengthCm: number): Vec3[] {
  const steps = axis.length - 1;
  return curl.map(({ alongCm, uCm, vCm }) => {
    const place = Math.min(steps, (alongCm / lengthCm) * steps);
    const before = Math.min(steps - 1, Math.floor(place));
    const share = place - before;
    const [a, b] = [axis[before]!, axis[before + 1]!];
    const at = add(a.at, add(b.at, a.at, -1), share);
    return add(add(at, a.u, uCm), a.v, vCm);
  });
}
