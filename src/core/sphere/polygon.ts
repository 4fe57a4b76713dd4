import type { ChartPoint, FramePoint } from './crown-chart';
import { framePoint, fromFrame } from './crown-chart';

/** Cut edges are drawn through the curve at no more than this spacing, in R. */
const CUT_SPACING = 0.025;

/** Area of a closed polygon in R² (shoelace), without sign. */
export function polygonArea(points: readonly ChartPoint[]): number {
  let doubled = 0;
  for (let i = 0, j = points.length - 1; i < points.length; j = i++) {
    doubled += points[j]!.x * points[i]!.y - points[i]!.x * points[j]!.y;
  }
  return Math.abs(doubled) / 2;
}

/** Centroid of a closed polygon. */
export function polygonCentroid(points: readonly ChartPoint[]): ChartPoint {
  let doubled = 0;
  let x = 0;
  let y = 0;
  for (let i = 0, j = points.length - 1; i < points.length; j = i++) {
    const cross = points[j]!.x * points[i]!.y - points[i]!.x * points[j]!.y;
    doubled += cross;
    x += (points[j]!.x + points[i]!.x) * cross;
    y += (points[j]!.y + points[i]!.y) * cross;
  }
  return { x: x / (3 * doubled), y: y / (3 * doubled) };
}

/** Whether a point lies inside a closed polygon (even–odd rule). */
export function polygonContains(points: readonly ChartPoint[], { x, y }: ChartPoint): boolean {
  let inside = false;
  for (let i = 0, j = points.length - 1; i < points.length; j = i++) {
    const a = points[i]!;
    const b = points[j]!;
    if (a.y > y !== b.y > y && x < ((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
  }
  return inside;
}

type Axis = 'f' | 't';

/** Two coordinates that a polygon can be cut along, and the way back to the chart. */
export interface CutFrame {
  readonly at: (f: number, t: number) => FramePoint;
  /** The coordinates of a place on the chart: the inverse of {@link at}. */
  readonly of: (place: ChartPoint) => FramePoint;
  /** Length on the chart of a cut between two points, R, where the straight line misleads. */
  readonly cutLength?: (from: FramePoint, to: FramePoint, axis: Axis) => number;
}

/** The row frame of the whole scalp. */
export const ROW_FRAME: CutFrame = { at: fromFrame, of: framePoint };

/** The points strictly between two ends of a cut, taken along the true line of equal `axis`. */
function alongCut(from: FramePoint, to: FramePoint, axis: Axis, frame: CutFrame): FramePoint[] {
  const length = frame.cutLength?.(from, to, axis) ?? Math.hypot(to.x - from.x, to.y - from.y);
  const pieces = Math.ceil(length / CUT_SPACING);
  const other = axis === 'f' ? 't' : 'f';
  const points: FramePoint[] = [];
  const forward = from[other] <= to[other];
  const [low, high] = forward ? [from[other], to[other]] : [to[other], from[other]];
  for (let i = 1; i < pieces; i++) {
    const value = low + ((high - low) * i) / pieces;
    points.push(axis === 'f' ? frame.at(from.f, value) : frame.at(value, from.t));
  }
  return forward ? points : points.reverse();
}

function crossing(a: FramePoint, b: FramePoint, axis: Axis, at: number): FramePoint {
  // The lower end first, so that both neighbours of a cut compute the very same point.
  const isRising = a[axis] <= b[axis];
  const low = isRising ? a : b;
  const high = isRising ? b : a;
  const share = (at - low[axis]) / (high[axis] - low[axis]);
  return {
    x: low.x + share * (high.x - low.x),
    y: low.y + share * (high.y - low.y),
    f: axis === 'f' ? at : low.f + share * (high.f - low.f),
    t: axis === 't' ? at : low.t + share * (high.t - low.t),
  };
}

/**
 * The part of a polygon on one side of a line of equal `f` or `t` of a frame.
 * Neighbours on the two sides share every point of the cut, so their areas add up to the whole.
 *
 * @source Sutherland & Hodgman 1974, Comm. ACM 17(1), against one coordinate of the row frame
 */
export function clipPolygon(
  points: readonly FramePoint[],
  axis: Axis,
  at: number,
  keep: 'below' | 'above',
  frame: CutFrame = ROW_FRAME,
): FramePoint[] {
  const across = axis === 'f';
  const isBelow = keep === 'below';
  const kept: FramePoint[] = [];
  if (points.length === 0) return kept;
  const first = points[0]!;
  const firstInside = (across ? first.f : first.t) < at === isBelow;
  let a = first;
  let aInside = firstInside;
  let exit: FramePoint | null = null;
  let firstEntry: FramePoint | null = null;
  let firstEntryIndex = 0;
  for (let i = 1; i <= points.length; i++) {
    const isLast = i === points.length;
    const b = isLast ? first : points[i]!;
    const bInside = isLast ? firstInside : (across ? b.f : b.t) < at === isBelow;
    if (aInside) kept.push(a);
    if (aInside === bInside) {
      a = b;
      continue;
    }
    const cut = crossing(a, b, axis, at);
    a = b;
    aInside = bInside;
    if (bInside) {
      if (exit) kept.push(...alongCut(exit, cut, axis, frame));
      else {
        firstEntry = cut;
        firstEntryIndex = kept.length;
      }
      kept.push(cut);
    } else {
      kept.push(cut);
      exit = cut;
    }
  }
  if (firstEntry && exit) kept.splice(firstEntryIndex, 0, ...alongCut(exit, firstEntry, axis, frame));
  return kept;
}
