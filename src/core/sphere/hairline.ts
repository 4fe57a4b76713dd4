import { chartPoint, framePoint, type FramePoint } from './crown-chart';
import { monotoneCubic } from './monotone-cubic';

/** Half hairline: azimuth from the face and polar angle from the crown, degrees (common practice). */
const HALF_HAIRLINE_DEG: readonly (readonly [number, number])[] = [
  [0, 86], [12, 86], [24, 85], [36, 82.5], [46, 80.5], [54, 81], [62, 83], [70, 83.5], [77, 81], [84, 75.5],
  [90, 71.5], [98, 70.5], [107, 74.5], [117, 82], [130, 89.5], [142, 94], [154, 96], [166, 96], [180, 94.5],
]; // prettier-ignore

const mirrored = [
  [-24, 85] as const,
  [-12, 86] as const,
  ...HALF_HAIRLINE_DEG,
  [194, 96] as const,
  [206, 96] as const,
];
const polarDeg = monotoneCubic(
  mirrored.map(([azimuth]) => azimuth),
  mirrored.map(([, polar]) => polar),
);

/** Polar angle of the hairline, radians, at an azimuth in radians (0 at the face, either side). */
export function hairlinePolarRad(azimuthRad: number): number {
  const turn = 2 * Math.PI;
  const wrapped = ((azimuthRad % turn) + turn) % turn;
  const half = wrapped > Math.PI ? turn - wrapped : wrapped;
  return (polarDeg((half * 180) / Math.PI) * Math.PI) / 180;
}

/** The hairline as a closed polygon of chart points, sampled every `stepDeg` degrees of azimuth. */
export function hairlinePolygon(stepDeg = 1.5): FramePoint[] {
  const count = Math.round(360 / stepDeg);
  return Array.from({ length: count }, (_, i) => {
    const azimuth = (2 * Math.PI * i) / count;
    return framePoint(chartPoint(azimuth, hairlinePolarRad(azimuth)));
  });
}
