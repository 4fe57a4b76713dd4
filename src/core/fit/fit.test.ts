import { describe, expect, it } from 'vitest';
import { readWishOf, wishOf } from '../../../tests/support/wishes';
import type { WishInput } from '../formats/wish';
import { ran } from '../work';
import { wayKey } from '../suggest/search';
import { fitTo, type FitState, type Limits } from './fit';
import { readFit } from './read-fit';
import { aBrief } from '../../../tests/support/briefs';

const NO_LIMITS: Limits = { daysAtLeast: null, curlMm: null };
const head = { stretchedLengthCm: 25, naturalCoilDiameterMm: 6, shrinkage: 0.6 } as const;
const fitted = (part: Partial<WishInput>, limits: Limits = NO_LIMITS) =>
  ran(fitTo(readWishOf(wishOf(head, part)), limits));

describe('fit to a time', () => {
  it('names the best at each thing, each way once, and each is the best at what it is named for', () => {
    const { options, relaxed } = fitted({});
    expect(relaxed).toEqual([]);
    expect(options.length).toBeGreaterThan(2);
    expect(new Set(options.map(({ pick }) => wayKey(pick.way))).size).toBe(options.length);
    const best = (strength: string) =>
      options.find(({ strengths }) => (strengths as string[]).includes(strength))!.pick;
    const all = options.map(({ pick }) => pick.weighed);
    expect(best('longest').weighed.days).toBe(Math.max(...all.map(({ days }) => days)));
    expect(best('sharpest').weighed.definition).toBeCloseTo(
      Math.max(...all.map(({ definition }) => definition)),
      6,
    );
    expect(best('quickest').weighed.handsOnMin).toBe(Math.min(...all.map(({ handsOnMin }) => handsOnMin)));
    expect(best('stretched').weighed.stretch).toBeCloseTo(Math.max(...all.map(({ stretch }) => stretch)), 2);
  });

  it('varies roots, ends, starts and layers, not sets alone', () => {
    const { options } = fitted({});
    const finishes = new Set(
      options.map(({ pick: { way } }) =>
        [way.rootMethod, way.endsMethod, way.startState, way.stack.id].join(),
      ),
    );
    expect(finishes.size).toBeGreaterThan(2);
  });

  it('keeps to every limit', () => {
    const { options } = fitted(
      { handsOnHours: 2, sureness: 0.8 },
      { daysAtLeast: 3.5, curlMm: { low: 8, high: 14 } },
    );
    expect(options.length).toBeGreaterThan(0);
    for (const { pick } of options) {
      expect(pick.weighed.handsOnMin).toBeLessThanOrEqual(120);
      expect(pick.weighed.chance).toBeGreaterThanOrEqual(0.8);
      expect(pick.weighed.days).toBeGreaterThanOrEqual(3.5);
      expect(pick.tried.curlMm).toBeGreaterThanOrEqual(8);
      expect(pick.tried.curlMm).toBeLessThanOrEqual(14);
    }
  });

  it('where nothing fits, says what would have to give, and that alone is enough', () => {
    const { options, relaxed } = fitted({ handsOnHours: 0.75 }, { daysAtLeast: 6, curlMm: null });
    expect(options).toEqual([]);
    expect(relaxed.map(({ gives }) => gives)).toContain('handsOn');
    for (const { gives, pick } of relaxed) {
      if (gives !== 'handsOn') expect(pick.weighed.handsOnMin).toBeLessThanOrEqual(45);
      if (gives !== 'days') expect(pick.weighed.days).toBeGreaterThanOrEqual(6);
      if (gives !== 'chance') expect(pick.weighed.chance).toBeGreaterThanOrEqual(0.8);
    }
  });

  it('tells how far it is, never back, and shows something long before the end', () => {
    const states: FitState[] = [];
    const search = fitTo(readWishOf(wishOf(head)), NO_LIMITS);
    for (let step = search.next(); !step.done; step = search.next()) states.push(step.value);
    const looked = states.map((state) => state.looked);
    expect(looked).toEqual([...looked].sort((a, b) => a - b));
    expect(looked.at(-1)!).toBeLessThanOrEqual(states[0]!.of);
    expect(states.findIndex(({ options }) => options.length > 0)).toBeLessThan(states.length / 2);
  });
});

describe('a plan on the desk that is fitted', () => {
  it('keeps its head, room and time to be ready; work begins as many hours before', () => {
    const plan = aBrief({ room: { relativeHumidity: 0.7 }, brief: { wearBy: '2027-03-13T09:00:00+01:00' } });
    const read = readFit(plan, wishOf({ stretchedLengthCm: 10 }), 14);
    if (!read.ok) throw new Error(JSON.stringify(read.errors));
    const { wish, told } = read.value;
    expect(wish.base.head.stretchedLengthCm.crown).toBe(25);
    expect(wish.base.room.relativeHumidity).toBe(0.7);
    expect(told.startAt).toBe('2027-03-12T19:00:00+01:00');
  });

  it('of what is wrong the plan is told, field by field', () => {
    const read = readFit(
      aBrief({ head: { circumferenceCm: 20 }, brief: { wearBy: '2027-03-13T09:00:00Z' } }),
      wishOf({}),
      14,
    );
    expect(read).toMatchObject({ ok: false, errors: [{ path: 'head.circumferenceCm' }] });
  });
});
