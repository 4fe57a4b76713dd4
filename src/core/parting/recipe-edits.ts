import { difference, union, type Geom } from 'polyclip-ts';
import type { ChartPoint, FramePoint } from '../sphere/crown-chart';
import { clipPolygon, polygonArea, type CutFrame } from '../sphere/polygon';
import type { PanelId } from './panel';
import type { Recipe } from './recipe';

/** A section before it is numbered: its key, and the ground it covers. */
export interface Cell {
  readonly key: string;
  readonly panel: PanelId;
  readonly row: number;
  readonly col: number;
  readonly outline: readonly FramePoint[];
  /** Area on the chart without what is left out, R². */
  readonly area: number;
  /** Coordinates it can be cut along; null once it was merged. */
  readonly frame: CutFrame | null;
}

/** Cells after all edits, and the edits that found no section. */
export interface EditedCells {
  readonly cells: readonly Cell[];
  readonly unplaced: readonly string[];
}

/** Less ground than this is none, R². */
const NOTHING = 1e-6;

const ringOf = (points: readonly ChartPoint[]): [number, number][] => points.map(({ x, y }) => [x, y]);
const geometryOf = (points: readonly ChartPoint[]): Geom => [ringOf(points)];

/** Outer rings of a clipped shape, largest first, and the area of all of it. */
function rings(shape: ReturnType<typeof union>): { outlines: ChartPoint[][]; area: number } {
  const pointsOf = (ring: readonly (readonly [number, number])[]) => ring.map(([x, y]) => ({ x, y }));
  const area = shape.reduce(
    (sum, [outer, ...holes]) =>
      sum +
      polygonArea(pointsOf(outer ?? [])) -
      holes.reduce((inner, hole) => inner + polygonArea(pointsOf(hole)), 0),
    0,
  );
  const outlines = shape
    .map(([outer]) => pointsOf(outer ?? []))
    .sort((a, b) => polygonArea(b) - polygonArea(a));
  return { outlines, area };
}

/** Keeps the row coordinates nothing asks for any more once a shape was clipped on the chart. */
const unframed = (points: readonly ChartPoint[]): FramePoint[] =>
  points.map(({ x, y }) => ({ x, y, f: Number.NaN, t: Number.NaN }));

function split(cells: readonly Cell[], { key, axis, at }: Recipe['splits'][number]): readonly Cell[] | null {
  const index = cells.findIndex((cell) => cell.key === key);
  const cell = cells[index];
  if (!cell?.frame) return null;
  const own = axis === 'g' ? 'f' : 't';
  const halves = (['below', 'above'] as const).map((side) =>
    clipPolygon(cell.outline, own, at, side, cell.frame ?? undefined),
  );
  if (halves.some((half) => half.length < 3 || polygonArea(half) < NOTHING)) return null;
  const children = halves.map((outline, i) => ({
    ...cell,
    key: `${key}${i === 0 ? 'a' : 'b'}`,
    outline,
    area: polygonArea(outline),
  }));
  return [...cells.slice(0, index), ...children, ...cells.slice(index + 1)];
}

function merge(cells: readonly Cell[], keys: readonly string[]): readonly Cell[] | null {
  const own = cells.filter((cell) => keys.includes(cell.key));
  const [first, ...rest] = own;
  if (!first || own.length !== keys.length || rest.length === 0) return null;
  const { outlines, area } = rings(
    union(geometryOf(first.outline), ...rest.map((c) => geometryOf(c.outline))),
  );
  // Two islands are no section.
  if (outlines.length !== 1) return null;
  const merged: Cell = { ...first, key: keys.join('+'), outline: unframed(outlines[0]!), area, frame: null };
  return cells.flatMap((cell) => (cell === first ? [merged] : own.includes(cell) ? [] : [cell]));
}

/**
 * Splits, merges and leaves out, in that order, as a recipe says. Edits whose section is gone are listed.
 *
 * @source parting-map §3 and §6
 */
export function editCells(cells: readonly Cell[], recipe: Recipe): EditedCells {
  let current = cells;
  const unplaced: string[] = [];
  for (const own of recipe.splits) {
    const next = split(current, own);
    if (next) current = next;
    else unplaced.push(own.key);
  }
  for (const keys of recipe.merges) {
    const next = merge(current, keys);
    if (next) current = next;
    else unplaced.push(keys.join('+'));
  }
  if (recipe.exclude.length > 0) {
    const patches = recipe.exclude.map((patch) => [patch.map(([x, y]): [number, number] => [x, y])]);
    current = current.flatMap((cell) => {
      const { outlines, area } = rings(difference(geometryOf(cell.outline), ...patches));
      if (area < NOTHING || !outlines[0]) return [];
      return Math.abs(area - cell.area) < NOTHING
        ? [cell]
        : [{ ...cell, outline: unframed(outlines[0]), area, frame: null }];
    });
  }
  for (const key of Object.keys(recipe.marks)) {
    if (!current.some((cell) => cell.key === key)) unplaced.push(key);
  }
  return { cells: current, unplaced };
}
