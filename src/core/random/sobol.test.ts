import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { normalQuantile } from '../stats/normal';
import { quantiles } from '../stats/quantile';
import { seededRng } from './rng';
import { SOBOL_DIMENSIONS, sobolPoints } from './sobol';

const seed = fc.integer({ min: 0, max: 2 ** 31 });
const indices = (count: number) => Array.from({ length: count }, (_, i) => i);

describe('evenly filling points', () => {
  it('in each direction, any run of 2ᵐ from a multiple of it has one in each of its 2ᵐ cells (a digital net)', () => {
    fc.assert(
      fc.property(seed, fc.integer({ min: 0, max: 10 }), fc.integer({ min: 0, max: 5 }), (own, m, block) => {
        const at = sobolPoints(own);
        const count = 2 ** m;
        for (let dimension = 0; dimension < SOBOL_DIMENSIONS; dimension++) {
          const cells = indices(count).map((i) => Math.floor(at(block * count + i, dimension) * count));
          expect(new Set(cells).size).toBe(count);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('the first two directions together have one point in every box of volume 2⁻ᵐ (a (0, m, 2)-net)', () => {
    fc.assert(
      fc.property(seed, fc.integer({ min: 1, max: 9 }), (own, m) => {
        const at = sobolPoints(own);
        for (let wide = 0; wide <= m; wide++) {
          const boxes = indices(2 ** m).map(
            (i) => `${Math.floor(at(i, 0) * 2 ** wide)}/${Math.floor(at(i, 1) * 2 ** (m - wide))}`,
          );
          expect(new Set(boxes).size).toBe(2 ** m);
        }
      }),
      { numRuns: 20 },
    );
  });

  it('any two directions fill quarters and sixteenths of their square evenly', () => {
    const at = sobolPoints(7);
    for (let a = 0; a < SOBOL_DIMENSIONS; a++) {
      for (let b = 0; b < a; b++) {
        const counts = new Map<string, number>();
        for (const i of indices(1024)) {
          const box = `${Math.floor(at(i, a) * 4)}/${Math.floor(at(i, b) * 4)}`;
          counts.set(box, (counts.get(box) ?? 0) + 1);
        }
        expect([...counts.values()]).toEqual(Array.from({ length: 16 }, () => 64));
      }
    }
  });

  it('the same seed gives the same points, another others', () => {
    expect(sobolPoints(3)(41, 5)).toBe(sobolPoints(3)(41, 5));
    expect(sobolPoints(3)(41, 5)).not.toBe(sobolPoints(4)(41, 5));
  });

  it('256 of them give the quantiles of a sum as well as 700 random ones do', () => {
    // Eight normals with the spreads of a drying head; the sum is normal, its quantiles are exact.
    const spreads = [0.27, 0.15, 0.22, 0.35, 0.25, 0.1, 0.05, 0.1];
    const exact = Math.hypot(...spreads) * normalQuantile(0.9);
    const error = (sumOf: (seed: number) => readonly number[]) => {
      const errors = indices(200).map((own) => quantiles(sumOf(own), [0.9])[0]! - exact);
      return Math.sqrt(errors.reduce((sum, e) => sum + e * e, 0) / errors.length);
    };
    const total = (coordinate: (dimension: number) => number) =>
      spreads.reduce((sum, sd, dimension) => sum + sd * normalQuantile(coordinate(dimension)), 0);
    const even = error((own) => {
      const at = sobolPoints(own);
      return indices(256).map((i) => total((dimension) => at(i, dimension)));
    });
    const random = error((own) => indices(700).map((i) => total(seededRng(own + 1000, i))));
    expect(even).toBeLessThan(random);
  });
});
