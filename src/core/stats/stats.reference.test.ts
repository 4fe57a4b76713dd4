import { cumulativeStdNormalProbability, mean, probit, quantile, standardDeviation } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { interpolate } from './interpolate';
import { seededRng } from '../random/rng';
import { quantiles } from './quantile';
import { normalCdf, normalQuantile, Z_90 } from './normal';
import { coefficientOfVariation } from './variation';

describe('the normal distribution', () => {
  it('has its tabled values (Φ(1.96) = 0.9750021, standard tables)', () => {
    expect(normalCdf(1.96)).toBeCloseTo(0.9750021, 6);
    expect(normalCdf(-1)).toBeCloseTo(0.1586553, 6);
    expect(normalQuantile(0.9)).toBeCloseTo(Z_90, 12);
    // Standard tables: 1.959963985 and 3.090232306.
    expect(normalQuantile(0.975)).toBeCloseTo(1.959963984540054, 12);
    expect(normalQuantile(0.999)).toBeCloseTo(3.090232306167813, 12);
    expect(normalQuantile(1e-9)).toBeCloseTo(-5.997807015, 8);
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

describe('seeded draws', () => {
  const draws = (seed: number, stream: number, count = 4000) => {
    const rng = seededRng(seed, stream);
    return Array.from({ length: count }, rng);
  };

  it('repeat, and differ by seed and by stream', () => {
    expect(draws(1, 2)).toEqual(draws(1, 2));
    expect(draws(1, 2, 5)).not.toEqual(draws(2, 2, 5));
    expect(draws(1, 2, 5)).not.toEqual(draws(1, 3, 5));
  });

  it('are uniform between 0 and 1, also from stream to stream', () => {
    for (const own of [draws(7, 0), Array.from({ length: 4000 }, (_, i) => seededRng(7, i)())]) {
      expect(Math.min(...own)).toBeGreaterThan(0);
      expect(Math.max(...own)).toBeLessThan(1);
      expect(mean(own)).toBeCloseTo(0.5, 1);
      // Uniform: variance 1/12; ten equal bins hold 400 ± 5 standard deviations.
      expect(standardDeviation(own)).toBeCloseTo(Math.sqrt(1 / 12), 1);
      for (let bin = 0; bin < 10; bin++) {
        const held = own.filter((u) => Math.floor(u * 10) === bin).length;
        expect(Math.abs(held - 400)).toBeLessThan(5 * Math.sqrt(360));
      }
    }
  });
});

describe('small helpers', () => {
  it('quantiles are of type 7 (Hyndman & Fan 1996)', () => {
    // R, quantile(c(1, 3, 4, 8, 20), c(.1, .5, .9)): 1.8, 4, 15.2 (by hand).
    const own = quantiles([20, 1, 8, 3, 4], [0.1, 0.5, 0.9]);
    [1.8, 4, 15.2].forEach((value, i) => expect(own[i]).toBeCloseTo(value, 12));
    expect(quantiles([5, 1, 9], [0.5])[0]).toBe(quantile([5, 1, 9], 0.5));
  });

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
