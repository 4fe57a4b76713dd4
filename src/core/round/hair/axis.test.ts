import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { distanceAt, headGrid } from '../head/head-grid';
import { onScalp } from '../head/scalp';
import { combed, hang, NODES, overCm, partOnHead, type HangingPiece, type Worn } from './axis';
import { relax } from './relax';

const grid = headGrid(56);
const centre: Worn = {
  part: partOnHead(
    [
      { x: 0, y: -1 },
      { x: 0, y: 1.35 },
    ],
    1,
  ),
  front: null,
  scale: 1,
};
const noPart: Worn = { ...centre, part: null };

const anyPlace = fc.record({
  x: fc.double({ min: -0.95, max: 0.95, noNaN: true }),
  y: fc.double({ min: -1.1, max: 1.1, noNaN: true }),
});
const pieceAt = (
  at: { x: number; y: number },
  visibleCm: number,
  worn: Worn,
): HangingPiece & { side: number } => {
  const root = onScalp(at, 1);
  const comb = combed(root, visibleCm, worn);
  return {
    root,
    visibleCm,
    comb,
    gapCm: 0.6,
    stands: 1,
    isFront: at.y > 0.7,
    over: null,
    side: root.at[0] + 2 * comb[0],
  };
};
const hung = (piece: HangingPiece, worn: Worn, stands = 0.3): Float64Array => {
  const nodes = new Float64Array(3 * NODES);
  hang(grid, piece, stands, worn, nodes, 0);
  return nodes;
};
const steps = (nodes: Float64Array, from = 0) =>
  Array.from({ length: NODES - 1 }, (_, i) => {
    const a = from + 3 * i;
    return Math.hypot(
      nodes[a + 3]! - nodes[a]!,
      nodes[a + 4]! - nodes[a + 1]!,
      nodes[a + 5]! - nodes[a + 2]!,
    );
  });

describe('which way hair is combed', () => {
  it('is along the scalp, and away from a centre part on either side', () => {
    fc.assert(
      fc.property(anyPlace, fc.double({ min: 4, max: 40, noNaN: true }), (at, visibleCm) => {
        const place = onScalp(at, 1);
        const comb = combed(place, visibleCm, centre);
        const onto = comb.reduce((sum, value, k) => sum + value * place.normal[k]!, 0);
        expect(Math.abs(onto)).toBeLessThan(1e-9);
        expect(Math.hypot(...comb)).toBeCloseTo(1, 9);
      }),
    );
    // Her right is at −x.
    expect(combed(onScalp({ x: 0.4, y: 0.4 }, 1), 25, centre)[0]).toBeLessThan(-0.1);
    expect(combed(onScalp({ x: -0.4, y: 0.4 }, 1), 25, centre)[0]).toBeGreaterThan(0.1);
  });

  it('without a part long front hair goes back, short hair away from the whorl', () => {
    const front = onScalp({ x: 0.05, y: 0.9 }, 1);
    expect(combed(front, 25, noPart)[2]).toBeLessThan(0);
    expect(combed(front, 6, noPart)[2]).toBeGreaterThan(0);
  });
});

describe('an axis', () => {
  it('is as long as hair shows, stays out of the head, and hangs down', () => {
    fc.assert(
      fc.property(
        anyPlace,
        fc.double({ min: 3, max: 35, noNaN: true }),
        fc.double({ min: 0.02, max: 1, noNaN: true }),
        fc.constantFrom(centre, noPart),
        (at, visibleCm, stands, worn) => {
          const nodes = hung(pieceAt(at, visibleCm, worn), worn, stands);
          const long = steps(nodes);
          expect(long.reduce((sum, step) => sum + step, 0) / visibleCm).toBeCloseTo(1, 9);
          for (let i = 3; i < nodes.length; i += 3)
            expect(distanceAt(grid, nodes[i]!, nodes[i + 1]!, nodes[i + 2]!)).toBeGreaterThan(-0.8);
        },
      ),
    );
    const long = hung(pieceAt({ x: 0.6, y: 0 }, 30, centre), centre, 0.1);
    expect(long.at(-2)!).toBeLessThan(long[1]! - 10);
  });

  it('goes past the face, not over it', () => {
    for (const x of [-0.3, -0.1, 0.1, 0.3]) {
      const nodes = hung(pieceAt({ x, y: 1.1 }, 25, centre), centre);
      for (let i = 0; i < nodes.length; i += 3)
        if (nodes[i + 1]! < -2 && nodes[i + 2]! > 3) expect(Math.abs(nodes[i]!)).toBeGreaterThan(4.5);
    }
  });
});

