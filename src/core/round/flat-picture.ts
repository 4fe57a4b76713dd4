import { headGrid, distanceAt, type HeadGrid } from './head/head-grid';
import { onScalp } from './head/scalp';
import { headSurface } from './head/surface';
import { drawRound } from './build';
import type { Kind, RoundPen, Stroke } from './mesh';
import type { RoundModel } from './model';
import type { RoundState } from './state';
import type { Vec } from './vec';
import { partOf, type Work } from '../work';

/** A run of a line of hair as it is drawn flat, cm: across to the right, down. */
export interface FlatRun {
  /** x and y after each other. */
  readonly points: readonly number[];
  readonly widthCm: number;
  readonly kind: Kind;
  /** How far to the back, cm. */
  readonly depth: number;
  /** 0 dark … 1 light, by how much of the light comes to it. */
  readonly light: number;
}

/** A head drawn flat from one side, from the same curves that it is drawn with in the round. */
export interface FlatPicture {
  /** Outline of the head and shoulders. */
  readonly outline: readonly number[];
  /** Lines of the face that are seen from there. */
  readonly face: readonly (readonly number[])[];
  /** Where hair grows, section by section, as far as it is seen. */
  readonly scalp: readonly (readonly number[])[];
  readonly runs: readonly FlatRun[];
  /** What is drawn lies between these, cm. */
  readonly box: {
    readonly left: number;
    readonly right: number;
    readonly top: number;
    readonly bottom: number;
  };
}

/** How large a flat picture is seen: across a screen, or no larger than a hand; lines of hair, and points of each. */
export const FLAT_SIZES = {
  screen: { lines: 900, points: 60 },
  small: { lines: 150, points: 45 },
} as const satisfies Record<string, { lines: number; points: number }>;
export type FlatSize = keyof typeof FLAT_SIZES;

/** Points of a run: what is hidden is decided run by run. */
const RUN = 12;
const MARCH_CM = 0.6;
const FAR_CM = 30;
const ROW_CM = 0.5;

/** Closed lids, nose, lips and ear as lines on the head, cm at 56 cm round; both sides are drawn. */
const FACE: readonly (readonly Vec[])[] = [
  [[1.75, -2.95, 8.1], [2.5, -3.25, 8.25], [3.4, -3.25, 8.0], [4.35, -2.85, 7.35]],
  [[1.2, -0.7, 9.2], [2.6, -0.25, 8.8], [4.2, -0.6, 7.8]],
  [[1.25, -5.2, 10.0], [1.75, -5.9, 9.9], [1.1, -6.35, 10.2], [0, -6.5, 10.6]],
  [[0, -8.32, 9.55], [1.2, -8.3, 9.2], [2.3, -8.25, 8.5]],
  [[0, -9.75, 9.3], [1, -9.7, 9.1], [1.7, -9.3, 8.6]],
  [[7.9, -0.8, -0.4], [8.35, -0.9, -1.2], [8.4, -2.6, -1.9], [7.9, -4.6, -1.3], [7.5, -5.7, -0.4]],
]; // prettier-ignore

/** Keeps lines instead of making triangles of them. */
class LineKeeper implements RoundPen {
  readonly lines: (Stroke & { readonly points: Float64Array })[] = [];
  ribbon(points: Float64Array, stroke: Stroke): void {
    this.lines.push({ ...stroke, points });
  }
  tube(points: Float64Array, _sides: number, stroke: Stroke): void {
    this.lines.push({ ...stroke, points });
  }
}

/** Share of the work that is over when every line is drawn. */
const DRAWN = 0.9;
/** Shares of the lines that locks and fine strands have; hair at the scalp has the rest. */
const [LOCK_SHARE, FINE_SHARE] = [0.6, 0.2] as const;

/**
 * Draws a head flat.
 *
 * @param azimuthRad from where it is looked at: 0 in front, above nought from her left
 * @param size how large it will be seen: of its lines every so many is drawn then, the wider for it
 */
