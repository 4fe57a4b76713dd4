import fc from 'fast-check';
import { geoAzimuthalEqualArea } from 'd3-geo';
import { describe, expect, it } from 'vitest';
import { chartPoint, sphereVector } from './crown-chart';
import { hairlinePolygon } from './hairline';
import { monotoneCubic } from './monotone-cubic';
import { clipPolygon, polygonArea, polygonCentroid, polygonContains } from './polygon';

const scalp = hairlinePolygon();

describe('the equal-area chart', () => {
  it('agrees with a cartography library', () => {
    const project = geoAzimuthalEqualArea().rotate([0, -90]).scale(1).translate([0, 0]);
    fc.assert(
      fc.property(
        fc.double({ min: -170, max: 170, noNaN: true }),
        fc.double({ min: 1, max: 110, noNaN: true }),
        (azimuthDeg, polarDeg) => {
          const own = chartPoint((azimuthDeg * Math.PI) / 180, (polarDeg * Math.PI) / 180);
          const [x, y] = project([azimuthDeg, 90 - polarDeg])!;
          // The library's plate has south up and grows downwards: the same picture, turned.
          expect(Math.hypot(own.x, own.y)).toBeCloseTo(Math.hypot(x, y), 9);
          expect(Math.abs(own.x)).toBeCloseTo(Math.abs(x), 9);
        },
      ),
    );
  });

  it('lifts back to the unit sphere', () => {
    for (const point of scalp) expect(Math.hypot(...sphereVector(point))).toBeCloseTo(1, 12);
  });
});

describe('cutting a polygon', () => {
  it('the two sides of any cut add up to the whole', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('f' as const, 't' as const),
        fc.double({ min: -1.4, max: 1.4, noNaN: true }),
        (axis, at) => {
          const below = polygonArea(clipPolygon(scalp, axis, at, 'below'));
          const above = polygonArea(clipPolygon(scalp, axis, at, 'above'));
          expect(below + above).toBeCloseTo(polygonArea(scalp), 9);
        },
      ),
    );
  });

  it('leaves all or nothing when the cut misses', () => {
    expect(clipPolygon(scalp, 't', 9, 'below')).toHaveLength(scalp.length);
    expect(clipPolygon(scalp, 't', 9, 'above')).toHaveLength(0);
  });

  it('knows area, centroid and inside of a square', () => {
    const square = [
      [0, 0],
      [2, 0],
      [2, 2],
      [0, 2],
    ].map(([x, y]) => ({ x: x!, y: y! }));
    expect(polygonArea(square)).toBe(4);
    expect(polygonCentroid(square)).toEqual({ x: 1, y: 1 });
    expect(polygonContains(square, { x: 0.5, y: 1.9 })).toBe(true);
    expect(polygonContains(square, { x: 2.1, y: 1 })).toBe(false);
  });
});

describe('the monotone cubic', () => {
  it('goes through its knots and never beyond their range', () => {
    const xs = [0, 1, 2.5, 4, 7];
    const ys = [3, 3, 8, 2, 2];
    const curve = monotoneCubic(xs, ys);
    xs.forEach((x, i) => expect(curve(x)).toBeCloseTo(ys[i]!, 12));
    for (let x = 0; x <= 7; x += 0.01) {
      const i = xs.findLastIndex((knot) => knot <= x);
      const [a, b] = [ys[i]!, ys[Math.min(i + 1, ys.length - 1)]!];
      expect(curve(x)).toBeGreaterThanOrEqual(Math.min(a, b) - 1e-9);
      expect(curve(x)).toBeLessThanOrEqual(Math.max(a, b) + 1e-9);
    }
  });
});
