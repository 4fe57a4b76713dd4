import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { curlPoints, hangingAxis, turnCm, woundAbout, type SeenCurl, type Vec3 } from './hung-curl';

const anyCurl = fc
  .record({
    lengthCm: fc.double({ min: 3, max: 40, noNaN: true }),
    share: fc.double({ min: 0.3, max: 0.97, noNaN: true }),
    diameterMm: fc.double({ min: 4, max: 30, noNaN: true }),
    shape: fc.constantFrom('curl' as const, 'wave' as const, 'crimp' as const),
  })
  .map(({ share, ...own }): SeenCurl => ({ ...own, visibleCm: own.lengthCm * share }));

const arc = (points: readonly (readonly number[])[]) =>
  points.slice(1).reduce((sum, p, i) => sum + Math.hypot(...p.map((x, k) => x - points[i]![k]!)), 0);

describe('a curl drawn to scale', () => {
  it('a helix of pitch πD shows 1/√2 of its hair', () => {
    // Arc length of one turn is √((πD)² + p²); with p = πD that is √2 p.
    const curl: SeenCurl = { lengthCm: 20, visibleCm: 20 / Math.SQRT2, diameterMm: 10, shape: 'curl' };
    expect(turnCm(curl)).toBeCloseTo(Math.PI, 9);
  });

  it('a sine of amplitude 1 and wave 2π is 1.2160 as long as its axis', () => {
    // Arc length of sin over a period, 4√2 E(1/2) = 7.640395578 (Abramowitz and Stegun, table 17.1, from memory).
    const share = (2 * Math.PI) / 7.640395578;
    const wave: SeenCurl = { lengthCm: 10, visibleCm: 10 * share, diameterMm: 20, shape: 'wave' };
    expect(turnCm(wave)).toBeCloseTo(2 * Math.PI, 4);
  });

  it('has as much hair as it has, over any size, and is as long and as wide as it says', () => {
    fc.assert(
      fc.property(anyCurl, (curl) => {
        const points = curlPoints(curl);
        const turns = curl.visibleCm / turnCm(curl);
        // Part of a turn of a wave has more or less hair than its share.
        fc.pre(turns >= 4 && turns * 14 < 400);
        const hair = arc(points.map(({ alongCm, uCm, vCm }) => [alongCm, uCm, vCm]));
        // Chords are a little shorter than arcs.
        expect(hair / curl.lengthCm).toBeGreaterThan(0.93);
        expect(hair / curl.lengthCm).toBeLessThan(1.05);
        expect(points.at(-1)!.alongCm).toBeCloseTo(curl.visibleCm, 9);
        const wide = Math.max(...points.map(({ uCm, vCm }) => Math.hypot(uCm, vCm)));
        expect(wide).toBeLessThanOrEqual(curl.diameterMm / 20 + 1e-9);
      }),
    );
  });

  it('hair stretched to its length hangs straight', () => {
    const straight: SeenCurl = { lengthCm: 20, visibleCm: 20, diameterMm: 10, shape: 'curl' };
    expect(turnCm(straight)).toBe(Infinity);
    expect(curlPoints(straight).every(({ uCm, vCm }) => uCm === 0 && vCm === 0)).toBe(true);
  });
});

describe('its axis', () => {
  const RADIUS = 9;
  const outside = (at: Vec3): Vec3 => {
    const far = Math.hypot(...at);
    return far >= RADIUS ? at : [(at[0] * RADIUS) / far, (at[1] * RADIUS) / far, (at[2] * RADIUS) / far];
  };
  const anyNormal = fc
    .tuple(fc.double({ min: 0, max: 2 * Math.PI, noNaN: true }), fc.double({ min: 0, max: 1.7, noNaN: true }))
    .map(([azimuth, polar]): Vec3 => [
      Math.sin(polar) * Math.sin(azimuth),
      Math.sin(polar) * Math.cos(azimuth),
      Math.cos(polar),
    ]);

  it('is as long as it should be, stays out of the head, and ends lower than it began', () => {
    fc.assert(
      fc.property(anyNormal, fc.double({ min: 2, max: 40, noNaN: true }), (normal, lengthCm) => {
        const root: Vec3 = [normal[0] * RADIUS, normal[1] * RADIUS, normal[2] * RADIUS];
        const axis = hangingAxis(root, normal, lengthCm, 60, outside);
        expect(arc(axis.map(({ at }) => at))).toBeCloseTo(lengthCm, 6);
        for (const { at, u, v } of axis) {
          expect(Math.hypot(...at)).toBeGreaterThan(RADIUS - 0.35);
          expect(Math.hypot(...u)).toBeCloseTo(1, 6);
          expect(u[0] * v[0] + u[1] * v[1] + u[2] * v[2]).toBeCloseTo(0, 6);
        }
        if (lengthCm > 8) expect(axis.at(-1)!.at[2]).toBeLessThan(root[2] + 1.5);
      }),
    );
  });

  it('carries the curl: every point lies within half a diameter of it', () => {
    const curl: SeenCurl = { lengthCm: 20, visibleCm: 12, diameterMm: 14, shape: 'curl' };
    const axis = hangingAxis([0, -RADIUS, 0], [0, -1, 0], 12, 60, outside);
    for (const point of woundAbout(curlPoints(curl), axis, 12)) {
      const near = Math.min(
        ...axis.map(({ at }) => Math.hypot(at[0] - point[0], at[1] - point[1], at[2] - point[2])),
      );
      expect(near).toBeLessThan(0.7 + 0.25);
    }
  });
});
