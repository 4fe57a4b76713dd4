import { createRequire } from 'node:module';
import type Cv from '@techstark/opencv-js';
import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { mulberry32 } from '../../../tests/support/photo-scenes';
import { homographyOf, inverse, toPx } from './homography';
import { blurred, type Plane, type Point } from './picture';
import { distanceTo, type Mask } from './shapes';
import { otsu } from './threshold';

// It looks like a promise to whoever imports it, and would be waited for without end.
const cv = createRequire(import.meta.url)('@techstark/opencv-js') as typeof Cv;

/** A general library of image processing, as an oracle of the parts that every method here stands on. */
beforeAll(async () => {
  await new Promise<void>((ready) => {
    if ((cv as { Mat?: unknown }).Mat) ready();
    else cv.onRuntimeInitialized = ready;
  });
}, 60_000);

const WIDTH = 90;
const HEIGHT = 70;
const noise = (seed: number): Plane => {
  const rng = mulberry32(seed);
  return {
    width: WIDTH,
    height: HEIGHT,
    values: Float32Array.from({ length: WIDTH * HEIGHT }, () => rng()),
  };
};
const matOf = (values: Float32Array) => cv.matFromArray(HEIGHT, WIDTH, cv.CV_32F, [...values]);
const farthest = (ours: Float32Array, theirs: Float32Array) =>
  ours.reduce((most, value, i) => Math.max(most, Math.abs(value - theirs[i]!)), 0);

describe('against a general library', () => {
  it('a homography through four places', () => {
    const place = fc.tuple(
      fc.double({ min: 20, max: 80, noNaN: true }),
      fc.double({ min: 20, max: 80, noNaN: true }),
    );
    fc.assert(
      fc.property(place, place, place, place, (a, b, c, d) => {
        const from: Point[] = [[-40, -25], [40, -25], [40, 25], [-40, 25]]; // prettier-ignore
        const to: Point[] = [a, [500 + b[0], b[1]], [500 + c[0], 400 + c[1]], [d[0], 400 + d[1]]];
        const ours = homographyOf(from, to)!;
        const flat = (points: Point[]) => cv.matFromArray(4, 1, cv.CV_32FC2, points.flat());
        const theirs = cv.getPerspectiveTransform(flat(from), flat(to)).data64F;
        for (const point of [
          [0, 0],
          [30, -20],
          [-39, 24],
        ] as Point[]) {
          const [x, y] = toPx(ours, point);
          const [u, v] = toPx([...theirs], point);
          expect(Math.hypot(x - u, y - v)).toBeLessThan(1e-3);
          const [bx, by] = toPx(inverse(ours), [x, y]);
          expect(Math.hypot(bx - point[0], by - point[1])).toBeLessThan(1e-6);
        }
      }),
      { numRuns: 40 },
    );
  });

  it.each([0.6, 1.7, 4])('a Gaussian blur of %d px', (sigma) => {
    const plane = noise(3);
    const out = new cv.Mat();
    const reach = 2 * Math.ceil(4 * sigma) + 1;
    cv.GaussianBlur(matOf(plane.values), out, new cv.Size(reach, reach), sigma, sigma, cv.BORDER_REFLECT_101);
    expect(farthest(blurred(plane, sigma).values, out.data32F)).toBeLessThan(1e-6);
  });

  it.each([0.02, 0.3, 0.9])('distances to the nearest of a share of %d of the pixels', (share) => {
    const values = Uint8Array.from(noise(8).values, (value) => (value < share ? 1 : 0));
    const mask: Mask = { width: WIDTH, height: HEIGHT, values };
    const zeros = cv.matFromArray(
      HEIGHT,
      WIDTH,
      cv.CV_8U,
      [...values].map((value) => 1 - value),
    );
    const out = new cv.Mat();
    cv.distanceTransform(zeros, out, cv.DIST_L2, cv.DIST_MASK_PRECISE);
    expect(farthest(distanceTo(mask).values, out.data32F)).toBeLessThan(1e-4);
  });

  it('the value that parts a sample in two', () => {
    const rng = mulberry32(21);
    const bytes = Array.from({ length: WIDTH * HEIGHT }, () =>
      Math.floor((rng() < 0.3 ? 60 : 170) + 40 * (rng() - 0.5)),
    );
    const [low, high] = [Math.min(...bytes), Math.max(...bytes)];
    const out = new cv.Mat();
    const theirs = cv.threshold(
      cv.matFromArray(HEIGHT, WIDTH, cv.CV_8U, bytes),
      out,
      0,
      255,
      cv.THRESH_BINARY + cv.THRESH_OTSU,
    ) as unknown as number;
    const ours = otsu(Float32Array.from(bytes)).threshold;
    // Between the two groups any value parts them: those below and above must be the same.
    expect(bytes.filter((byte) => byte < ours).length).toBe(bytes.filter((byte) => byte <= theirs).length);
    expect(ours).toBeGreaterThan(low);
    expect(ours).toBeLessThan(high);
  });
});
