import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lostG, productUse } from './product-used';
import { runEvent, type RunEvent } from './run-event';
import { runState } from './run-state';

let made = 0;
const event = (kind: RunEvent['kind'], detail: Parameters<typeof runEvent>[3]) =>
  runEvent(`p${++made}`, kind, ++made * 1000, detail);
const done = (...numbers: number[]) =>
  numbers.map((sectionNumber) => event('section-done', { sectionNumber }));
const weighed = (amount: number) => event('tub-weighed', { step: '0', amount });
const pump = (amount = 1) => event('dispensed', { step: '0', amount });
/** Ten sections of 6 g each. */
const PLANNED = Array.from({ length: 10 }, () => 6);
const use = (events: readonly RunEvent[], atStartG: number | null = 100) =>
  productUse(runState(events, 10), 0, new Map(PLANNED.map((grams, i) => [i + 1, grams])), 2, atStartG);

describe('product used at the chair', () => {
  it('is what the tub lost; a tub that weighs more is another one', () => {
    expect(lostG([300, 280, 275])).toBe(25);
    expect(lostG([300, 290, 500, 480])).toBe(30);
    expect(lostG([300])).toBe(0);
  });

  it('weighed goes before counted, and is held against the sections it covers', () => {
    const events = [weighed(300), ...done(1, 2, 3, 4), weighed(264), ...done(5)];
    expect(use(events)).toMatchObject({ usedG: 36, by: 'weighing', plannedDoneG: 24, plannedLeftG: 30 });
    // Half as much again as planned: the fifth, not weighed yet, is taken to be like the others.
    expect(use(events).neededG).toBeCloseTo(45, 10);
    expect(use(events).leftG).toBeCloseTo(100 - 36 - 9, 10);
    expect(use([...events, pump(50)]).usedG).toBe(36);
  });

  it('counted pumps say in time when the rest will not reach, and what each may take', () => {
    const generous = [...done(1, 2, 3, 4, 5), pump(3), pump(3), pump(10), pump(9)];
    const { usedG, by, isShort, eachG, leftG } = use(generous, 80);
    expect([usedG, by, isShort]).toEqual([50, 'counting', true]);
    expect(leftG).toBe(30);
    expect(eachG).toBe(6);
    expect(use(generous, 200).isShort).toBe(false);
    expect(use(generous, null)).toMatchObject({ leftG: null, isShort: false, eachG: null });
  });

  it('one generous section is no habit yet; nothing counted is as planned', () => {
    expect(use([...done(1), pump(10)]).neededG).toBe(54);
    expect(use(done(1, 2, 3, 4))).toMatchObject({ usedG: null, by: null, neededG: 36, leftG: 76 });
  });

  it('what is taken as advised reaches to the last section', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 3, max: 9 }),
        fc.integer({ min: 1, max: 60 }),
        fc.integer({ min: 0, max: 150 }),
        (doneCount, pumps, atStartG) => {
          const events = [...done(...PLANNED.slice(0, doneCount).map((_, i) => i + 1)), pump(pumps)];
          const { isShort, eachG, leftG } = use(events, atStartG);
          expect(eachG !== null).toBe(isShort);
          if (eachG !== null) expect(eachG * (10 - doneCount)).toBeLessThanOrEqual(leftG! + 1e-9);
        },
      ),
    );
  });
});
