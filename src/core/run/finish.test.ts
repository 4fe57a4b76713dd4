import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DAY_MS, HOUR_MS, MINUTE_MS } from '../units/time';
import { FINISH_STAGES, finishStage, shedIn, type FinishPlan } from './finish';
import { runEvent, type RunEvent, type RunEventDetail, type RunEventKind } from './run-event';
import { runState } from './run-state';

const T0 = Date.UTC(2027, 2, 4, 20);
let made = 0;
const event = (kind: RunEventKind, detail: RunEventDetail = {}): RunEvent =>
  runEvent(`f${++made}`, kind, T0 + made, detail);
const PLAN: FinishPlan = { sectionCount: 3, toUndo: 3, school: 'separate-first' };
const set = [1, 2, 3].map((sectionNumber) => event('section-done', { sectionNumber }));
const down = event('taken-down');
const all = (kind: 'section-loosed' | 'section-separated') =>
  [1, 2, 3].map((sectionNumber) => event(kind, { sectionNumber }));
const stageOf = (events: readonly RunEvent[], plan = PLAN, nowMs = T0 + MINUTE_MS) =>
  finishStage(runState([...set, ...events], 3), plan, nowMs);
const measured = event('measured', { measured: { ratings: { definition: 8 }, visibleCm: {}, curlMm: {} } });

describe('how a set comes down', () => {
  it('is undone, separated, fluffed and measured, in that order or with the roots first', () => {
    const [undone, separated, fluffed] = [all('section-loosed'), all('section-separated'), event('fluffed')];
    const rootsFirst = { ...PLAN, school: 'roots-first' } as const;
    expect(stageOf([])).toBeNull();
    expect(stageOf([down])).toBe('undoing');
    expect(stageOf([down, ...undone.slice(0, 2)])).toBe('undoing');
    expect(stageOf([down, ...undone])).toBe('separating');
    expect(stageOf([down, ...undone], rootsFirst)).toBe('fluffing');
    expect(stageOf([down, ...undone, fluffed], rootsFirst)).toBe('separating');
    expect(stageOf([down, ...undone, ...separated])).toBe('fluffing');
    expect(stageOf([down, ...undone, ...separated, fluffed])).toBe('measuring');
    expect(stageOf([down, ...undone, ...separated, fluffed], rootsFirst)).toBe('measuring');
    expect(stageOf([down, ...undone, ...separated, fluffed, measured])).toBe('worn');
  });

  it('what hangs free is not undone; a tap taken back counts no more; the next day it is worn', () => {
    expect(stageOf([down], { ...PLAN, toUndo: 0 })).toBe('separating');
    const undone = all('section-loosed');
    expect(stageOf([down, ...undone, event('taken-back', { of: [undone[1]!.id] })])).toBe('undoing');
    expect(stageOf([down], PLAN, T0 + 13 * HOUR_MS)).toBe('worn');
  });

  it('never goes back by a tap of its own', () => {
    const kinds = ['section-loosed', 'section-separated', 'fluffed', 'measured'] as const;
    const place = (stage: ReturnType<typeof stageOf>) => (stage === null ? -1 : FINISH_STAGES.indexOf(stage));
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...kinds), fc.integer({ min: 1, max: 3 })), { maxLength: 12 }),
        (taps) => {
          const events = taps.map(([kind, sectionNumber]) =>
            kind === 'measured' ? measured : event(kind, kind === 'fluffed' ? {} : { sectionNumber }),
          );
          let last = -1;
          for (let i = 0; i <= events.length; i++) {
            const now = place(stageOf([down, ...events.slice(0, i)]));
            expect(now).toBeGreaterThanOrEqual(last);
            last = now;
          }
        },
      ),
      { numRuns: 200 },
    );
  });

  it('what went wrong stays with its section until it is taken back', () => {
    const fault = event('fault', { sectionNumber: 2, step: 'loose-root' });
    const state = runState([...set, down, fault], 3);
    expect(state.faults).toMatchObject([{ sectionNumber: 2, step: 'loose-root' }]);
    expect(runState([...set, down, fault, event('taken-back', { of: [fault.id] })], 3).faults).toEqual([]);
  });

  it('sheds what a healthy scalp sheds (50 to 100 hairs a day, dermatology handbooks, from memory)', () => {
    expect(shedIn(T0, T0 + 2 * DAY_MS)).toEqual({ from: 100, to: 200 });
    // Even a set of an hour brings a day's worth out.
    expect(shedIn(T0, T0 + HOUR_MS)).toEqual({ from: 50, to: 100 });
  });
});
