import { RADIUS_CM_PER_CIRCUMFERENCE_CM, type ChartPoint } from '../../sphere/crown-chart';
import { polygonArea } from '../../sphere/polygon';
import type { Layout } from '../layout';
import { refused, type Edited } from './edited';
import { excludePatch } from './sections';

/** Points of a hand-drawn outline closer than this are one, R. */
const FINEST = 0.02;
/** More points than this no hand meant. */
const MOST_POINTS = 120;
/** Smaller than this is a slip of the hand, cm². */
const LEAST_CM2 = 0.5;
const ROUND_POINTS = 32;

const turnOf = (a: ChartPoint, b: ChartPoint, c: ChartPoint) =>
  (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);

const cross = (a: ChartPoint, b: ChartPoint, c: ChartPoint, d: ChartPoint) =>
  turnOf(a, b, c) * turnOf(a, b, d) < 0 && turnOf(c, d, a) * turnOf(c, d, b) < 0;

/** Whether an outline crosses itself. */
export function crossesItself(outline: readonly ChartPoint[]): boolean {
  const n = outline.length;
  for (let i = 0; i < n; i++) {
    for (let j = i + 2; j < n; j++) {
      if (i === 0 && j === n - 1) continue;
      if (cross(outline[i]!, outline[(i + 1) % n]!, outline[j]!, outline[(j + 1) % n]!)) return true;
    }
  }
  return false;
}

/** An outline as a hand meant it: points a step apart, and no more of them than matter. */
function smoothed(points: readonly ChartPoint[]): ChartPoint[] {
  const kept: ChartPoint[] = [];
  for (const point of points) {
    const last = kept.at(-1);
    if (!last || Math.hypot(point.x - last.x, point.y - last.y) >= FINEST) kept.push(point);
  }
  const every = Math.ceil(kept.length / MOST_POINTS);
  return kept.filter((_, i) => i % every === 0);
}

/**
 * Leaves out what a hand drew round.
 *
 * @param points the way of the pen, open or closed
 * @source parting-map §8: a loop that crosses itself is refused
 */
export function drawnPatch(layout: Layout, points: readonly ChartPoint[]): Edited {
  const outline = smoothed(points);
  const radiusCm = RADIUS_CM_PER_CIRCUMFERENCE_CM * layout.recipe.circumferenceCm;
  if (outline.length < 3 || polygonArea(outline) * radiusCm ** 2 < LEAST_CM2) {
    return refused('draw a loop round what is left out, at least the size of a fingertip');
  }
  if (crossesItself(outline)) return refused('that loop crosses itself: draw round once, without crossing');
  return excludePatch(layout, outline);
}

/** Leaves a round patch out at the middle of a section: what a pen does, for the keyboard. */
export function roundPatch(layout: Layout, key: string, diameterCm: number): Edited {
  const section = layout.sections.find((other) => other.key === key);
  if (!section) return refused('that section is gone; pick another');
  const { x, y } = section.centroid;
  const away = Math.hypot(x, y);
  // The chart is stretched across its radius and pressed along it by the same factor.
  const stretch = Math.sqrt(Math.max(0.2, 1 - (away * away) / 4));
  const radius = diameterCm / 2 / (RADIUS_CM_PER_CIRCUMFERENCE_CM * layout.recipe.circumferenceCm);
  const [cos, sin] = away > 1e-9 ? [x / away, y / away] : [1, 0];
  return excludePatch(
    layout,
    Array.from({ length: ROUND_POINTS }, (_, i) => {
      const angle = (2 * Math.PI * i) / ROUND_POINTS;
      const along = radius * Math.cos(angle) * stretch;
      const across = (radius * Math.sin(angle)) / stretch;
      return { x: x + along * cos - across * sin, y: y + along * sin + across * cos };
    }),
  );
}
