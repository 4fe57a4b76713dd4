import { round } from '../../coefficients/round';
import type { ChartPoint } from '../../sphere/crown-chart';
import { awayFromHead, distanceAt, type HeadGrid } from '../head/head-grid';
import { onScalp, WHORL, type ScalpPlace } from '../head/scalp';
import { add, across, dot, scaled, unit, type Vec } from '../vec';

/** Places along the axis of a piece, root and tip among them. */
export const NODES = 20;

export type FrontHair = 'held' | 'swept';

/** Which way a head of hair is worn, as far as it tells where hair goes. */
export interface Worn {
  /** The part, on the head; null without one. */
  readonly part: readonly Vec[] | null;
  /** What becomes of hair of the front half: held up at the back of the crown, or swept back from the face. */
  readonly front: FrontHair | null;
  readonly scale: number;
}

/** The part of a chart as it lies on a head. */
export const partOnHead = (line: readonly ChartPoint[] | null, scale: number): Vec[] | null =>
  line && line.map((point) => onScalp(point, scale).at);

/** Place on a line of points nearest to one beside it. */
function nearestOn(line: readonly Vec[], at: Vec): Vec {
  let best = line[0]!;
  let least = Infinity;
  for (let i = 0; i + 1 < line.length; i++) {
    const [a, b] = [line[i]!, line[i + 1]!];
    const step = add(b, a, -1);
    const t = Math.min(1, Math.max(0, dot(add(at, a, -1), step) / (dot(step, step) || 1)));
    const place = add(a, step, t);
    const far = Math.hypot(...add(at, place, -1));
    if (far < least) [least, best] = [far, place];
  }
  return best;
}

/** Hair shorter than this lies the way it grows from the whorl; longer hair is combed. */
const [SHORT_CM, LONG_CM] = [9, 15] as const;

/**
 * Which way hair is combed where it leaves the scalp: away from the part; without one sideways and back; short hair away
 * from the whorl.
 */
export function combed({ at, normal }: ScalpPlace, visibleCm: number, { part, scale }: Worn): Vec {
  const flat = (v: Vec) => across(v, normal);
  const fromWhorl = flat(add(at, scaled(WHORL, 9 * scale), -1));
  const isShort = Math.min(1, Math.max(0, (LONG_CM - visibleCm) / (LONG_CM - SHORT_CM)));
  const aside: Vec = [Math.sign(at[0]) * Math.min(1, Math.abs(at[0]) / (4 * scale)), 0, -0.8];
  const long = part ? flat(add(add(at, nearestOn(part, at), -1), [0, 0, -1], 0.35 * scale)) : flat(aside);
  return across(add(scaled(long, 1 - isShort), fromWhorl, isShort), normal);
}

/** What one piece of hair hangs by. */
export interface HangingPiece {
  readonly root: ScalpPlace;
  readonly visibleCm: number;
  /** How far from the head its middle stays, cm. */
  readonly gapCm: number;
  /** How long it stands, against others: chance, about 1. */
  readonly stands: number;
  readonly comb: Vec;
  /** Grows at the front, so that it must pass the face. */
  readonly isFront: boolean;
  /** Taken over the scalp to the back before it falls; null where it falls at once. */
  readonly over: FrontHair | null;
}

const outwards = (at: Vec, normal: Vec): Vec => {
  const flat: Vec = [at[0], 0, at[2]];
  return Math.hypot(...flat) < 1 ? unit([normal[0], 0, normal[2]]) : unit(flat);
};

/** Where hair of the front half is held, on the chart. */
const HELD_AT: ChartPoint = { x: 0, y: -0.32 };
/** The same on a head. */
export const heldAt = (scale: number): Vec => onScalp(HELD_AT, scale).at;

/** Swept hair lies over the scalp for so much of its length at most. */
const SWEPT_SHARE = 0.6;
/** How much of a piece lies flat over the scalp on its way to the back, cm. */
export const overCm = (piece: HangingPiece, scale: number): number => {
  if (!piece.over) return 0;
  const far = Math.hypot(...add(heldAt(scale), piece.root.at, -1));
  return piece.over === 'held' ? far : Math.min(far, SWEPT_SHARE * piece.visibleCm);
};

/** Lower than the brow and farther to the front than this is the face, cm. */
const [BROW_CM, FACE_CM] = [3, 1.5] as const;
/** Hair beside the face hangs no farther to the front, cm. */
const BESIDE_Z_CM = 4.5;

