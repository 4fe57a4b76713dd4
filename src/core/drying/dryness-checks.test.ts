import { describe, expect, it } from 'vitest';
import { UNKNOWN_HEAD_LN_SD } from '../coefficients/drying';
import { normalCdf } from '../stats/normal';
import { agreedChecks, beliefAfterChecks, placeLikelihood, type DrynessCheck } from './dryness-checks';
import {
  chanceDry,
  conditioned,
  drySpread,
  hoursForChances,
  lnTimeSd,
  priorBelief,
  type TimesByRate,
} from './rate-belief';
import { largestSectionFactor } from './section-classes';

const RATES = [-0.75, -0.5, -0.25, 0, 0.25, 0.5, 0.75];
/** A head whose root dries in `hours` at the usual rate, under one method. */
const times = (hours: number): TimesByRate => ({
  lnRates: RATES,
  hours: RATES.map((x) => hours * Math.exp(-x)),
});
const onCrown = () => 'crown' as const;
const check = (feel: DrynessCheck['feel'], afterH: number, sectionNumber = 1): DrynessCheck => ({
  sectionNumber,
  level: 'root',
  feel,
  afterH,
});

describe('how sure a head is dry', () => {
  it('combines what is not known in squares (JCGM 100:2008)', () => {
    const sd = Math.hypot(0.127, 0.089, 0.054, 0.044, 0.037, 0.035, 0.022, 0.25);
    expect(lnTimeSd(0.25)).toBeCloseTo(sd, 12);
  });

  it('is a log-normal about the usual time while nothing was felt', () => {
    const belief = priorBelief();
    for (const hours of [5, 8, 10, 14]) {
      expect(chanceDry(belief, times(8), hours)).toBeCloseTo(
        normalCdf(Math.log(hours / 8) / lnTimeSd(UNKNOWN_HEAD_LN_SD)),
        2,
      );
    }
    const { p10, p50, p90 } = drySpread(belief, times(8));
    expect(p50).toBeCloseTo(8, 1);
    expect(p90 / p50).toBeCloseTo(p50 / p10, 1);
  });

  it('bends later after damp, earlier after dry, and not at all after cool', () => {
    const prior = priorBelief();
    const median = (checks: DrynessCheck[]) =>
      hoursForChances(
        beliefAfterChecks(prior, checks, onCrown, () => times(8)),
        times(8),
        [0.5],
      )[0]!;
    const usual = median([]);
    expect(median([check('damp', 8)])).toBeGreaterThan(usual * 1.05);
    expect(median([check('dry', 6)])).toBeLessThan(usual * 0.95);
    expect(median([check('cool', 8)])).toBe(usual);
    expect(median([check('damp', 10)])).toBeGreaterThan(median([check('damp', 6)]));
  });

  it('narrows when damp and dry enclose the time', () => {
    const prior = priorBelief();
    const after = beliefAfterChecks(prior, [check('damp', 9), check('dry', 11)], onCrown, () => times(8));
    const width = (b: typeof prior) => Math.log(drySpread(b, times(8)).p90 / drySpread(b, times(8)).p10);
    expect(width(after)).toBeLessThan(0.7 * width(prior));
    expect(drySpread(after, times(8)).p50).toBeGreaterThan(8.2);
  });

  it('puts the last damp and the first dry after it beside a forecast', () => {
    expect(agreedChecks([check('damp', 4), check('damp', 6), check('dry', 8), check('dry', 9)])).toEqual({
      lastDampH: 6,
      firstDryH: 8,
    });
    expect(agreedChecks([check('dry', 5), check('damp', 7)])).toEqual({ lastDampH: 7, firstDryH: null });
  });

  it('twice damp in one place says more than once: two wrong hands are rarer than one', () => {
    const prior = priorBelief();
    const median = (...checks: DrynessCheck[]) =>
      drySpread(
        beliefAfterChecks(prior, checks, onCrown, () => times(8)),
        times(8),
      ).p50;
    expect(median(check('damp', 12), check('damp', 12.5))).toBeGreaterThan(
      median(check('damp', 12.5)) * 1.02,
    );
    // A damp after a dry: one of them was wrong, the dry the likelier.
    expect(median(check('dry', 6), check('damp', 7))).toBeGreaterThan(median());
  });

  it('holds a root 6 % sooner than the head that waits for its slowest, with a spread of .15 and .12 in squares', () => {
    const prior = priorBelief();
    const felt = [check('damp', 8)];
    const byHand = conditioned(prior, (lnRate) =>
      placeLikelihood(felt, Math.exp(-0.06) * 8 * Math.exp(-lnRate), Math.hypot(0.15, 0.12)),
    );
    const { weights } = beliefAfterChecks(prior, felt, onCrown, () => times(8));
    weights.forEach((weight, i) => expect(weight).toBeCloseTo(byHand.weights[i]!, 6));
  });

  it('is Bayes over the intervals, reckoned by hand', () => {
    // Time for the place log-normal about 8 h, spread .2: P(T ≤ 7) = Φ(ln(7/8)/.2), P(T ≤ 10) = Φ(ln(10/8)/.2).
    const by7 = normalCdf(Math.log(7 / 8) / 0.2);
    const by10 = normalCdf(Math.log(10 / 8) / 0.2);
    const said = by7 * 0.03 * 0.97 + (by10 - by7) * 0.95 * 0.97 + (1 - by10) * 0.95 * 0.05;
    expect(placeLikelihood([check('damp', 7), check('dry', 10)], 8, 0.2)).toBeCloseTo(said, 12);
    const wrongWay = by7 * 0.97 * 0.03 + (by10 - by7) * 0.05 * 0.03 + (1 - by10) * 0.05 * 0.95;
    expect(placeLikelihood([check('dry', 7), check('damp', 10)], 8, 0.2)).toBeCloseTo(wrongWay, 12);
  });

  it('never says more than it knows: one wrong hand cannot rule a time out', () => {
    const belief = beliefAfterChecks(priorBelief(), [check('damp', 30)], onCrown, () => times(8));
    expect(belief.weights.reduce((sum, weight) => sum + weight, 0)).toBeCloseTo(1, 9);
    expect(chanceDry(belief, times(8), 9)).toBeGreaterThan(0.1);
  });

  it('counts on the largest of hand-parted sections being larger the more there are', () => {
    expect(largestSectionFactor(1)).toBe(1);
    expect(largestSectionFactor(2)).toBeGreaterThan(1.05);
    expect(largestSectionFactor(20)).toBeGreaterThan(largestSectionFactor(5));
    expect(largestSectionFactor(20)).toBeLessThan(1.5);
  });
});
