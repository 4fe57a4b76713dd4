import { cumulativeStdNormalProbability, probit, standardDeviation, mean } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { interpolate } from './interpolate';
import { normalCdf, normalQuantile, Z_90 } from './normal';
import { coefficientOfVariation } from './variation';

describe('the normal distribution', () => {
  it('has its tabled values (Φ(1.96) = 0.9750021, standard tables)', () => {
    expect(normalCdf(1.96)).toBeCloseTo(0.9750021, 6);
    expect(normalCdf(-1)).toBeCloseTo(0.1586553, 6);
    expect(normalQuantile(0.9)).toBeCloseTo(Z_90, 5);
  });

  it('agrees with a statistics library', () => {
    // The library tabulates z to two decimals.
    for (const z of [-2.5, -1.2, -0.3, 0, 0.7, 1.5, 3]) {
      expect(normalCdf(z)).toBeCloseTo(cumulativeStdNormalProbability(z), 4);
    }
    for (const p of [0.1, 0.25, 0.5, 0.9]) expect(normalQuantile(p)).toBeCloseTo(probit(p), 2);
  });

  it('has no quantile at 0 or 1', () => {
    expect(() => normalQuantile(0)).toThrow(RangeError);
    expect(() => normalQuantile(1)).toThrow(RangeError);
  });
});

describe('small helpers', () => {
  it('variation is the population deviation over the mean', () => {
    const values = [3, 5, 8, 9];
    expect(coefficientOfVariation(values)).toBeCloseTo(standardDeviation(values) / mean(values), 12);
  });

  it('interpolation is linear inside and flat outside', () => {
    expect(interpolate([0, 1, 3], [0, 10, 30], 2)).toBe(20);
    expect(interpolate([0, 1, 3], [0, 10, 30], 9)).toBe(30);
    expect(interpolate([0, 1, 3], [5, 10, 30], -1)).toBe(5);
  });
});
