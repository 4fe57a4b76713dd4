import { inverse, pxPerMmAt, toPx, type Homography } from './homography';
import type { Point } from './picture';
import { scaleSigma, type Reference } from './reference';
import { sigmaOf } from './refine';
import { measured, refused, type Figure, type Measuring } from './refusal';

/** Points of a smooth line through others, for each span so many. */
const STEPS = 16;

/** A smooth line through points. @source Catmull and Rom 1974, uniform, the ends doubled */
export function smoothLine(points: readonly Point[]): Point[] {
  const at = (i: number) => points[Math.max(0, Math.min(points.length - 1, i))]!;
  const line: Point[] = [points[0]!];
  for (let i = 0; i + 1 < points.length; i++) {
    const [a, b, c, d] = [at(i - 1), at(i), at(i + 1), at(i + 2)];
    for (let k = 1; k <= STEPS; k++) {
      const t = k / STEPS;
      const of = (j: 0 | 1) =>
        0.5 *
        (2 * b[j] +
          (c[j] - a[j]) * t +
          (2 * a[j] - 5 * b[j] + 4 * c[j] - d[j]) * t * t +
          (3 * b[j] - a[j] - 3 * c[j] + d[j]) * t * t * t);
      line.push([of(0), of(1)]);
    }
  }
  return line;
}

const lineMm = (h: Homography, taps: readonly Point[]): number => {
  const back = inverse(h);
  const line = smoothLine(taps.map((tap) => toPx(back, tap)));
  return line.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - line[i]![0], y - line[i]![1]), 0);
};

/**
 * Length along a tapped line, mm.
 *
 * @param taps px, along the hair
 * @source photo §3
 */
export function lengthAlong(reference: Reference, taps: readonly Point[]): Measuring<Figure> {
  if (taps.length < 2) return refused('line-short');
  const { h, covariance } = reference;
  const value = lineMm(h, taps);
  const ofScale = covariance ? sigmaOf({ h, covariance }, (moved) => lineMm(moved, taps)) : 0;
  const tapMm = 1 / pxPerMmAt(h, toPx(inverse(h), taps[0]!));
  return measured({ value, sigma: Math.hypot(ofScale, Math.SQRT2 * tapMm, value * scaleSigma(reference)) });
}

/** More than this of the stretched length is not believed; up to it, it is all of it. */
const MOST_STRETCH = 1.03;

/** Share of its stretched length that shows. */
export function stretchOf(visibleMm: Figure, stretchedCm: number): Measuring<Figure> {
  const share = visibleMm.value / (10 * stretchedCm);
  return share > MOST_STRETCH
    ? refused('too-long')
    : measured({ value: Math.min(1, share), sigma: visibleMm.sigma / (10 * stretchedCm) });
}
