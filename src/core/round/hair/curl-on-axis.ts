import { round } from '../../coefficients/round';
import { turnCm, type SeenCurl } from '../../curl/seen-curl';
import { anyAcross, cross, smoothStep, unit, type Vec } from '../vec';
import { NODES } from './axis';

const POINTS_A_TURN = 11;
export const MOST_POINTS = 150;
const FEWEST_POINTS = 12;
const MOST_STEPS = 12;
/** Of the square of the length. */
const NEAR_ENOUGH = 0.002;

/** An axis with two directions across it at every node, carried along without twisting. */
export interface Framed {
  readonly at: Float64Array;
  readonly u: Float64Array;
  readonly v: Float64Array;
}

/**
 * Frames of an axis of nodes, evenly spaced.
 *
 * @param hand −1 makes the second direction that of the mirror image
 */
export function framed(nodes: Float64Array, from: number, hand: 1 | -1, count = NODES): Framed {
  const at = nodes.slice(from, from + 3 * count);
  const u = new Float64Array(3 * count);
  const v = new Float64Array(3 * count);
  const direction = (i: number): Vec => {
    const [a, b] = [Math.max(0, i - 1), Math.min(count - 1, i + 1)];
    return unit([at[3 * b]! - at[3 * a]!, at[3 * b + 1]! - at[3 * a + 1]!, at[3 * b + 2]! - at[3 * a + 2]!]);
  };
  let across = anyAcross(direction(0));
  for (let i = 0; i < count; i++) {
    const t = direction(i);
    const along = across[0] * t[0] + across[1] * t[1] + across[2] * t[2];
    across = unit([across[0] - along * t[0], across[1] - along * t[1], across[2] - along * t[2]]);
    const third = cross(t, across);
    u.set(across, 3 * i);
    v.set([hand * third[0], hand * third[1], hand * third[2]], 3 * i);
  }
  return { at, u, v };
}

/** One lock of a piece: how it lies about the axis. */
export interface LockShape {
  readonly curl: SeenCurl;
  /** How far along the axis it goes, 0 to 1. */
  readonly reach: number;
  /** Half its width, cm: the middle of the lock runs so far inside the curl. */
  readonly halfCm: number;
  readonly phaseRad: number;
  /** How far it runs out of step by the tip, radians. */
  readonly driftRad: number;
  /** How far beside the axis it hangs by the middle of its length, along the two directions across, cm. */
  readonly asideU: number;
  readonly asideV: number;
  /** From the axis to its own root, cm. */
  readonly rootOff: Vec;
  /** Length that stays flat at the root, cm. */
  readonly flatRootCm: number;
}

/** Length in which a lock comes from its own root to the piece that it hangs in, cm. */
const GATHERS_CM = 3;
/** Length in which locks of a piece come apart, cm. */
const PARTS_CM = 5;
/** How quickly the plane of a wave turns, radians a cm. */
const WAVE_TURNS = 0.12;