/**
 * Keeps a point away from the head and, past the brow, out of the face.
 *
 * @param rootSide on which side of the face it goes past: below nought her right
 */
export function keptOut(grid: HeadGrid, at: Vec, gap: number, rootSide: number, scale: number): Vec {
  let moved = at;
  const far = distanceAt(grid, moved[0], moved[1], moved[2]);
  if (far < gap) moved = add(moved, awayFromHead(grid, moved[0], moved[1], moved[2]), gap - far);
  const beside = round.value.besideFaceCm * scale;
  if (moved[1] < BROW_CM * scale && moved[2] > FACE_CM * scale) {
    const want = beside * Math.min(1, (BROW_CM * scale - moved[1]) / (3 * scale));
    const side = rootSide < 0 ? -1 : 1;
    const deepest = Math.max(BESIDE_Z_CM * scale, moved[2] - 0.5 * (BROW_CM * scale - moved[1]));
    if (side * moved[0] < want) moved = [side * want, moved[1], Math.min(moved[2], deepest)];
    else if (Math.abs(moved[0]) < 9 * scale) moved = [moved[0], moved[1], Math.min(moved[2], deepest)];
  }
  return moved;
}

/** Lays the axis of a piece out at its exact length: every node one step from the last. */
export function stepped(nodes: Float64Array, from: number, stepCm: number): void {
  for (let i = from + 3; i < from + 3 * NODES; i += 3) {
    const [dx, dy, dz] = [
      nodes[i]! - nodes[i - 3]!,
      nodes[i + 1]! - nodes[i - 2]!,
      nodes[i + 2]! - nodes[i - 1]!,
    ];
    const k = stepCm / (Math.sqrt(dx * dx + dy * dy + dz * dz) || 1);
    nodes[i] = nodes[i - 3]! + dx * k;
    nodes[i + 1] = nodes[i - 2]! + dy * k;
    nodes[i + 2] = nodes[i - 1]! + dz * k;
  }
}

/**
 * The axis of a piece before it meets others: out of the scalp the way it is combed, then down, never in the head.
 *
 * @param standsShare how much of its length stands out before it falls
 */
export function hang(
  grid: HeadGrid,
  piece: HangingPiece,
  standsShare: number,
  worn: Worn,
  into: Float64Array,
  from: number,
): void {
  const { root, visibleCm, gapCm, comb } = piece;
  const { lean, flare, frontKeptCm } = round.value;
  const step = visibleCm / (NODES - 1);
  const base = unit(add(root.normal, comb, lean));
  const stands = standsShare * visibleCm * piece.stands * (1 - 0.5 * root.normal[1] ** 2);
  const held = heldAt(worn.scale);
  const flatCm = overCm(piece, worn.scale);
  let isPast = piece.over === null;
  let at = root.at;
  into.set(at, from);
  for (let i = 1; i < NODES; i++) {
    const s = (i - 0.5) * step;
    const a = Math.exp(-((s / Math.max(0.1, stands)) ** 1.5));
    const fall = unit(add([0, -1, 0], outwards(at, root.normal), flare));
    let d = unit(add(scaled(base, a), fall, 1 - a));
    if (piece.isFront && s < frontKeptCm) {
      const kept = 1 - s / frontKeptCm;
      d = unit(add(scaled(d, 1 - 0.8 * kept), unit(add(root.normal, comb, 1.6)), 0.8 * kept));
    }
    if (!isPast) {
      // What is swept keeps to its own side; what is held comes together.
      const to: Vec =
        piece.over === 'held'
          ? add(held, at, -1)
          : [0.35 * (held[0] - at[0]), held[1] - at[1], held[2] - at[2]];
      d = unit(add(unit(to), root.normal, i === 1 ? 0.35 : 0.1));
      isPast = piece.over === 'held' ? Math.hypot(...to) < Math.max(1, step) : s > flatCm;
    }
    const gap = Math.min(isPast ? gapCm : 0.4, 0.15 + i * step * 0.6);
    const wanted = keptOut(grid, add(at, d, step), gap, root.at[0] + 2 * comb[0], worn.scale);
    at = add(at, unit(add(wanted, at, -1)), step);
    into.set(at, from + 3 * i);
  }
}
