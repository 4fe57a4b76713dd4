import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fromFrame, framePoint, sphereDistance } from '../sphere/crown-chart';
import { hairlinePolygon } from '../sphere/hairline';
import { polygonArea, polygonContains } from '../sphere/polygon';
import { coefficientOfVariation } from '../stats/variation';
import { layBrick } from './brick-layout';
import { visualCentre } from './visual-centre';
import { zoneShares } from './zone-outlines';

describe('the surface of the scalp', () => {
  it('covers 5.716 R², within 0.02 % at the drawn sampling', () => {
    expect(polygonArea(hairlinePolygon(0.25))).toBeCloseTo(5.716, 3);
    expect(Math.abs(polygonArea(hairlinePolygon()) / 5.716 - 1)).toBeLessThan(2e-4);
  });

  it('is symmetrical', () => {
    const points = hairlinePolygon();
    points.forEach((point, i) => {
      const mirror = points[(points.length - i) % points.length]!;
      expect(mirror.x).toBeCloseTo(-point.x, 10);
      expect(mirror.y).toBeCloseTo(point.y, 10);
    });
  });

  it('has the row frame of the note', () => {
    const at = framePoint({ x: 0.5, y: 0.5 });
    expect([at.f, at.t]).toEqual([expect.closeTo(0.41747, 4), expect.closeTo(0.51803, 4)]);
    const low = framePoint({ x: 0.7, y: -0.9 });
    expect([low.f, low.t]).toEqual([expect.closeTo(0.63085, 4), expect.closeTo(-0.96361, 4)]);
  });

  it('the frame and its inverse undo each other', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -1.05, max: 1.05, noNaN: true }),
        fc.double({ min: -1.5, max: 1.5, noNaN: true }),
        (f, t) => {
          const back = framePoint(fromFrame(f, t));
          expect(back.f).toBeCloseTo(f, 9);
          expect(back.t).toBeCloseTo(t, 9);
        },
      ),
    );
  });

  it('measures a quarter turn as π/2', () => {
    const rim = 2 * Math.sin(Math.PI / 4);
    expect(sphereDistance({ x: 0, y: 0 }, { x: 0, y: rim })).toBeCloseTo(Math.PI / 2, 10);
  });

  it('divides into the zones of the note', () => {
    const shares = zoneShares();
    expect(shares.nape).toBeCloseTo(0.121, 3);
    expect(shares.back).toBeCloseTo(0.281, 3);
    expect(shares.left).toBeCloseTo(0.119, 3);
    expect(shares.right).toBeCloseTo(shares.left, 10);
    expect(shares.crown).toBeCloseTo(0.217, 3);
    expect(shares.front).toBeCloseTo(0.1425, 3);
  });
});

describe('brick rows', () => {
  it('lays 15 and 18 square sections as the note does', () => {
    expect(layBrick(15, 1).rows).toEqual([3, 4, 5, 3]);
    expect(layBrick(18, 1).rows).toEqual([3, 4, 5, 4, 2]);
  });

  it('numbers from the nape, left to right', () => {
    const { sections } = layBrick(18, 1);
    expect(sections[0]).toMatchObject({ number: 1, zone: 'nape', side: 'left' });
    expect(sections[2]).toMatchObject({ zone: 'nape', side: 'right' });
    expect(sections[17]).toMatchObject({ number: 18, zone: 'front', winding: 'away-from-face' });
  });

  it('any count from 2 to 600 is an exact partition into equal shares', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 600 }), fc.constantFrom(1, 1.5), (count, aspect) => {
        const { sections, rows } = layBrick(count, aspect);
        expect(sections).toHaveLength(count);
        expect(rows.reduce((sum, n) => sum + n, 0)).toBe(count);
        expect(sections.reduce((sum, s) => sum + s.share, 0)).toBeCloseTo(1, 9);
        expect(coefficientOfVariation(sections.map((s) => s.share))).toBeLessThan(0.005);
        expect(new Set(sections.map((s) => s.key)).size).toBe(count);
      }),
      { numRuns: 25 },
    );
  });

  it('left and right mirror each other', () => {
    const { sections } = layBrick(60, 1);
    for (const section of sections) {
      const nearest = Math.min(
        ...sections.map((s) =>
          Math.hypot(s.centroid.x + section.centroid.x, s.centroid.y - section.centroid.y),
        ),
      );
      expect(nearest).toBeLessThan(0.001);
    }
  });

  it('puts each number inside its section', () => {
    for (const { outline, centroid } of layBrick(40, 1).sections) {
      const centre = visualCentre(outline, centroid);
      expect(polygonContains(outline, centre)).toBe(true);
      expect(centre.radius).toBeGreaterThan(0.05);
    }
  });

  it('refuses one section, 601, and halves', () => {
    for (const count of [1, 601, 7.5, Number.NaN]) expect(() => layBrick(count, 1)).toThrow(RangeError);
  });
});