/** Writes a lock as points, at a rate of turning; answers how long it is drawn. */
function wound(
  lock: LockShape,
  { at, u, v }: Framed,
  rate: number,
  into: Float64Array,
  count: number,
): number {
  const { curl, reach, halfCm, phaseRad, driftRad, asideU, asideV, rootOff, flatRootCm } = lock;
  const nodes = at.length / 3 - 1;
  const full = curl.diameterMm / 20;
  const radius = Math.max(0, full - 0.8 * halfCm);
  const fromCm = Math.min(flatRootCm, 0.6 * curl.visibleCm);
  let length = 0;
  for (let i = 0; i <= count; i++) {
    const share = i / count;
    const s = share * curl.visibleCm;
    const place = Math.min(nodes - 1e-9, share * reach * nodes);
    const k = Math.floor(place);
    const t = place - k;
    const ramp = radius * smoothStep(fromCm - 0.01, fromCm + round.value.curlFromCm, s);
    const angle = phaseRad + driftRad * share + rate * s;
    const plane = phaseRad * 3 + WAVE_TURNS * s;
    const [cu, cv] =
      curl.shape === 'curl'
        ? [Math.cos(angle), Math.sin(angle)]
        : [Math.cos(plane) * Math.sin(angle), Math.sin(plane) * Math.sin(angle)];
    const parted = smoothStep(0, PARTS_CM, s);
    const au = ramp * cu + asideU * parted;
    const av = ramp * cv + asideV * parted;
    const gathered = 1 - smoothStep(0, Math.min(GATHERS_CM, 0.7 * curl.visibleCm), s);
    for (let c = 0; c < 3; c++) {
      const [a, b] = [3 * k + c, 3 * k + 3 + c];
      into[3 * i + c] =
        at[a]! + t * (at[b]! - at[a]!) +
        au * (u[a]! + t * (u[b]! - u[a]!)) +
        av * (v[a]! + t * (v[b]! - v[a]!)) +
        gathered * rootOff[c]!; // prettier-ignore
    }
    if (i > 0)
      length += Math.sqrt(
        (into[3 * i]! - into[3 * i - 3]!) ** 2 +
          (into[3 * i + 1]! - into[3 * i - 2]!) ** 2 +
          (into[3 * i + 2]! - into[3 * i - 1]!) ** 2,
      );
  }
  return length;
}

/** Steps that a lock of this curl is drawn in. */
export function stepsOf(curl: SeenCurl, most = MOST_POINTS): number {
  const turn = turnCm(curl);
  const turns = Number.isFinite(turn) ? curl.visibleCm / turn : 0;
  return Math.min(most, Math.max(FEWEST_POINTS, Math.ceil(turns * POINTS_A_TURN)));
}

/**
 * A lock about its axis: it turns as quickly as makes the line that is drawn as long as the hair is.
 *
 * @returns points, x y z after each other
 */
export function lockOnAxis(lock: LockShape, axis: Framed, most = MOST_POINTS): Float64Array {
  const count = stepsOf(lock.curl, most);
  const points = new Float64Array(3 * (count + 1));
  const turn = turnCm(lock.curl);
  if (!Number.isFinite(turn)) {
    wound(lock, axis, 0, points, count);
    return points;
  }
  // Above this rate the points are too few to follow: more turning would be drawn shorter.
  const fastest = Math.min((2 * Math.PI * count) / (lock.curl.visibleCm * 5), (2 * Math.PI * 3) / turn);
  // The square of the length grows with that of the rate, for a helix exactly: found within a few steps.
  const wanted = lock.curl.lengthCm ** 2;
  const square = (rateSquare: number) =>
    wound(lock, axis, Math.sqrt(rateSquare), points, count) ** 2 - wanted;
  let [low, high] = [0, fastest ** 2];
  let [offLow, offHigh] = [square(low), square(high)];
  if (offHigh < 0) return points;
  if (offLow > 0) {
    wound(lock, axis, 0, points, count);
    return points;
  }
  for (let i = 0; i < MOST_STEPS; i++) {
    const share = Math.min(0.98, Math.max(0.02, offLow / (offLow - offHigh)));
    const middle = low + share * (high - low);
    const off = square(middle);
    if (Math.abs(off) < NEAR_ENOUGH * wanted) break;
    if (off < 0) [low, offLow, offHigh] = [middle, off, offHigh * 0.7];
    else [high, offHigh, offLow] = [middle, off, offLow * 0.7];
  }
  return points;
}

/** Length of a line of points, cm. */
export function lengthOf(points: Float64Array): number {
  let length = 0;
  for (let i = 3; i < points.length; i += 3)
    length += Math.hypot(
      points[i]! - points[i - 3]!,
      points[i + 1]! - points[i - 2]!,
      points[i + 2]! - points[i - 1]!,
    );
  return length;
}
