import fc from 'fast-check';
import { TheilSenRegression } from 'ml-regression-theil-sen';
import { describe, expect, it } from 'vitest';
import { care } from '../coefficients/care';
import { careDue, type CareFacts } from './due';
import { growthOf, theilSen, withCutsBack, type LengthOnDay } from './growth';
import { shedAfter } from './shed';
import { nextWash } from './wash';

const of = (days: readonly number[], mm: readonly number[]): LengthOnDay[] =>
  days.map((day, i) => ({ day, mm: mm[i]! }));
/** Our note on evidence, part 7: the slope agrees there with a general library of statistics. */
const CHECK = of([0, 30, 62, 95, 121, 150, 185], [201, 212, 221, 233, 229, 250, 265]);

describe('growth', () => {
  it('has the slope and interval of the worked example', () => {
    const slope = theilSen(CHECK)!;
    expect(slope.perDay).toBeCloseTo(0.3295455, 7);
    expect(slope.interval![0]).toBeCloseTo(0.309091, 6);
    expect(slope.interval![1]).toBeCloseTo(0.357724, 6);
    expect(slope.pairs).toBe(21);
  });

  it('has the slope that a general library gives', () => {
    // Numbers of measurements whose pairs are odd in number: the library takes one of the two in the middle else.
    const count = fc.constantFrom(3, 6, 7, 10, 11);
    const measured = count.chain((n) =>
      fc.tuple(
        fc.uniqueArray(fc.integer({ min: 0, max: 700 }), { minLength: n, maxLength: n }),
        fc.array(fc.integer({ min: 100, max: 400 }), { minLength: n, maxLength: n }),
      ),
    );
    fc.assert(
      fc.property(measured, ([days, mm]) => {
        expect(theilSen(of(days, mm))!.perDay).toBeCloseTo(new TheilSenRegression(days, mm).slope, 10);
      }),
    );
  });

  it('is told only from two days on, and its range only from four measurements over two months', () => {
    expect(theilSen([])).toBeNull();
    expect(theilSen(of([5], [200]))).toBeNull();
    expect(theilSen(of([5, 5, 5], [200, 201, 202]))).toBeNull();
    expect(theilSen(of([0, 30], [200, 210]))!.interval).toBeNull();
    expect(growthOf(of([0, 20, 40, 59], [200, 206, 212, 218]), [])!.verdict).toBe('early');
    expect(growthOf(of([0, 20, 40, 60], [200, 206, 212, 218]), [])!.verdict).toBe('kept');
  });

  it('moves with its scale, and one wild measurement does not take it along', () => {
    const line = fc.array(fc.double({ min: 100, max: 400, noNaN: true }), { minLength: 5, maxLength: 12 });
    fc.assert(
      fc.property(line, fc.double({ min: 0.1, max: 5, noNaN: true }), (mm, factor) => {
        const days = mm.map((_, i) => 20 * i);
        const slope = theilSen(of(days, mm))!.perDay;
        expect(
          theilSen(
            of(
              days,
              mm.map((one) => one * factor),
            ),
          )!.perDay,
        ).toBeCloseTo(slope * factor, 8);
      }),
    );
    const straight = of([0, 30, 60, 90, 120, 150], [200, 209, 218, 227, 236, 245]);
    const wild = straight.map((one, i) => (i === 3 ? { ...one, mm: 300 } : one));
    expect(theilSen(wild)!.perDay).toBeCloseTo(0.3, 6);
    expect(
      growthOf(
        wild.map((one, i) => ({ ...one, mm: one.mm + (i % 2) })),
        [],
      )!.oddDays,
    ).toContain(90);
  });

  it('a trim is no loss: it is added back from its day on', () => {
    const grown = of([0, 40, 80, 120], [200, 212, 224, 236]);
    const cut = grown.map(({ day, mm }) => ({ day, mm: day > 60 ? mm - 30 : mm }));
    expect(withCutsBack(cut, [{ day: 61, mm: 30 }])).toEqual(grown);
    expect(growthOf(cut, [{ day: 61, mm: 30 }])!.kept).toBeCloseTo(1, 6);
    // What was cut before the first measurement is no part of it.
    expect(withCutsBack(grown, [{ day: -5, mm: 30 }])).toEqual(grown);
  });

  it('less than it grows breaks; more is never praised', () => {
    const at = (perDay: number) =>
      growthOf(
        of(
          [0, 40, 80, 120],
          [0, 40, 80, 120].map((day) => 200 + perDay * day),
        ),
        [],
      )!;
    expect(at(0.15).verdict).toBe('breaks');
    expect(at(0.3).verdict).toBe('kept');
    expect(at(0.5).verdict).toBe('differs');
  });
});

