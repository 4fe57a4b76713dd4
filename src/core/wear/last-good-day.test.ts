import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isGoodDay, ratingAgainst, suggestedLastGoodDay } from './last-good-day';

const day = (n: number, definition: number, frizz: number) => ({ day: n, ratings: { definition, frizz } });

describe('the last good day, as the ratings suggest it', () => {
  it('is the last before the first that was not good', () => {
    expect(suggestedLastGoodDay([day(0, 8, 1), day(1, 7, 3), day(2, 3, 6), day(3, 6, 4)])).toBe(1);
    expect(suggestedLastGoodDay([day(0, 8, 1), day(4, 6, 5)])).toBe(4);
    expect(suggestedLastGoodDay([day(0, 2, 1)])).toBeNull();
    expect(suggestedLastGoodDay([])).toBeNull();
  });

  it('lies between the anchors “a few clumps” and “clumps blurred”', () => {
    expect(isGoodDay(day(0, 3, 0))).toBe(false);
    expect(isGoodDay(day(0, 3.5, 7.5))).toBe(true);
    expect(isGoodDay(day(0, 9, 8))).toBe(false);
  });

  it('takes what was rated, and passes over days on which nothing was that would tell', () => {
    expect(isGoodDay({ day: 0, ratings: {} })).toBeNull();
    expect(isGoodDay({ day: 0, ratings: { frizz: 8 } })).toBe(false);
    expect(isGoodDay({ day: 0, ratings: { definition: 4 } })).toBe(true);
    const days = [day(0, 8, 1), { day: 1, ratings: {} }, { day: 2, ratings: { definition: 6 } }];
    expect(suggestedLastGoodDay(days)).toBe(2);
    expect(ratingAgainst(days, 1)?.day).toBe(2);
    expect(suggestedLastGoodDay([{ day: 0, ratings: {} }])).toBeNull();
  });

  it('is spoken against by a day not good up to it, and by a good one after it', () => {
    const days = [day(0, 8, 1), day(1, 2, 6), day(2, 2, 8), day(4, 7, 2)];
    expect(ratingAgainst(days, 1)?.day).toBe(1);
    expect(ratingAgainst(days, 0)?.day).toBe(4);
    expect(ratingAgainst(days.slice(0, 3), 0)).toBeNull();
  });

  it('what is suggested is never spoken against by a day up to it', () => {
    const any = fc.uniqueArray(
      fc.record({
        day: fc.integer({ min: 0, max: 20 }),
        ratings: fc.record(
          { definition: fc.integer({ min: 0, max: 10 }), frizz: fc.integer({ min: 0, max: 10 }) },
          { requiredKeys: [] },
        ),
      }),
      { selector: (own) => own.day },
    );
    fc.assert(
      fc.property(any, (days) => {
        const suggested = suggestedLastGoodDay(days);
        if (suggested === null) return;
        const against = ratingAgainst(days, suggested);
        expect(against === null || against.day > suggested).toBe(true);
      }),
    );
  });
});
