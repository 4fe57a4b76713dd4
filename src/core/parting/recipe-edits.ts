import { difference, union, type Geom } from 'polyclip-ts';
import type { ChartPoint, FramePoint } from '../sphere/crown-chart';
import { clipPolygon, polygonArea, polygonCentroid, type CutFrame } from '../sphere/polygon';
import type { PanelId } from './panel';
import type { PartingRecipe } from './recipe';

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
/** A section that loses less than this to a patch beside it only shares an edge with it, R². */
const GRAZED = 2e-4;

/** Outlines are clipped on a grid of this fineness, so that edges two sections share are the very same, R. */
const GRID = 1e-4;
/** How often a clip that fails is tried again, each time with the second shape a little larger. */
const TRIES = 4;
const GROWTH = 3e-5;

const onGrid = (value: number) => Math.round(value / GRID) * GRID;

function geometryOf(points: readonly ChartPoint[], grown = 0): Geom {
  const centre = polygonCentroid(points);
  const away = (value: number, from: number) => from + (value - from) * (1 + grown);
  return [
    points.map(({ x, y }): [number, number] =>
      grown === 0 ? [onGrid(x), onGrid(y)] : [away(x, centre.x), away(y, centre.y)],
    ),
  ];
}

/** Clips two shapes. Edges that all but coincide can defeat the sweep: then one shape grows by a hair. */
function clip(
  operation: typeof union,
  own: readonly ChartPoint[],
  others: readonly (readonly ChartPoint[])[],
): ReturnType<typeof union> | null {
  for (let attempt = 0; attempt < TRIES; attempt++) {
    try {
      return operation(geometryOf(own), ...others.map((other) => geometryOf(other, attempt * GROWTH)));
    } catch {
      // Tried again with larger shapes.
    }
  }
  return null;
}

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

function split(
  cells: readonly Cell[],
  { key, axis, at }: PartingRecipe['splits'][number],
): readonly Cell[] | null {
  const index = cells.findIndex((cell) => cell.key === key);
  const cell = cells[index];
  if (!cell?.frame) return null;
  const along = axis === 'cut' ? 'f' : 't';
  const halves = (['below', 'above'] as const).map((side) =>
    clipPolygon(cell.outline, along, at, side, cell.frame ?? undefined),
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
  const parts = cells.filter((cell) => keys.includes(cell.key));
  const [first, ...rest] = parts;
  if (!first || parts.length !== keys.length || rest.length === 0) return null;
  const joined = clip(
    union,
    first.outline,
    rest.map(({ outline }) => outline),
  );
  const { outlines } = rings(joined ?? []);
  // Two islands are no section.
  if (outlines.length !== 1) return null;
  const area = parts.reduce((sum, cell) => sum + cell.area, 0);
  const merged: Cell = { ...first, key: keys.join('+'), outline: unframed(outlines[0]!), area, frame: null };
  return cells.flatMap((cell) => (cell === first ? [merged] : parts.includes(cell) ? [] : [cell]));
}

/**
 * Splits, merges and leaves out, in that order, as a recipe says. Edits whose section is gone are listed.
 *
 * @source parting-map §3 and §6
 */
export function editCells(cells: readonly Cell[], recipe: PartingRecipe): EditedCells {
  let current = cells;
  const unplaced: string[] = [];
  for (const cut of recipe.splits) {
    const next = split(current, cut);
    if (next) current = next;
    else unplaced.push(cut.key);
  }
  for (const keys of recipe.merges) {
    const next = merge(current, keys);
    if (next) current = next;
    else unplaced.push(keys.join('+'));
  }
  if (recipe.exclude.length > 0) {
    const patches = recipe.exclude.map((patch) => patch.map(([x, y]) => ({ x, y })));
    current = current.flatMap((cell) => {
      const kept = clip(difference, cell.outline, patches);
      if (!kept) return [cell];
      const { outlines, area } = rings(kept);
      if (area < GRAZED || !outlines[0]) return [];
      return Math.abs(area - cell.area) < GRAZED
        ? [cell]
        : [{ ...cell, outline: unframed(outlines[0]), area, frame: null }];
    });
  }
  for (const key of Object.keys(recipe.marks)) {
    if (!current.some((cell) => cell.key === key)) unplaced.push(key);
  }
  return { cells: current, unplaced };
}