describe('washing', () => {
  it('a week loose, a fortnight in twists, and her own rhythm once three intervals are known', () => {
    expect(nextWash([], false, null)).toBeNull();
    expect(nextWash([10], false, null)).toMatchObject({ day: 17, why: 'usual-loose' });
    expect(nextWash([10], true, null)).toMatchObject({ day: 24, why: 'usual-twists' });
    expect(nextWash([0, 9, 19, 28], false, null)).toMatchObject({ day: 37, why: 'her-rhythm', intervals: 3 });
    // Only the newest five count, and a day written down twice is one wash.
    expect(nextWash([0, 30, 40, 50, 60, 70, 80, 80], false, null)).toMatchObject({ day: 90, intervals: 5 });
    expect(nextWash([0, 20, 40, 60], true, null)).toMatchObject({ day: 74 });
  });

  it('itch brings it forward and never puts it off', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 60 }), { minLength: 1, maxLength: 8 }),
        fc.boolean(),
        fc.integer({ min: 0, max: 120 }),
        (washes, isInSet, noted) => {
          const due = nextWash(washes, isInSet, null)!;
          const sooner = nextWash(washes, isInSet, noted)!;
          expect(sooner.day).toBeLessThanOrEqual(due.day);
          if (noted >= Math.max(...washes) && noted < due.day)
            expect(sooner).toMatchObject({ day: noted, why: 'scalp' });
        },
      ),
    );
  });
});

describe('what is due', () => {
  const facts = (over: Partial<CareFacts> = {}): CareFacts => ({
    today: 100,
    done: [],
    sets: [{ day: 95, isDeep: true }],
    isInSet: false,
    scalpNotedOn: null,
    endsNoted: [],
    isDueATrim: false,
    isDeepEveryTime: false,
    lengths: [],
    trimWeeks: 12,
    rodsOutgrownOn: null,
    ...over,
  });
  const of_ = (over: Partial<CareFacts>, kind: string) =>
    careDue(facts(over)).find((one) => one.kind === kind);

  it('nothing where nothing is known', () => {
    expect(careDue(facts({ sets: [] }))).toEqual([]);
  });

  it('deep conditioning every other wash by school, and every time on bleached hair', () => {
    expect(of_({}, 'deep-condition')).toBeUndefined();
    expect(of_({ isDeepEveryTime: true }, 'deep-condition')).toMatchObject({ day: 102 });
    const washed = [{ kind: 'wash', day: 99, cutMm: null }] as const;
    expect(of_({ done: washed }, 'deep-condition')).toMatchObject({ day: 106 });
  });

  it('a trim by card, by ends noted twice, by what is kept, or by the weeks since the last', () => {
    expect(of_({}, 'trim')).toBeUndefined();
    expect(of_({ isDueATrim: true }, 'trim')!.why).toMatch(/card/);
    expect(of_({ endsNoted: [true] }, 'trim')).toBeUndefined();
    expect(of_({ endsNoted: [true, false, true] }, 'trim')).toBeUndefined();
    expect(of_({ endsNoted: [true, true] }, 'trim')!.why).toMatch(/two sets/);
    expect(of_({ done: [{ kind: 'trim', day: 20, cutMm: 10 }], trimWeeks: 10 }, 'trim')).toMatchObject({
      day: 90,
    });
    const slow = of([0, 40, 80, 95], [200, 204, 208, 209]);
    expect(of_({ lengths: [slow] }, 'trim')!.why).toMatch(/less length/);
    expect(of_({ lengths: [slow.slice(0, 3)] }, 'trim')).toBeUndefined();
  });

  it('rods that will be too small are told with their day', () => {
    expect(of_({}, 'rods')).toBeUndefined();
    expect(of_({ rodsOutgrownOn: 160 }, 'rods')).toMatchObject({ day: 160 });
  });

  it('comes in the order it is due', () => {
    const due = careDue(facts({ done: [{ kind: 'trim', day: 5, cutMm: null }], lengths: [of([95], [200])] }));
    expect(due.map(({ kind }) => kind)).toEqual(['trim', 'wash', 'measure']);
  });
});

it('a fortnight in twists holds 700 to 1,400 shed hairs (dermatology bodies’ public advice, from memory)', () => {
  expect(shedAfter(14)).toEqual({ low: 700, high: 1400 });
  expect(care.value.slowestGrowth).toBeLessThan(care.value.growth);
});
