import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { correctedChance } from '../stats/logit';
import { Z_90 } from '../stats/normal';
import {
  bandCorrection,
  chanceCorrection,
  coverageOf,
  crps,
  pinball,
  reliabilityOf,
  wilson,
  type JudgedChance,
} from './judged';

const TOLD: JudgedChance[] = [0.9, 0.9, 0.8, 0.7, 0.6, 0.5, 0.4, 0.3, 0.2, 0.1].map((chance, i) => ({
  chance,
  came: [1, 1, 0, 1, 1, 0, 1, 0, 0, 0][i] === 1,
}));

describe('were the forecasts right (worked figures, evidence §6)', () => {
  it('Wilson’s interval of 24 in 30', () => {
    const [low, high] = wilson(24, 30);
    expect(low).toBeCloseTo(0.692, 4);
    expect(high).toBeCloseTo(0.8769, 4);
  });

  it('counts bands that held, and what cannot be told yet', () => {
    const bands = Array.from({ length: 30 }, (_, i) => ({ low: 3, high: 6, came: i < 24 ? 4 : 8 }));
    expect(coverageOf(bands)).toMatchObject({ held: 24, total: 30, unknown: 0, verdict: 'right' });
    expect(coverageOf(bands.slice(0, 9)).verdict).toBe('few');
    expect(coverageOf(bands.map((band) => ({ ...band, came: 9 }))).verdict).toBe('narrow');
    expect(coverageOf(bands.map((band) => ({ ...band, came: 4 }))).verdict).toBe('wide');
    // Still good on day 4 may become anything; still good on day 7 is more than was said.
    expect(coverageOf([{ low: 3, high: 6, came: 4, isAtLeast: true }])).toMatchObject({
      unknown: 1,
      held: 0,
    });
    expect(coverageOf([{ low: 3, high: 6, came: 7, isAtLeast: true }])).toMatchObject({
      unknown: 0,
      held: 0,
    });
  });

  it('CRPS of the standard normal, and the pinball loss', () => {
    expect(crps(0, 1, 0)).toBeCloseTo(0.233695, 5);
    expect(crps(0, 1, 1)).toBeCloseTo(0.602441, 5);
    expect(pinball(0.9, 3, 5)).toBeCloseTo(1.8, 12);
    expect(pinball(0.9, 3, 2)).toBeCloseTo(0.1, 12);
  });

  it('CRPS is twice the pinball loss over all quantiles', () => {
    const steps = 4000;
    const [mean, sd, came] = [2, 1.5, 3.2];
    let sum = 0;
    // Quantiles by bisection of Φ are enough here: a sum over 4000 of them.
    for (let i = 0; i < steps; i++) {
      const share = (i + 0.5) / steps;
      let [low, high] = [-8, 8];
      for (let k = 0; k < 50; k++) {
        const middle = (low + high) / 2;
        if (0.5 * (1 + erf(middle / Math.SQRT2)) < share) low = middle;
        else high = middle;
      }
      sum += (2 * pinball(share, mean + sd * low, came)) / steps;
    }
    expect(sum).toBeCloseTo(crps(mean, sd, came), 3);
  });

  it('Brier score and its parts', () => {
    const own = reliabilityOf(TOLD)!;
    expect(own.brier).toBeCloseTo(0.166, 9);
    expect(own.reliability).toBeCloseTo(0.0505, 9);
    expect(own.resolution).toBeCloseTo(0.13333, 5);
    expect(own.uncertainty).toBeCloseTo(0.25, 9);
    expect(reliabilityOf([])).toBeNull();
  });

  it('the three parts add up where forecasts in a bin are equal', () => {
    const any = fc.record({ chance: fc.constantFrom(0.1, 0.3, 0.5, 0.7, 0.9), came: fc.boolean() });
    fc.assert(
      fc.property(fc.array(any, { minLength: 1, maxLength: 60 }), (told) => {
        const own = reliabilityOf(told)!;
        expect(own.reliability - own.resolution + own.uncertainty).toBeCloseTo(own.brier, 9);
      }),
    );
  });

  it('corrects chances that promised too much', () => {
    const own = chanceCorrection(TOLD);
    expect(own.shift).toBeCloseTo(-0.1082, 3);
    expect(own.slope).toBeCloseTo(1.033, 3);
    expect(correctedChance(own, 0.8)).toBeCloseTo(0.7898, 3);
    const twenty = Array.from({ length: 20 }, (_, i) => ({ chance: 0.9, came: i < 12 }));
    const other = chanceCorrection(twenty);
    expect(other.shift).toBeCloseTo(-0.5943, 3);
    expect(other.slope).toBeCloseTo(0.5736, 3);
    expect(correctedChance(other, 0.9)).toBeCloseTo(0.6606, 3);
  });

  it('corrects the width of bands', () => {
    expect(bandCorrection([1.5, -2, 0.5, 2.2, -1.8])).toBeCloseTo(1.2801, 4);
    expect(bandCorrection([])).toBe(1);
    expect(bandCorrection(Array.from({ length: 500 }, (_, i) => (i % 2 ? 1 : -1)))).toBeCloseTo(1, 9);
    expect(Z_90).toBeCloseTo(1.2815516, 7);
  });
});

/** Abramowitz & Stegun 1964, 7.1.26. */
function erf(x: number): number {
  const t = 1 / (1 + 0.3275911 * Math.abs(x));
  const y =
    1 -
    ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) *
      t *
      Math.exp(-x * x);
  return x >= 0 ? y : -y;
}
