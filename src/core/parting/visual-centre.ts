import type { ChartPoint } from '../sphere/crown-chart';
import { polygonContains } from '../sphere/polygon';

/** Middle of the largest clear circle found inside an outline, and its radius, R. */
export interface ClearCircle extends ChartPoint {
  readonly radius: number;
}

const GRID = 7;
/** A place beats the centroid only when it is this much clearer: numbers stay in the middle. */
const CENTROID_ADVANTAGE = 1.12;

/** Distance from a place to the nearest edge, or 0 as soon as it is known to be no more than `bar`. */
function clearance(outline: readonly ChartPoint[], { x, y }: ChartPoint, bar = 0): number {
  let nearest = Infinity;
  const enough = bar * bar;
  for (let i = 0, j = outline.length - 1; i < outline.length; j = i++) {
    const a = outline[j]!;
    const b = outline[i]!;
    const dx = b.x - a.x;
    const dy = b.y - a.y;
    const along = Math.min(1, Math.max(0, ((x - a.x) * dx + (y - a.y) * dy) / (dx * dx + dy * dy || 1)));
    const ex = x - a.x - along * dx;
    const ey = y - a.y - along * dy;
    const squared = ex * ex + ey * ey;
    if (squared <= enough) return 0;
    if (squared < nearest) nearest = squared;
  }
  return Math.sqrt(nearest);
}

/** The clear circle about a given place in an outline. */
export const clearAt = (outline: readonly ChartPoint[], place: ChartPoint): ClearCircle => ({
  ...place,
  radius: polygonContains(outline, place) ? clearance(outline, place) : 0,
});

/** Where the number of a section is drawn: clear of its edges, near its centroid. */
export function visualCentre(outline: readonly ChartPoint[], centroid: ChartPoint): ClearCircle {
  let [left, right, low, high] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const { x, y } of outline) {
    left = Math.min(left, x);
    right = Math.max(right, x);
    low = Math.min(low, y);
    high = Math.max(high, y);
  }
  let best = clearAt(outline, centroid);
  let bar = best.radius * CENTROID_ADVANTAGE;
  for (let i = 0; i < GRID; i++) {
    for (let j = 0; j < GRID; j++) {
      const place = {
        x: left + ((i + 0.5) / GRID) * (right - left),
        y: low + ((j + 0.5) / GRID) * (high - low),
      };
      const radius = clearance(outline, place, bar);
      if (radius <= bar || !polygonContains(outline, place)) continue;
      best = { ...place, radius };
      bar = radius;
    }
  }
  return best;
}
