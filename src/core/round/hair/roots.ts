import type { Rng } from '../../random/rng';
import type { ChartPoint } from '../../sphere/crown-chart';

const TRIES = 9;
const MOST_MISSES = 400;
const GROUPINGS = 8;

function isInside(outline: readonly ChartPoint[], x: number, y: number): boolean {
  let inside = false;
  for (let i = 0, j = outline.length - 1; i < outline.length; j = i++) {
    const [a, b] = [outline[i]!, outline[j]!];
    if (a.y > y !== b.y > y && x < ((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
  }
  return inside;
}

const square = (a: ChartPoint, b: ChartPoint) => (a.x - b.x) ** 2 + (a.y - b.y) ** 2;

/**
 * Roots spread evenly over a section: each the best of nine, farthest from those that are there.
 *
 * @param hand −1 draws the mirror image
 */
export function rootsIn(
  outline: readonly ChartPoint[],
  centroid: ChartPoint,
  count: number,
  chance: Rng,
  hand: 1 | -1,
): ChartPoint[] {
  const xs = outline.map(({ x }) => x);
  const ys = outline.map(({ y }) => y);
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  const [low, high] = [Math.min(...ys), Math.max(...ys)];
  const roots: ChartPoint[] = [];
  let misses = 0;
  const candidate = (): ChartPoint => {
    while (misses < MOST_MISSES) {
      const [across, up] = [chance(), chance()];
      const x = hand > 0 ? left + across * (right - left) : right - across * (right - left);
      const y = low + up * (high - low);
      if (isInside(outline, x, y)) return { x, y };
      misses++;
    }
    return centroid;
  };
  while (roots.length < count) {
    let best = candidate();
    let far = -1;
    for (let k = 0; k < TRIES; k++) {
      const next = k === 0 ? best : candidate();
      const nearest = roots.reduce((least, root) => Math.min(least, square(root, next)), Infinity);
      if (nearest > far) [best, far] = [next, nearest];
      if (roots.length === 0) break;
    }
    roots.push(best);
  }
  return roots;
}

/** Cuts roots into groups as equal as they can be, each near its own middle: pieces of equal hair. */
export function inPieces(roots: readonly ChartPoint[], pieces: number): ChartPoint[][] {
  if (pieces <= 1) return [[...roots]];
  let middles = Array.from(
    { length: pieces },
    (_, i) => roots[Math.floor(((i + 0.5) * roots.length) / pieces)]!,
  );
  let groups: ChartPoint[][] = [];
  for (let round = 0; round < GROUPINGS; round++) {
    const most = Math.ceil(roots.length / pieces);
    let spare = roots.length - pieces * Math.floor(roots.length / pieces);
    groups = middles.map(() => []);
    const wishes = roots
      .flatMap((root, i) => middles.map((middle, k) => ({ i, k, far: square(root, middle) })))
      .sort((a, b) => a.far - b.far || a.i - b.i || a.k - b.k);
    const placed = new Set<number>();
    for (const { i, k } of wishes) {
      if (placed.has(i)) continue;
      const room = groups[k]!.length < most - 1 || most * pieces === roots.length;
      if (groups[k]!.length >= most || (!room && spare <= 0)) continue;
      if (!room) spare--;
      groups[k]!.push(roots[i]!);
      placed.add(i);
    }
    middles = groups.map((group, k) => (group.length > 0 ? middleOf(group) : middles[k]!));
  }
  return groups;
}

/** Middle of a group of places. */
export const middleOf = (group: readonly ChartPoint[]): ChartPoint => ({
  x: group.reduce((sum, { x }) => sum + x, 0) / group.length,
  y: group.reduce((sum, { y }) => sum + y, 0) / group.length,
});
