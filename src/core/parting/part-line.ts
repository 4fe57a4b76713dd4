import type { FramePoint } from '../sphere/crown-chart';
import { framePoint, fromFrame } from '../sphere/crown-chart';
import { monotoneCubic } from '../sphere/monotone-cubic';
import type { CutFrame } from '../sphere/polygon';
import type { PartLine } from './pattern';

/** Control points of a part: position from nape to face `t` and across `f`, from the face back. */
export type PartPoints = readonly (readonly [t: number, f: number])[];

const SIDE: PartPoints = [[1.6, 0.4], [0.55, 0.38], [-0.2, 0.36], [-1.7, 0.3]]; // prettier-ignore
const CURVED: PartPoints = [
  [1.6, 0.5], [1.15, 0.46], [0.7, 0.38], [0.25, 0.24], [-0.3, 0.1], [-0.9, 0.03], [-1.7, 0],
]; // prettier-ignore
const toLeft = (points: PartPoints): PartPoints => points.map(([t, f]) => [t, -f] as const);

/** Points of each part as it is usually worn (parting-map §4; common practice). No line where there is none. */
export const PART_POINTS: Readonly<Record<PartLine, PartPoints | null>> = {
  none: null,
  centre: [[1.6, 0], [-1.7, 0]],
  left: toLeft(SIDE),
  right: SIDE,
  'curved-left': toLeft(CURVED),
  'curved-right': CURVED,
  'half-up': null,
  'off-face': null,
}; // prettier-ignore

/** Where a part runs across, at any `t`. */
export function partAcross(points: PartPoints): (t: number) => number {
  const rising = [...points].sort((a, b) => a[0] - b[0]);
  const first = rising[0]!;
  const last = rising.at(-1)!;
  if (rising.every(([, f]) => f === first[1])) return () => first[1];
  const across = monotoneCubic(
    rising.map(([t]) => t),
    rising.map(([, f]) => f),
  );
  return (t) => across(Math.min(last[0], Math.max(first[0], t)));
}

/** Coordinates of one side of a part: `f` is 0 on the part, so that neighbouring cuts run along it. */
export interface SideFrame extends CutFrame {
  readonly from: (point: FramePoint) => FramePoint;
}

/**
 * The frame of the hair on one side of a part.
 *
 * @source parting-map §4.1: g = (f − p) / (1 − p) on the right, (f − p) / (1 + p) on the left
 */
export function sideFrame(part: (t: number) => number, side: 'left' | 'right'): SideFrame {
  const width = (t: number) => (side === 'right' ? 1 - part(t) : 1 + part(t));
  const from = (point: FramePoint) => ({ ...point, f: (point.f - part(point.t)) / width(point.t) });
  return {
    from,
    of: (place) => from(framePoint(place)),
    at: (g, t) => ({ ...fromFrame(part(t) + g * width(t), t), f: g }),
  };
}