describe('hair of the front half that is taken back', () => {
  const swept: Worn = { ...noPart, front: 'swept' };
  const halfUp: Worn = { ...noPart, front: 'held' };
  const anyFront = fc.record({
    x: fc.double({ min: -0.7, max: 0.7, noNaN: true }),
    y: fc.double({ min: 0.4, max: 1.1, noNaN: true }),
  });

  it('is as long as it shows and leaves the face free, off the face and half up', () => {
    fc.assert(
      fc.property(
        anyFront,
        fc.double({ min: 6, max: 35, noNaN: true }),
        fc.constantFrom(['swept', swept] as const, ['held', halfUp] as const),
        (at, visibleCm, [over, worn]) => {
          const nodes = hung({ ...pieceAt(at, visibleCm, worn), over }, worn);
          expect(steps(nodes).reduce((sum, step) => sum + step, 0) / visibleCm).toBeCloseTo(1, 9);
          for (let i = 3; i < nodes.length; i += 3) {
            // Below the brow nothing of it is in front of the ears.
            if (nodes[i + 1]! < -1 && Math.abs(nodes[i]!) < 6) expect(nodes[i + 2]!).toBeLessThan(3);
            expect(distanceAt(grid, nodes[i]!, nodes[i + 1]!, nodes[i + 2]!)).toBeGreaterThan(-0.8);
          }
        },
      ),
    );
  });

  it('lies over the scalp for three fifths of its length at most where it is swept, all the way where it is held', () => {
    fc.assert(
      fc.property(anyFront, fc.double({ min: 4, max: 35, noNaN: true }), (at, visibleCm) => {
        const piece = pieceAt(at, visibleCm, noPart);
        expect(overCm(piece, 1)).toBe(0);
        expect(overCm({ ...piece, over: 'swept' }, 1)).toBeLessThanOrEqual(0.6 * visibleCm + 1e-9);
        const far = overCm({ ...piece, over: 'held' }, 1);
        expect(far).toBeGreaterThan(3);
        expect(far).toBeLessThan(20);
      }),
    );
  });
});

describe('relaxation', () => {
  it('pushes pieces apart that hang in one place, and keeps each as long as it is', () => {
    const pieces = [0, 0.02, 0.04].map((x) => ({
      ...pieceAt({ x: 0.5 + x, y: 0 }, 20, centre),
      radiusCm: 1.2,
    }));
    const nodes = new Float64Array(3 * NODES * pieces.length);
    pieces.forEach((piece, p) => hang(grid, piece, 0.2, centre, nodes, 3 * NODES * p));
    const apart = (all: Float64Array) => {
      const [a, b] = [3 * (NODES - 1), 3 * (3 * NODES - 1)];
      return Math.hypot(all[a]! - all[b]!, all[a + 1]! - all[b + 1]!, all[a + 2]! - all[b + 2]!);
    };
    const before = apart(nodes);
    relax(grid, nodes, pieces);
    expect(apart(nodes)).toBeGreaterThan(before + 0.5);
    pieces.forEach(({ visibleCm }, p) =>
      expect(steps(nodes, 3 * NODES * p).reduce((sum, step) => sum + step, 0)).toBeCloseTo(visibleCm, 9),
    );
  });
});
