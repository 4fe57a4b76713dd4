import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { meanOfDays, nextIsALeft, trialVerdict, trialWords, type TrialSet } from './trial';

const set = (isALeft: boolean, left: (number | null)[], right: (number | null)[]): TrialSet => ({
  isALeft,
  pairs: left.flatMap((value, day) => {
    const other = right[day] ?? null;
    if (value === null || other === null) return [];
    return [{ day, a: isALeft ? value : other, b: isALeft ? other : value }];
  }),
});
const FIRST = set(true, [9, 8, 7, 6], [7, 6, 5, 4]);
const SECOND = set(false, [7, 6, 6, 4], [9, 8, 7, null]);
const mirrored = (sets: readonly TrialSet[]): TrialSet[] =>
  sets.map(({ isALeft, pairs }) => ({
    isALeft: !isALeft,
    pairs: pairs.map(({ day, a, b }) => ({ day, a: b, b: a })),
  }));

describe('a half-head trial (worked figures, evidence §3)', () => {
  it('days of one trial count less the more alike they are', () => {
    const wanted = [
      [1, 1],
      [2, 0.75],
      [3, 0.61111],
      [4, 0.51563],
      [5, 0.445],
      [7, 0.34758],
    ] as const;
    for (const [days, f] of wanted) expect(meanOfDays(days, 0.5)).toBeCloseTo(f, 4);
  });

  it('one set may be the side', () => {
    const verdict = trialVerdict([FIRST]);
    expect(verdict.kind).toBe('one');
    expect(verdict.difference).toBeCloseTo(1.3353, 3);
    expect(verdict.sd).toBeCloseTo(0.8929, 3);
    expect(verdict.chanceA).toBeCloseTo(0.664, 2);
    expect(verdict.moreSets).toBe(4);
    expect(trialWords(verdict, 'Gel', 'Cream')).toBe(
      'One set so far. It could be the side, not the product. Swap sides next time.',
    );
  });

  it('two with the sides swapped settle a difference of two points', () => {
    const verdict = trialVerdict([FIRST, SECOND]);
    expect(verdict.pairDays).toBe(7);
    expect(verdict.difference).toBeCloseTo(1.5509, 3);
    expect(verdict.sd).toBeCloseTo(0.6138, 3);
    expect(verdict.side).toBeCloseTo(0.0744, 3);
    expect(verdict.chanceA).toBeCloseTo(0.8334, 3);
    expect(verdict.chanceSame).toBeCloseTo(0.1657, 3);
    expect(verdict.chanceBetter).toBeCloseTo(0.9854, 3);
    expect(trialWords(verdict, 'Gel', 'Cream')).toBe(
      'Gel came out better on this head, by about 1.5 points.',
    );
  });

  it('the same on either side is no difference, and nothing rated is nothing', () => {
    const same = [set(true, [8, 7, 6], [8, 7, 6]), set(false, [8, 7, 6], [8, 7, 6])];
    const verdict = trialVerdict(same);
    expect(verdict.difference).toBeCloseTo(0, 9);
    expect(verdict.chanceSame).toBeCloseTo(0.9096, 3);
    expect(verdict.kind).toBe('same');
    expect(verdict.moreSets).toBe(0);
    expect(trialVerdict([]).kind).toBe('none');
    expect(trialVerdict([set(true, [9, null], [null, 4])]).kind).toBe('none');
  });

  it('two on the same side stay one question', () => {
    expect(trialVerdict([FIRST, FIRST]).kind).toBe('one');
    expect(trialWords(trialVerdict([FIRST, FIRST]), 'Gel', 'Cream')).toContain('Always on the same sides');
  });

  it('swapping the names turns the difference round, exactly', () => {
    const rating = fc.integer({ min: 0, max: 20 }).map((half) => half / 2);
    const any = fc.record({
      isALeft: fc.boolean(),
      pairs: fc.array(fc.record({ day: fc.integer({ min: 0, max: 9 }), a: rating, b: rating }), {
        maxLength: 6,
      }),
    });
    fc.assert(
      fc.property(fc.array(any, { maxLength: 6 }), (sets) => {
        const verdict = trialVerdict(sets);
        const other = trialVerdict(mirrored(sets));
        expect(other.difference).toBeCloseTo(-verdict.difference, 9);
        expect(other.side).toBeCloseTo(verdict.side, 9);
        expect(other.chanceA).toBeCloseTo(verdict.chanceB, 9);
        expect(other.moreSets).toBe(verdict.moreSets);
      }),
    );
  });

  it('A changes sides in pairs', () => {
    expect(nextIsALeft([], true)).toBe(true);
    expect(nextIsALeft([true], true)).toBe(false);
    expect(nextIsALeft([true, false], true)).toBe(true);
    fc.assert(
      fc.property(fc.array(fc.boolean(), { minLength: 10, maxLength: 10 }), (flips) => {
        const sides: boolean[] = [];
        for (const flip of flips) sides.push(nextIsALeft(sides, flip));
        expect(sides.filter(Boolean)).toHaveLength(5);
      }),
    );
  });
});
