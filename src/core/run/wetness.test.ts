import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { QUADRANTS, type Quadrant } from '../parting/quadrant';
import { MINUTE_MS } from '../units/time';
import { runEvent, type RunEvent } from './run-event';
import { runState } from './run-state';
import { waitingHair } from './wetness';

let made = 0;
const done = (sectionNumber: number) => runEvent(`w${++made}`, 'section-done', made, { sectionNumber });
const mist = (atMin: number, step: Quadrant | null = null) =>
  runEvent(`w${++made}`, 'misted', atMin * MINUTE_MS, { step });
/** Four sections a quarter, back to front, ten minutes each, misted every half hour. */
const PLACES = QUADRANTS.flatMap((quadrant) => [quadrant, quadrant, quadrant, quadrant]);
const ORDER = PLACES.map((_, i) => i + 1);
const at = (nowMin: number, events: readonly RunEvent[]) =>
  waitingHair(
    runState(events, PLACES.length),
    (number) => PLACES[number - 1]!,
    ORDER,
    () => 10,
    30,
    0,
    nowMin * MINUTE_MS,
  ).map(({ quadrant, dueMs }) => [quadrant, dueMs / MINUTE_MS] as const);

describe('hair that waits its turn', () => {
  it('is due as long after it was wetted as the plan says, each quarter by itself', () => {
    // The back left is done within forty minutes, of which its last section waits thirty.
    expect(at(0, [])).toEqual([
      ['back-right', 30],
      ['front-left', 30],
      ['front-right', 30],
    ]);
    expect(at(20, [mist(20, 'front-left')])).toContainEqual(['front-left', 50]);
    expect(at(20, [mist(20, 'front-left')])[0]).toEqual(['back-left', 30]);
  });

  it('misted, its clock begins anew; reached in time, it needs nothing', () => {
    const first = [1, 2, 3, 4].map(done);
    expect(at(40, [...first, mist(40)])).toEqual([
      ['front-left', 70],
      ['front-right', 70],
    ]);
  });

  it('what is done or in hand waits no more', () => {
    expect(at(10, ORDER.slice(0, -1).map(done))).toEqual([]);
  });

  it('misting never brings anything forward', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 120 }), fc.constantFrom(...QUADRANTS, null)), {
          maxLength: 6,
        }),
        fc.integer({ min: 0, max: 15 }),
        (mists, doneCount) => {
          const events = ORDER.slice(0, doneCount).map(done);
          const before = new Map(at(60, events));
          for (const [quadrant, due] of at(60, [...events, ...mists.map(([min, q]) => mist(min, q))]))
            expect(due).toBeGreaterThanOrEqual(before.get(quadrant)!);
        },
      ),
    );
  });
});
