import type { HeadGrid } from '../head/head-grid';
import { keptOut, NODES, stepped } from './axis';

const PASSES = 8;
const PUSH = 0.9;
const UPRIGHT = 0.4;
const BACK = 0.06;
const SMOOTH = 0.2;
const LAST_PASSES = 7;
const LAST_SMOOTH = 0.5;

/** What relaxation needs to know of each piece. */
export interface RelaxedPiece {
  readonly visibleCm: number;
  readonly radiusCm: number;
  readonly gapCm: number;
  /** On which side of the face it hangs: below nought her right. */
  readonly side: number;
}

/** Cubes along one side of the room that hair is in; cubes beyond are those at its edge. */
const SIDE = 64;

/** Nodes by the cube they lie in. */
class Cubes {
  private readonly heads = new Int32Array(SIDE ** 3).fill(-1);
  readonly next: Int32Array;
  constructor(
    private readonly nodes: Float64Array,
    private readonly sizeCm: number,
  ) {
    this.next = new Int32Array(nodes.length / 3).fill(-1);
    for (let n = 0; n < this.next.length; n++) {
      const key = this.keyOf(this.at(3 * n), this.at(3 * n + 1), this.at(3 * n + 2));
      this.next[n] = this.heads[key]!;
      this.heads[key] = n;
    }
  }
  /** Which cube along its axis a coordinate of the nodes lies in. */
  at(index: number): number {
    return Math.min(SIDE - 2, Math.max(1, Math.floor(this.nodes[index]! / this.sizeCm) + SIDE / 2));
  }
  private keyOf(x: number, y: number, z: number): number {
    return (x * SIDE + y) * SIDE + z;
  }
  /** The first node of a cube; the others follow by {@link next}. */
  first(x: number, y: number, z: number): number {
    return this.heads[this.keyOf(x, y, z)]!;
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
  const radii = Float64Array.from(pieces, ({ radiusCm }) => radiusCm);
  for (let pass = 0; pass < PASSES; pass++) {
    moves.fill(0);
    const cubes = new Cubes(nodes, 2 * widest);
    for (let p = 0; p < pieces.length; p++) {
      for (let i = 1; i < NODES; i++) {
        const at = 3 * (p * NODES + i);
        const [cx, cy, cz] = [cubes.at(at), cubes.at(at + 1), cubes.at(at + 2)];
        const [x, y, z] = [nodes[at]!, nodes[at + 1]!, nodes[at + 2]!];
        // Near the root there is no room to move.
        const free = (PUSH / 4) * Math.min(1, i / 5);
        for (let cube = 0; cube < 27; cube++) {
          let m = cubes.first(
            cx + (cube % 3) - 1,
            cy + (Math.floor(cube / 3) % 3) - 1,
            cz + Math.floor(cube / 9) - 1,
          );
          for (; m >= 0; m = cubes.next[m]!) {
            const q = Math.floor(m / NODES);
            if (q === p) continue;
            const dx = x - nodes[3 * m]!;
            const dy = y - nodes[3 * m + 1]!;
            const dz = z - nodes[3 * m + 2]!;
            const square = dx * dx + dy * dy + dz * dz;
            const reach = radii[p]! + radii[q]!;
            if (square >= reach * reach || square < 1e-12) continue;
            const far = Math.sqrt(square);
            const k = (free * (reach - far)) / far;
            moves[at]! += k * dx;
            moves[at + 1]! += UPRIGHT * k * dy;
            moves[at + 2]! += k * dz;
          }
        }
      }
    }
    for (let p = 0; p < pieces.length; p++) {
      for (let at = 3 * (p * NODES + 1); at < 3 * (p + 1) * NODES; at++)
        nodes[at]! += moves[at]! + BACK * (first[at]! - nodes[at]!);
      settle(grid, nodes, p, pieces[p]!, SMOOTH);
    }
  }
  // What pushing left uneven would be seen in every lock that winds about it.
  for (let pass = 0; pass < LAST_PASSES; pass++)
    pieces.forEach((piece, p) => settle(grid, nodes, p, piece, LAST_SMOOTH));
}

/** Smooths a piece, keeps it off the head and lays it out again at its exact length. */
function settle(grid: HeadGrid, nodes: Float64Array, p: number, piece: RelaxedPiece, smooth: number): void {
  const { gapCm, visibleCm, side } = piece;
  const from = 3 * NODES * p;
  for (let k = 0; k < 3; k++) {
    let last = nodes[from + k]!;
    for (let i = 1; i + 1 < NODES; i++) {
      const at = from + 3 * i + k;
      const here = nodes[at]!;
      nodes[at] = here + smooth * ((last + nodes[at + 3]!) / 2 - here);
      last = here;
    }
  }
  const step = visibleCm / (NODES - 1);
  for (let i = 1; i < NODES; i++) {
    const at = from + 3 * i;
    const gap = Math.min(gapCm, 0.15 + i * step * 0.6);
    nodes.set(keptOut(grid, [nodes[at]!, nodes[at + 1]!, nodes[at + 2]!], gap, side, grid.scale), at);
  }
  stepped(nodes, from, step);
}
