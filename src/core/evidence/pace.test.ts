import fc from 'fast-check';
import { Matrix, inverse } from 'ml-matrix';
import { describe, expect, it } from 'vitest';
import { usualSpreads } from '../coefficients/evidence';
import { grouped } from '../grouped';
import { paceHeads, pacesOf, type PaceSeen } from './pace';

const spreads = usualSpreads('pace');
type Place = Pick<PaceSeen, 'headId' | 'technique' | 'stylist'>;

/** How two paces go together before anything is seen: the hand, the head, the head with that technique. */
const together = (a: Place, b: Place): number =>
  (a.stylist === b.stylist ? spreads.stylist ** 2 : 0) +
  (a.headId === b.headId ? spreads.head ** 2 : 0) +
  (a.headId === b.headId && a.technique === b.technique ? spreads.technique ** 2 : 0);

/** All numbers conditioned at once, as a handbook of normal distributions has it. */
function conditioned(seen: readonly PaceSeen[], asked: Place): { mean: number; variance: number } {
  const among = new Matrix(
    seen.map((a, i) => seen.map((b, j) => together(a, b) + (i === j ? spreads.set ** 2 : 0))),
  );
  const toAsked = Matrix.rowVector(seen.map((one) => together(one, asked)));
  const weights = toAsked.mmul(inverse(among));
  return {
    mean: weights.mmul(Matrix.columnVector(seen.map(({ value }) => value))).get(0, 0),
    variance: together(asked, asked) - weights.mmul(toAsked.transpose()).get(0, 0),
  };
}

const place = fc.record({
  headId: fc.constantFrom('a', 'b', 'c'),
  technique: fc.constantFrom('two-strand-twist', 'bantu-knot'),
  stylist: fc.constantFrom('Bryn', 'Odile', ''),
});
const log = fc.array(fc.record({ place, value: fc.double({ min: -1, max: 1, noNaN: true }) }), {
  minLength: 1,
  maxLength: 14,
});
const seenOf = (told: readonly { place: Place; value: number }[]): PaceSeen[] =>
  told.map(({ place: own, value }) => ({ ...own, value }));

describe('paces of hands and heads', () => {
  it('are what conditioning all numbers at once gives', () => {
    fc.assert(
      fc.property(log, place, (told, asked) => {
        const seen = seenOf(told);
        // Of a hand or a head that was never seen nothing is asked here.
        fc.pre(seen.some(({ stylist }) => stylist === asked.stylist));
        const paces = pacesOf(paceHeads(seen), spreads);
        const wanted = conditioned(seen, asked);
        const { mean, variance } = paces.on(asked.headId, asked.technique, asked.stylist);
        expect(mean).toBeCloseTo(wanted.mean, 8);
        expect(variance).toBeCloseTo(wanted.variance, 8);
      }),
      { numRuns: 200 },
    );
  });

  it('do not hang on the order of sets, and count each hand’s own', () => {
    fc.assert(
      fc.property(log, (told) => {
        const seen = seenOf(told);
        const [there, back] = [seen, [...seen].reverse()].map((own) => pacesOf(paceHeads(own), spreads));
        for (const { stylist, mean, sets } of there!.stylists) {
          expect(back!.stylists.find((one) => one.stylist === stylist)!.mean).toBeCloseTo(mean, 10);
          expect(sets).toBe(seen.filter((one) => one.stylist === stylist).length);
        }
      }),
      { numRuns: 100 },
    );
  });

  it('of nobody and nothing are as the trade has them', () => {
    const { on, ofHead, stylists } = pacesOf(new Map(), spreads);
    expect(stylists).toEqual([]);
    expect(ofHead('a')).toEqual({ mean: 0, variance: spreads.head ** 2 });
    const { mean, variance } = on('a', 'bantu-knot', 'Bryn');
    expect(mean).toBe(0);
    expect(variance).toBeCloseTo(spreads.stylist ** 2 + spreads.head ** 2 + spreads.technique ** 2, 12);
  });
});

describe('items by what they have in common', () => {
  it('are all there once, in their order, under their own key', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -20, max: 20 })),
        fc.integer({ min: 1, max: 5 }),
        (items, by) => {
          const groups = grouped(items, (item) => Math.abs(item) % by);
          expect([...groups.values()].flat().sort((a, b) => a - b)).toEqual([...items].sort((a, b) => a - b));
          for (const [key, own] of groups)
            expect(own).toEqual(items.filter((item) => Math.abs(item) % by === key));
        },
      ),
    );
  });
});