export function* flatPicture(
  model: RoundModel,
  state: RoundState,
  azimuthRad: number,
  size: FlatSize,
): Work<FlatPicture> {
  const grid = headGrid(model.circumferenceCm);
  const keeper = new LineKeeper();
  yield* partOf(drawRound(model, state, 'small', keeper), 0, DRAWN);
  const [sin, cos] = [Math.sin(azimuthRad), Math.cos(azimuthRad)];
  const across = (x: number, z: number) => x * cos - z * sin;
  const near = (x: number, z: number) => x * sin + z * cos;
  const told = keeper.lines.filter(({ tier, kind }) => tier !== 'frizz' || kind !== 'ribbon');
  // What a set is known by is drawn whole; of the rest every so many, the wider for it.
  const parts: readonly (readonly [share: number, (line: Stroke) => boolean])[] = [
    [Infinity, ({ kind }) => kind === 'tube' || kind === 'tool'],
    [LOCK_SHARE, ({ kind, tier }) => kind === 'ribbon' && tier !== 'fine'],
    [FINE_SHARE, ({ kind, tier }) => kind === 'ribbon' && tier === 'fine'],
    [1 - LOCK_SHARE - FINE_SHARE, ({ kind }) => kind === 'scalp'],
  ];
  const drawn = parts.flatMap(([share, isIn]) => {
    const all = told.filter(isIn);
    const step = Math.max(1, all.length / Math.max(1, share * FLAT_SIZES[size].lines));
    return all
      .filter((_, i) => Math.floor(i / step) !== Math.floor((i - 1) / step))
      .map((line) => ({ ...line, step }));
  });
  const runs: FlatRun[] = [];
  for (const { points, half: halfAt, kind, seed, step } of drawn) {
    const count = points.length / 3;
    const every = Math.max(1, Math.floor(count / FLAT_SIZES[size].points));
    for (let from = 0; from + 1 < count; from += RUN * every) {
      const until = Math.min(count - 1, from + RUN * every);
      const middle = Math.floor((from + until) / 2);
      const [x, y, z] = [points[3 * middle]!, points[3 * middle + 1]!, points[3 * middle + 2]!];
      if (isHidden(grid, x, y, z, sin, cos)) continue;
      const flat: number[] = [];
      for (let i = from; i <= until; i += every)
        flat.push(across(points[3 * i]!, points[3 * i + 2]!), -points[3 * i + 1]!);
      const half = halfAt((from + until) / 2 / (count - 1));
      runs.push({
        points: flat,
        widthCm:
          2 *
          half *
          (kind === 'ribbon' ? Math.min(2.2, Math.sqrt(step)) : kind === 'scalp' ? Math.min(3, step) : 1),
        kind,
        depth: -near(x, z),
        light: Math.min(1, Math.max(0, 0.5 + near(x, z) / 24 + (seed - 0.5) * 0.5)),
      });
    }
  }
  runs.sort((a, b) => b.depth - a.depth);
  const outline = outlineOf(grid, across);
  const face = FACE.flatMap((line) =>
    [1, -1].flatMap((side) => {
      const seen = line.filter(
        ([x, y, z]) => !isHidden(grid, side * x * grid.scale, y * grid.scale, z * grid.scale + 0.3, sin, cos),
      );
      return seen.length < 2
        ? []
        : [seen.flatMap(([x, y, z]) => [across(side * x * grid.scale, z * grid.scale), -y * grid.scale])];
    }),
  );
  const box = { left: Infinity, right: -Infinity, top: Infinity, bottom: -Infinity };
  for (const points of [outline, ...runs.map((run) => run.points)])
    for (let i = 0; i < points.length; i += 2) {
      box.left = Math.min(box.left, points[i]!);
      box.right = Math.max(box.right, points[i]!);
      box.top = Math.min(box.top, points[i + 1]!);
      box.bottom = Math.max(box.bottom, points[i + 1]!);
    }
  return { outline, face, scalp: scalpOf(model, state, grid, across, near), runs, box };
}

/** Sections are drawn so far from their edges that the lines between them stay bare, in the set. */
const PARTING_SHARE = 0.06;
/** Corners that turn away from whoever looks less than this are drawn yet: they close the edge. */
const TURNED = -0.3;

/** Where hair grows: in the set section by section, worn without a line between them. */
function scalpOf(
  { sections, leftOut }: RoundModel,
  state: RoundState,
  grid: HeadGrid,
  across: (x: number, z: number) => number,
  near: (x: number, z: number) => number,
): number[][] {
  const inwards = state.kind === 'set' ? PARTING_SHARE : -PARTING_SHARE / 2;
  return [...sections, ...leftOut].flatMap(({ outline, centroid }) => {
    const seen = outline.flatMap(({ x, y }) => {
      const place = { x: x + inwards * (centroid.x - x), y: y + inwards * (centroid.y - y) };
      const { at, normal } = onScalp(place, grid.scale);
      return near(normal[0], normal[2]) > TURNED ? [across(at[0], at[2]), -at[1]] : [];
    });
    return seen.length >= 6 ? [seen] : [];
  });
}

/** Whether the head lies between a point and whoever looks. */
function isHidden(grid: HeadGrid, x: number, y: number, z: number, sin: number, cos: number): boolean {
  for (let s = MARCH_CM; s < FAR_CM; s += MARCH_CM) {
    const far = distanceAt(grid, x + s * sin, y, z + s * cos);
    if (far < 0) return true;
    // Nothing is met within what is free.
    s += Math.max(0, far - MARCH_CM);
  }
  return false;
}

/** Outline of the head, row by row from its top, down one side and up the other. */
function outlineOf(grid: HeadGrid, across: (x: number, z: number) => number): number[] {
  const { positions } = headSurface();
  const rows = new Map<number, { left: number; right: number }>();
  for (let i = 0; i < positions.length; i += 3) {
    const row = Math.round((positions[i + 1]! * grid.scale) / ROW_CM);
    const x = across(positions[i]! * grid.scale, positions[i + 2]! * grid.scale);
    const own = rows.get(row);
    if (own) {
      own.left = Math.min(own.left, x);
      own.right = Math.max(own.right, x);
    } else rows.set(row, { left: x, right: x });
  }
  const order = [...rows.keys()].sort((a, b) => b - a);
  return [
    ...order.flatMap((row) => [rows.get(row)!.left, -row * ROW_CM]),
    ...order.reverse().flatMap((row) => [rows.get(row)!.right, -row * ROW_CM]),
  ];
}
