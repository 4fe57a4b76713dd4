import { describe, expect, it } from 'vitest';
import { chiSquareTail, lnGamma } from './gamma';
import fc from 'fast-check';
import {
  logRank,
  medianDays,
  medianInterval,
  productLimit,
  stratifiedLogRank,
  type Lasted,
} from './survival';

const styles = (text: string): Lasted[] =>
  text.split(' ').map((own) => ({ days: Number.parseInt(own, 10), ended: !own.endsWith('+') }));
// Freireich et al. 1963, weeks of remission; + marks the right-censored (from memory, in many textbooks).
const TREATED = styles('6 6 6 6+ 7 9+ 10 10+ 11+ 13 16 17+ 19+ 20+ 22 23 25+ 32+ 32+ 34+ 35+');
const PLACEBO = styles('1 1 2 2 3 4 4 5 5 8 8 8 8 11 11 12 12 15 17 22 23');

describe('days lasted against a published data set', () => {
  it.each([
    [6, 21, 3, 0.857143, 0.07636, 0.619718, 0.951552],
    [7, 17, 1, 0.806723, 0.086935, 0.563147, 0.922809],
    [10, 15, 1, 0.752941, 0.09635, 0.5032, 0.889362],
    [13, 12, 1, 0.690196, 0.106815, 0.43161, 0.849066],
    [16, 11, 1, 0.627451, 0.114054, 0.367511, 0.804912],
    [22, 7, 1, 0.537815, 0.128234, 0.267779, 0.746791],
    [23, 6, 1, 0.448179, 0.134592, 0.188052, 0.680143],
  ])('week %d: %d at risk, %d ended', (days, atRisk, ended, survival, error, low, high) => {
    const step = productLimit(TREATED).find((own) => own.days === days)!;
    expect(step).toMatchObject({ atRisk, ended });
    expect(step.survival).toBeCloseTo(survival, 6);
    expect(step.standardError).toBeCloseTo(error, 5);
    expect(step.low).toBeCloseTo(low, 5);
    expect(step.high).toBeCloseTo(high, 5);
  });

  it('has medians 23 and 8, and none where half are still good', () => {
    expect(medianDays(productLimit(TREATED))).toBe(23);
    expect(medianDays(productLimit(PLACEBO))).toBe(8);
    expect(medianDays(productLimit(styles('5 9+ 9+ 9+')))).toBeNull();
    expect(medianDays(productLimit(styles('2 3 3+ 4 4 5+ 6 6+')))).toBe(4);
    expect(medianDays(productLimit(styles('1 2 5 6')))).toBe(3.5);
  });

  it('without censoring is the plain share still good', () => {
    for (const { days, survival } of productLimit(PLACEBO)) {
      expect(survival).toBeCloseTo(PLACEBO.filter((own) => own.days > days).length / 21, 12);
    }
    expect(productLimit(PLACEBO).at(-1)).toMatchObject({ survival: 0, low: null, high: null });
  });

  it('the log-rank χ² is 16.793 on one degree, p 4.17e-5, whichever group comes first', () => {
    for (const groups of [
      [TREATED, PLACEBO],
      [PLACEBO, TREATED],
    ]) {
      const test = logRank(groups)!;
      expect(test.chiSquare).toBeCloseTo(16.79294, 3);
      expect(test.df).toBe(1);
      expect(test.p / 4.169e-5).toBeCloseTo(1, 2);
    }
  });

  it('its median lies between 13 and not reached, and 4 and 11 (95 %); 16 and 5 to 11 (80 %)', () => {
    expect(medianInterval(productLimit(TREATED))).toEqual([13, null]);
    expect(medianInterval(productLimit(PLACEBO))).toEqual([4, 11]);
    expect(medianInterval(productLimit(TREATED, 0.8))).toEqual([16, null]);
    expect(medianInterval(productLimit(PLACEBO, 0.8))).toEqual([5, 11]);
    const small = productLimit(styles('2 3 3+ 4 4 5+ 6 6+'), 0.8);
    expect(small.find(({ days }) => days === 4)!.survival).toBeCloseTo(0.45, 9);
    expect(small.find(({ days }) => days === 4)!.low).toBeCloseTo(0.209581, 6);
    expect(small.find(({ days }) => days === 4)!.high).toBeCloseTo(0.664956, 6);
    expect(medianInterval(small)).toEqual([3, 6]);
  });

  it('one stratum is the plain test, and a head with one group only says nothing', () => {
    const own = stratifiedLogRank([{ a: TREATED, b: PLACEBO }])!;
    expect(own.observed).toBe(9);
    expect(own.expected).toBeCloseTo(19.2505, 4);
    expect(own.variance).toBeCloseTo(6.25696, 5);
    expect(own.chiSquare).toBeCloseTo(16.79294, 4);
    const withMore = stratifiedLogRank([
      { a: TREATED, b: PLACEBO },
      { a: styles('1 2 3'), b: [] },
    ])!;
    expect(withMore.chiSquare).toBeCloseTo(own.chiSquare, 9);
    expect(stratifiedLogRank([{ a: TREATED, b: [] }])).toBeNull();
  });

  it('the order of entry never matters, and groups may change places', () => {
    const any = fc.record({ days: fc.integer({ min: 0, max: 9 }), ended: fc.boolean() });
    fc.assert(
      fc.property(fc.array(any, { maxLength: 12 }), fc.array(any, { maxLength: 12 }), (a, b) => {
        const one = stratifiedLogRank([{ a, b }]);
        const other = stratifiedLogRank([{ a: [...b].reverse(), b: [...a].reverse() }]);
        if (one === null) expect(other).toBeNull();
        else expect(other!.chiSquare).toBeCloseTo(one.chiSquare, 9);
        expect(productLimit([...a].reverse())).toEqual(productLimit(a));
      }),
    );
  });

  it('three equal groups do not differ, and one group is nothing to compare', () => {
    expect(logRank([PLACEBO, PLACEBO, PLACEBO])!).toMatchObject({ df: 2 });
    expect(logRank([PLACEBO, PLACEBO, PLACEBO])!.p).toBeCloseTo(1, 6);
    expect(logRank([PLACEBO])).toBeNull();
    expect(logRank([styles('3+ 4+'), styles('5+')])).toBeNull();
  });
});

describe('the χ² distribution', () => {
  it('has its tabled points', () => {
    // Standard tables: 3.841459 on 1 df, 5.991465 on 2, 16.918978 on 9, each at 0.05.
    for (const [chiSquare, df] of [
      [3.841459, 1],
      [5.991465, 2],
      [16.918978, 9],
    ] as const) {
      expect(chiSquareTail(chiSquare, df)).toBeCloseTo(0.05, 6);
    }
    expect(chiSquareTail(0, 3)).toBe(1);
    // Below its mean the series is summed. Medians of χ² (standard tables), and exp(−x/2)(1 + x/2) for four degrees.
    expect(chiSquareTail(0.4549364, 1)).toBeCloseTo(0.5, 6);
    expect(chiSquareTail(3.356694, 4)).toBeCloseTo(0.5, 6);
    for (const x of [0.2, 1, 3]) expect(chiSquareTail(x, 4)).toBeCloseTo(Math.exp(-x / 2) * (1 + x / 2), 9);
  });

  it('Γ(1/2) is √π and Γ(6) is 120', () => {
    expect(Math.exp(lnGamma(0.5))).toBeCloseTo(Math.sqrt(Math.PI), 9);
    expect(Math.exp(lnGamma(6))).toBeCloseTo(120, 6);
  });
});
