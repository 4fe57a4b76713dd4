import type { ChartPoint } from '../sphere/crown-chart';
import { polygonContains } from '../sphere/polygon';

/** Middle of the largest clear circle found inside an outline, and its radius, R. */
export interface ClearCircle extends ChartPoint {
  readonly radius: number;
}

const GRID = 7;
/** A place beats the centroid only when it is this much clearer: numbers stay in the middle. */
const CENTROID_ADVANTAGE = 1.12;

function clearance(outline: readonly ChartPoint[], { x, y }: ChartPoint): number {
  let nearest = Infinity;
  for (let i = 0, j = outline.length - 1; i < outline.length; j = i++) {
    const a = outline[j]!;
    const b = outline[i]!;
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const along = Math.min(1, Math.max(0, ((x - a.x) * dx + (y - a.y) * dy) / (dx * dx + dy * dy || 1)));
    nearest = Math.min(nearest, Math.hypot(x - a.x - along * dx, y - a.y - along * dy));
  }
  return nearest;
}

/** The clear circle about a given place in an outline. */
export const clearAt = (outline: readonly ChartPoint[], place: ChartPoint): ClearCircle => ({
  ...place,
  radius: polygonContains(outline, place) ? clearance(outline, place) : 0,
});

/** Where the number of a section is drawn: clear of its edges, near its centroid. */
export function visualCentre(outline: readonly ChartPoint[], centroid: ChartPoint): ClearCircle {
  const xs = outline.map((p) => p.x);
  const ys = outline.map((p) => p.y);
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  const [low, high] = [Math.min(...ys), Math.max(...ys)];
  const at = (point: ChartPoint) => (polygonContains(outline, point) ? clearance(outline, point) : 0);
  let best: ClearCircle = { ...centroid, radius: at(centroid) };
  for (let i = 0; i < GRID; i++) {
    for (let j = 0; j < GRID; j++) {
      const point = {
        x: left + ((i + 0.5) / GRID) * (right - left),
        y: low + ((j + 0.5) / GRID) * (high - low),
      };
      const radius = at(point);
      const bar =
        best.x === centroid.x && best.y === centroid.y ? best.radius * CENTROID_ADVANTAGE : best.radius;
      if (radius > bar) best = { ...point, radius };
    }
  }
  return best;
}
