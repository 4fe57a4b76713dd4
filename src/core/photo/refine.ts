import { inverse as invert, Matrix } from 'ml-matrix';
import type { Rng } from '../random/rng';
import { toPx, type Homography } from './homography';
import { sample, type Plane, type Point } from './picture';

/** A straight edge of the reference, mm. */
export interface Edge {
  readonly from: Point;
  readonly to: Point;
  /** 1 where it grows lighter to the right of its direction (y down), −1 where darker, 0 where either may be. */
  readonly polarity: -1 | 0 | 1;
}

/** A homography made to lie on the edges of a picture. */
export interface Refined {
  readonly h: Homography;
  /** Covariance of its first eight numbers. */
  readonly covariance: readonly (readonly number[])[];
  readonly rmsPx: number;
  /** Edges that were found. */
  readonly found: number;
}

/** Where the brightness changes most along a line across an edge. */
interface Peak {
  readonly at: Point;
  readonly strength: number;
  readonly sign: number;
}

const PROFILE_STEP = 0.5;
const STRONGEST = 3;
const PAIRS = 160;
/** One look at every so many px of an edge. */
const LOOK_EVERY_PX = 2.5;
/** Peaks on a line that make an edge found, and the share of the looks that they must be. */
const [LEAST_PEAKS, LEAST_SHARE] = [6, 0.35];

/** The strongest changes of brightness about one place of an edge. */
function peaksAcross(plane: Plane, [x, y]: Point, [nx, ny]: Point, radius: number, polarity: number): Peak[] {
  const half = Math.round(radius / PROFILE_STEP);
  const profile = Float64Array.from({ length: 2 * half + 3 }, (_, i) => {
    const t = (i - half - 1) * PROFILE_STEP;
    return sample(plane, x + t * nx, y + t * ny);
  });
  const slope = Float64Array.from({ length: 2 * half + 1 }, (_, i) => profile[i + 2]! - profile[i]!);
  const peaks: Peak[] = [];
  for (let i = 1; i < slope.length - 1; i++) {
    const [before, here, after] = [Math.abs(slope[i - 1]!), Math.abs(slope[i]!), Math.abs(slope[i + 1]!)];
    const sign = Math.sign(slope[i]!);
    if (here < 1e-4 || here < before || here <= after || (polarity !== 0 && sign !== polarity)) continue;
    const bend = before - 2 * here + after;
    const shift = bend < 0 ? (0.5 * (before - after)) / bend : 0;
    const t = (i - half + shift) * PROFILE_STEP;
    peaks.push({ at: [x + t * nx, y + t * ny], strength: here, sign });
  }
  return peaks.sort((a, b) => b.strength - a.strength).slice(0, STRONGEST);
}

/** All candidates of one edge, and how many places were looked at. */
function peaksOf(plane: Plane, h: Homography, { from, to, polarity }: Edge, radius: number) {
  const [ax, ay] = toPx(h, from);
  const [bx, by] = toPx(h, to);
  const length = Math.hypot(bx - ax, by - ay);
  const looks = Math.max(4, Math.round(length / LOOK_EVERY_PX));
  const normal: Point = [-(by - ay) / length, (bx - ax) / length];
  const peaks = Array.from({ length: looks }, (_, i) => {
    const t = (i + 0.5) / looks;
    // Along the plane, so that looks stay even in perspective.
    const at = toPx(h, [from[0] + t * (to[0] - from[0]), from[1] + t * (to[1] - from[1])]);
    return peaksAcross(plane, at, normal, radius, polarity);
  });
  return { peaks: peaks.flat(), looks };
}

/** The peaks that lie on the best line through any two of them. */
function onOneLine(peaks: readonly Peak[], tolerance: number, rng: Rng): Peak[] {
  let best: Peak[] = [];
  let most = 0;
  for (let i = 0; i < PAIRS; i++) {
    const a = peaks[Math.floor(rng() * peaks.length)]!;
    const b = peaks[Math.floor(rng() * peaks.length)]!;
    const [dx, dy] = [b.at[0] - a.at[0], b.at[1] - a.at[1]];
    const length = Math.hypot(dx, dy);
    if (length < 4 || a.sign !== b.sign) continue;
    let score = 0;
    const on: Peak[] = [];
    for (const peak of peaks) {
      if (peak.sign !== a.sign) continue;
      const off = Math.abs((peak.at[0] - a.at[0]) * dy - (peak.at[1] - a.at[1]) * dx) / length;
      if (off > tolerance) continue;
      score += Math.sqrt(peak.strength);
      on.push(peak);
    }
    if (score > most) [best, most] = [on, score];
  }
  return best;
}

