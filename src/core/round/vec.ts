/** A point or direction of the scene, cm: y up, the face towards +z, the client's right at −x. */
export type Vec = readonly [number, number, number];

export const add = (a: Vec, b: Vec, times = 1): Vec => [
  a[0] + times * b[0],
  a[1] + times * b[1],
  a[2] + times * b[2],
];
export const scaled = (a: Vec, times: number): Vec => [a[0] * times, a[1] * times, a[2] * times];
export const dot = (a: Vec, b: Vec): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const cross = (a: Vec, b: Vec): Vec => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
/** The same direction, one long; a vector of no length stays none. */
export const unit = (a: Vec): Vec => {
  const length = Math.hypot(a[0], a[1], a[2]) || 1;
  return [a[0] / length, a[1] / length, a[2] / length];
};
/** The part of a direction that lies across another, one long. */
export const across = (a: Vec, along: Vec): Vec => unit(add(a, along, -dot(a, along)));
/** Any direction across another, the same for the same. */
export const anyAcross = (along: Vec): Vec => across(Math.abs(along[1]) > 0.9 ? [0, 0, 1] : [0, 1, 0], along);
/** 0 up to `from`, 1 from `to` on, without a corner. */
export const smoothStep = (from: number, to: number, at: number): number => {
  const t = Math.min(1, Math.max(0, (at - from) / (to - from)));
  return t * t * (3 - 2 * t);
};
