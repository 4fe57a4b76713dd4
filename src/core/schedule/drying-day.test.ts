import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DRYING_METHOD_IDS, dryingMethods, type DryingMethodId } from '../drying-methods';
import { laySteps, type DryingWindow } from './drying-day';

const NIGHT = { fromH: 2, untilH: 10 };
const window = (hours: number, change: Partial<DryingWindow> = {}): DryingWindow => ({
  hours,
  nights: [],
  nightCover: dryingMethods.bonnet,
  ...change,
});
type Asked = readonly (readonly [DryingMethodId, hours: number])[];
const asked = (steps: Asked) => steps.map(([id, hours]) => ({ method: dryingMethods[id], hours }));
const laid = (steps: Asked, into: DryingWindow) =>
  laySteps(asked(steps), into).map(({ method, hours }) => [method.id, Math.round(hours * 1e6) / 1e6]);

describe('drying steps laid into the time there is', () => {
  it('a night, then half an hour of hood: the hood is half an hour, last, and air fills the morning', () => {
    expect(laid([['bonnet', 8], ['hood-hot', 0.5]], window(12, { nights: [NIGHT] }))).toEqual([
      ['bonnet', 10],
      ['air', 1.5],
      ['hood-hot', 0.5],
    ]); // prettier-ignore
  });

  it('an hour of hood is an hour, after the night and not through it', () => {
    expect(laid([['hood-hot', 1]], window(12, { nights: [NIGHT] }))).toEqual([
      ['air', 2],
      ['bonnet', 8],
      ['air', 1],
      ['hood-hot', 1],
    ]);
  });

  it('where the takedown comes before anybody is up, the hood stands before bed', () => {
    expect(laid([['hood-hot', 1]], window(9, { nights: [NIGHT] }))).toEqual([
      ['air', 1],
      ['hood-hot', 1],
      ['bonnet', 7],
    ]);
  });

  it('a hood that was put first stays first, and nobody who sleeps uncovered is given a bonnet', () => {
    const bare = window(11, { nights: [NIGHT], nightCover: dryingMethods.air });
    expect(laid([['hood-warm', 1], ['bonnet', 4]], bare)).toEqual([['hood-warm', 1], ['bonnet', 4], ['air', 6]]); // prettier-ignore
  });

  it('too little time is taken from what goes on by itself, and only then from the hood', () => {
    expect(laid([['bonnet', 8], ['hood-hot', 0.5]], window(3))).toEqual([['bonnet', 2.5], ['hood-hot', 0.5]]); // prettier-ignore
    expect(laid([['bonnet', 8], ['hood-hot', 2]], window(1.5))).toEqual([['hood-hot', 1.5]]); // prettier-ignore
    expect(laid([['air', 8]], window(0))).toEqual([]);
    expect(laid([['air', 8]], window(-2))).toEqual([]);
  });

  it('a step that was made longer by filling is no longer the one that was asked for', () => {
    const steps = laySteps(asked([['air', 2], ['hood-hot', 1]]), window(6)); // prettier-ignore
    expect(steps.map((step) => [step.method.id, step.hours, step.asked])).toEqual([
      ['air', 5, null],
      ['hood-hot', 1, 1],
    ]);
  });

  const anySteps = fc.array(
    fc.tuple(fc.constantFrom(...DRYING_METHOD_IDS), fc.double({ min: 0.25, max: 12, noNaN: true })),
    { minLength: 1, maxLength: 4 },
  );
  const anyNights = fc
    .tuple(fc.double({ min: -8, max: 20, noNaN: true }), fc.double({ min: 4, max: 10, noNaN: true }))
    .map(([fromH, lasts]) => [0, 24, 48].map((day) => ({ fromH: fromH + day, untilH: fromH + day + lasts })));

  it('fill the time without a gap, and blown air is never longer than asked nor, where time allows, shorter', () => {
    fc.assert(
      fc.property(
        anySteps,
        anyNights,
        fc.double({ min: 0.1, max: 60, noNaN: true }),
        (steps, nights, hours) => {
          const all = laySteps(asked(steps), window(hours, { nights }));
          expect(all.reduce((sum, step) => sum + step.hours, 0)).toBeCloseTo(hours, 6);
          const blown = (of: readonly { method: { isBlown: boolean }; hours: number }[]) =>
            of.reduce((sum, step) => (step.method.isBlown ? sum + step.hours : sum), 0);
          expect(blown(all)).toBeCloseTo(Math.min(hours, blown(asked(steps))), 6);
        },
      ),
    );
  });

  it('a hood kept for last runs while somebody is awake wherever there is an hour for it', () => {
    fc.assert(
      fc.property(anyNights, fc.double({ min: 26, max: 60, noNaN: true }), (nights, hours) => {
        const steps = laySteps(asked([['hood-hot', 1]]), window(hours, { nights }));
        let at = 0;
        for (const { method, hours: lasts } of steps) {
          const isAsleep = nights.some(
            ({ fromH, untilH }) => fromH < at + lasts - 1e-6 && untilH > at + 1e-6,
          );
          if (method.isBlown) expect(isAsleep).toBe(false);
          at += lasts;
        }
      }),
    );
  });
});
