import type { HeadGrid } from '../head/head-grid';
import { keptOut, NODES, stepped } from './axis';

const PASSES = 8;
const PUSH = 0.9;
const UPRIGHT = 0.4;
const BACK = 0.06;
const SMOOTH = 0.2;

/** What relaxation needs to know of each piece. */
export interface RelaxedPiece {
  readonly visibleCm: number;
  readonly radiusCm: number;
  readonly gapCm: number;
  /** On which side of the face it hangs: below nought her right. */
  readonly side: number;
}

/** Nodes by the cube they lie in: each cube's run in `order`. */
class Cubes {
  private readonly heads = new Map<number, number>();
  private readonly next: Int32Array;
  constructor(
    private readonly nodes: Float64Array,
    private readonly sizeCm: number,
  ) {
    this.next = new Int32Array(nodes.length / 3).fill(-1);
    for (let n = 0; n < this.next.length; n++) {
      const key = this.keyOf(n, 0, 0, 0);
      this.next[n] = this.heads.get(key) ?? -1;
      this.heads.set(key, n);
    }
  }
  private keyOf(n: number, dx: number, dy: number, dz: number): number {
    const cube = (value: number, d: number) => Math.floor(value / this.sizeCm) + d + 128;
    return (
      (cube(this.nodes[3 * n]!, dx) * 256 + cube(this.nodes[3 * n + 1]!, dy)) * 256 +
      cube(this.nodes[3 * n + 2]!, dz)
    );
  }
  /** Every node in the cubes round that of node `n`. */
  near(n: number, visit: (other: number) => void): void {
    for (let dx = -1; dx <= 1; dx++)
      for (let dy = -1; dy <= 1; dy++)
        for (let dz = -1; dz <= 1; dz++)
          for (let m = this.heads.get(this.keyOf(n, dx, dy, dz)) ?? -1; m >= 0; m = this.next[m]!) visit(m);
  }
}

/**
 * Makes room: nodes of other pieces that are too near push apart, every piece pulled a little to where it hung, smoothed,
 * kept off the head and laid out again at its exact length. Every pass moves all at once, so that no order shows.
 *
 * @param nodes x, y, z of every node of every piece, changed in place
 */
export function relax(grid: HeadGrid, nodes: Float64Array, pieces: readonly RelaxedPiece[]): void {
  const first = nodes.slice();
  const widest = Math.max(0.2, ...pieces.map(({ radiusCm }) => radiusCm));
  const moves = new Float64Array(nodes.length);
  const perPiece = 3 * NODES;
  for (let pass = 0; pass < PASSES; pass++) {
    moves.fill(0);
    const cubes = new Cubes(nodes, 2 * widest);
    for (let p = 0; p < pieces.length; p++) {
      for (let i = 1; i < NODES; i++) {
        const n = p * NODES + i;
        const at = 3 * n;
        cubes.near(n, (m) => {
          const q = Math.floor(m / NODES);
          if (q === p) return;
          const dx = nodes[at]! - nodes[3 * m]!;
          const dy = nodes[at + 1]! - nodes[3 * m + 1]!;
          const dz = nodes[at + 2]! - nodes[3 * m + 2]!;
          const far = Math.sqrt(dx * dx + dy * dy + dz * dz);
          const reach = pieces[p]!.radiusCm + pieces[q]!.radiusCm;
          if (far >= reach || far < 1e-6) return;
          // Near the root there is no room to move.
          const k = (PUSH * 0.5 * (reach - far) * Math.min(1, i / 5)) / far / 2;
          moves[at]! += k * dx;
          moves[at + 1]! += UPRIGHT * k * dy;
          moves[at + 2]! += k * dz;
        });
      }
    }
    for (let p = 0; p < pieces.length; p++) {
      const from = p * perPiece;
      const { gapCm, visibleCm } = pieces[p]!;
      for (let i = 1; i < NODES; i++) {
        for (let k = 0; k < 3; k++) {
          const at = from + 3 * i + k;
          nodes[at]! += moves[at]! + BACK * (first[at]! - nodes[at]!);
        }
      }
      for (let k = 0; k < 3; k++) {
        let last = nodes[from + k]!;
        for (let i = 1; i + 1 < NODES; i++) {
          const at = from + 3 * i + k;
          const here = nodes[at]!;
          nodes[at] = here + SMOOTH * ((last + nodes[at + 3]!) / 2 - here);
          last = here;
        }
      }
      const step = visibleCm / (NODES - 1);
      for (let i = 1; i < NODES; i++) {
        const at = from + 3 * i;
        const gap = Math.min(gapCm, 0.15 + i * step * 0.6);
        nodes.set(
          keptOut(grid, [nodes[at]!, nodes[at + 1]!, nodes[at + 2]!], gap, pieces[p]!.side, grid.scale),
          at,
        );
      }
      stepped(nodes, from, step);
    }
  }
}
