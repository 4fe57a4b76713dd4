import fc from 'fast-check';
import { linearRegression } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { censoredRegression, type CensoredRow } from './censored-regression';

const FLAT = { interceptSd: 1e4, stratumSd: 1e-4, effectSd: 1e4, noiseSd: 0.9, noiseLnSd: 1e3 };
// Freireich et al. 1963, weeks of remission; + marks the right-censored (from memory, in many textbooks).
const TREATED = '6 6 6 6+ 7 9+ 10 10+ 11+ 13 16 17+ 19+ 20+ 22 23 25+ 32+ 32+ 34+ 35+';
const PLACEBO = '1 1 2 2 3 4 4 5 5 8 8 8 8 11 11 12 12 15 17 22 23';
const weeks = (text: string, x: readonly number[]): CensoredRow[] =>
  text.split(' ').map((own) => {
    const ln = Math.log(Number.parseInt(own, 10));
    return { stratum: 0, x, low: ln, high: own.endsWith('+') ? Infinity : ln };
  });

describe('regression on what is partly cut short', () => {
  it('finds the effect and scale of the remission data (log-normal, published analyses)', () => {
    const fit = censoredRegression([...weeks(TREATED, [0]), ...weeks(PLACEBO, [1])], FLAT);
    expect(fit.effects[0]).toBeGreaterThan(-1.3468 - 0.03);
    expect(fit.effects[0]).toBeLessThan(-1.3468 + 0.03);
    expect(Math.abs(fit.noiseSd - 0.9239)).toBeLessThan(0.02);
  });

  it('gives one group its mean, scale and likelihood (log-normal, published analyses)', () => {
    const fit = censoredRegression(weeks(TREATED, []), FLAT, 0.97873);
    expect(fit.intercept).toBeCloseTo(3.20307, 3);
    // In weeks, not ln weeks: less the sum of ln of those that ended.
    const ended = weeks(TREATED, []).filter(({ high }) => high !== Infinity);
    expect(fit.logLikelihood - ended.reduce((sum, { low }) => sum + low, 0)).toBeCloseTo(-40.68, 2);
  });

  it('shrinks a within-head effect as worked out by hand (evidence §4)', () => {
    const sd = 0.57735026919;
    const of = (stratum: number, pairs: readonly (readonly [number, number])[]): CensoredRow[] =>
      pairs.map(([x, y]) => ({ stratum, x: [(x - 0.5) / sd], low: y, high: y }));
    const fit = censoredRegression(
      [...of(0, [[0, 0], [0, 0.1], [1, 0.4], [1, 0.3]]), ...of(1, [[0, -0.2], [1, 0.1], [1, 0.2], [0, -0.1]])],
      { interceptSd: 0.3, stratumSd: 0.3, effectSd: 0.15, noiseSd: 0.35, noiseLnSd: 0.35 },
      0.35,
    ); // prettier-ignore
    expect(fit.effects[0]).toBeCloseTo(0.090807, 4);
    expect(fit.standardErrors[0]).toBeCloseTo(0.10346, 4);
  });

  it('of exact points under flat priors is least squares', () => {
    const point = fc.tuple(
      fc.double({ min: -3, max: 3, noNaN: true }),
      fc.double({ min: -3, max: 3, noNaN: true }),
    );
    fc.assert(
      fc.property(fc.array(point, { minLength: 5, maxLength: 20 }), (points) => {
        const mean = points.reduce((sum, [x]) => sum + x, 0) / points.length;
        fc.pre(points.reduce((sum, [x]) => sum + (x - mean) ** 2, 0) > 0.5);
        const { m, b } = linearRegression(points.map(([x, y]) => [x, y]));
        const rows = points.map(([x, y]) => ({ stratum: 0, x: [x], low: y, high: y }));
        const fit = censoredRegression(rows, FLAT, 1);
        expect(fit.effects[0]).toBeCloseTo(m, 4);
        expect(fit.intercept).toBeCloseTo(b, 4);
      }),
    );
  });
});