/** How far a peak is from its edge, px, to the side. */
function offEdge(h: Homography, { from, to }: Edge, [x, y]: Point): number {
  const [ax, ay] = toPx(h, from);
  const [bx, by] = toPx(h, to);
  return ((x - ax) * (by - ay) - (y - ay) * (bx - ax)) / Math.hypot(bx - ax, by - ay);
}

/** What eight numbers change, scaled alike: offsets of peaks by each. */
function slopesOf(h: Homography, edge: Edge, at: Point): number[] {
  return Array.from({ length: 8 }, (_, j) => {
    const step = 1e-6 * Math.max(Math.abs(h[j]!), j < 6 ? 1 : 1e-3);
    const moved = (by: number) =>
      offEdge(
        h.map((value, i) => (i === j ? value + by : value)),
        edge,
        at,
      );
    return (moved(step) - moved(-step)) / (2 * step);
  });
}

/** Inverse of JᵀJ, its columns scaled to one size on the way. */
function normalInverse(jacobian: Matrix): Matrix {
  const sizes = Array.from({ length: 8 }, (_, j) => Math.hypot(...jacobian.getColumn(j)) || 1);
  const even = jacobian.clone();
  sizes.forEach((size, j) => even.mulColumn(j, 1 / size));
  const inverted = invert(even.transpose().mmul(even));
  sizes.forEach((size, j) => {
    inverted.mulRow(j, 1 / size);
    inverted.mulColumn(j, 1 / size);
  });
  return inverted;
}

/**
 * Makes a homography lie on the edges that are really in the picture: across each edge the strongest changes of brightness
 * are looked for, those on a line are kept, and all of them together move the eight numbers by one step of Gauss and Newton.
 *
 * @param radii how far is looked, px, from round to round
 * @returns null where too little was found to say anything
 * @source photo §1
 */
export function refine(
  plane: Plane,
  start: Homography,
  edges: readonly Edge[],
  radii: readonly number[],
  rng: Rng,
): Refined | null {
  let h = start;
  let last: Omit<Refined, 'h'> | null = null;
  radii.forEach((radius, round) => {
    const tolerance = round === 0 ? Math.max(0.8, 0.08 * radius) : 0.7;
    const rows: number[][] = [];
    const offsets: number[] = [];
    const held: [Edge, Point][] = [];
    let found = 0;
    for (const edge of edges) {
      const { peaks, looks } = peaksOf(plane, h, edge, radius);
      if (peaks.length < 2) continue;
      const on = onOneLine(peaks, tolerance, rng);
      if (on.length < Math.min(LEAST_PEAKS, looks) || on.length < LEAST_SHARE * looks) continue;
      found++;
      for (const { at } of on) {
        rows.push(slopesOf(h, edge, at));
        offsets.push(offEdge(h, edge, at));
        held.push([edge, at]);
      }
    }
    last = null;
    if (rows.length < 8) return;
    const jacobian = new Matrix(rows);
    const inverted = normalInverse(jacobian);
    const step = inverted.mmul(jacobian.transpose().mmul(Matrix.columnVector(offsets))).to1DArray();
    h = h.map((value, j) => (j < 8 ? value - step[j]! : value));
    const after = held.map(([edge, at]) => offEdge(h, edge, at));
    const rmsPx = Math.sqrt(after.reduce((sum, off) => sum + off * off, 0) / after.length);
    last = { rmsPx, found, covariance: inverted.mul(4 * Math.max(rmsPx, 0.2) ** 2).to2DArray() };
  });
  const told = last as Omit<Refined, 'h'> | null;
  return told && h.every(Number.isFinite) ? { h, ...told } : null;
}

/** Standard deviation of a figure that hangs on the homography, by the slope of it along each of the eight numbers. */
export function sigmaOf(
  { h, covariance }: Pick<Refined, 'h' | 'covariance'>,
  figure: (h: Homography) => number,
): number {
  const slopes = Array.from({ length: 8 }, (_, j) => {
    const step = Math.max(1e-12, Math.sqrt(covariance[j]![j]!) / 10);
    const moved = (by: number) => figure(h.map((value, i) => (i === j ? value + by : value)));
    return (moved(step) - moved(-step)) / (2 * step);
  });
  let variance = 0;
  for (let i = 0; i < 8; i++)
    for (let j = 0; j < 8; j++) variance += slopes[i]! * covariance[i]![j]! * slopes[j]!;
  return Math.sqrt(Math.max(0, variance));
}
