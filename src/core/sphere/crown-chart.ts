/**
 * The equal-area chart of the scalp: azimuthal about the crown, in units of the calibrated radius R.
 * `+x` is the client's right, `+y` the face. Drawn area is scalp area. (parting-map §1)
 */
export interface ChartPoint {
  readonly x: number;
  readonly y: number;
}

/** A chart point with its place in the row frame: `f` across (−1 … 1 about), `t` from nape to face. */
export interface FramePoint extends ChartPoint {
  readonly f: number;
  readonly t: number;
}

/** R in cm for one cm of head circumference, calibrated to 650 cm² of hair-bearing scalp at 56 cm. */
export const RADIUS_CM_PER_CIRCUMFERENCE_CM = 0.190424;

/** Chart point of azimuth `azimuthRad` (from the face towards the client's right) and polar angle `polarRad`. */
export function chartPoint(azimuthRad: number, polarRad: number): ChartPoint {
  const r = 2 * Math.sin(polarRad / 2);
  return { x: r * Math.sin(azimuthRad), y: r * Math.cos(azimuthRad) };
}

/** Unit vector on the sphere of a chart point. */
export function sphereVector({ x, y }: ChartPoint): readonly [number, number, number] {
  const r2 = x * x + y * y;
  const k = Math.sqrt(Math.max(0, 1 - r2 / 4));
  return [x * k, y * k, 1 - r2 / 2];
}

/**
 * Great-circle distance between two chart points, in R.
 *
 * @example sphereDistance({ x: 0, y: 0 }, { x: 0, y: 1 }) // => 1.047
 */
export function sphereDistance(a: ChartPoint, b: ChartPoint): number {
  const [ax, ay, az] = sphereVector(a);
  const [bx, by, bz] = sphereVector(b);
  return 2 * Math.asin(Math.min(1, Math.hypot(ax - bx, ay - by, az - bz) / 2));
}

const HALF_WIDTH = 1.235;
const ROW_BEND = 0.22;
const laneHalfWidth = (y: number) => HALF_WIDTH * Math.sqrt(Math.max(0, 1 - (y / 2.05) ** 2));

/** Row frame of a chart point: lines of equal `t` smile round the back, lines of equal `f` fan like lanes. */
export function framePoint({ x, y }: ChartPoint): FramePoint {
  return { x, y, f: x / laneHalfWidth(y), t: y * (1 + ROW_BEND * (x / HALF_WIDTH) ** 2) };
}

/** Inverse of {@link framePoint}; Newton from y = t converges to below 1e-14 in four steps. */
export function fromFrame(f: number, t: number): FramePoint {
  const bend = ROW_BEND * f * f;
  let y = t;
  for (let step = 0; step < 4; step++) {
    const value = y * (1 + bend * (1 - (y / 2.05) ** 2)) - t;
    const slope = 1 + bend * (1 - 3 * (y / 2.05) ** 2);
    y -= value / slope;
  }
  return { x: f * laneHalfWidth(y), y, f, t };
}
