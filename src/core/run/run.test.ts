import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { livePace } from './live-pace';
import { nextSection, runState, type RunEvent, type RunEventKind } from './run-state';

let made = 0;
const event = (kind: RunEventKind, atMin: number, sectionNumber: number | null = null): RunEvent => ({
  id: `e${++made}`,
  kind,
  atMs: atMin * 60_000,
  sectionNumber,
  note: null,
});

describe('the state of a set, read off its events', () => {
  it('goes from setting to drying to worn', () => {
    const events = [event('section-done', 1, 1), event('section-done', 2, 2)];
    expect(runState(events, 3).phase).toBe('setting');
    const done = [...events, event('section-done', 3, 3)];
    expect(runState(done, 3)).toMatchObject({ phase: 'drying', installedAtMs: 180_000 });
    expect(runState([...done, event('taken-down', 600)], 3).phase).toBe('worn');
  });

  it('takes back an undone section and offers it next', () => {
    const state = runState(
      [event('section-done', 1, 1), event('section-done', 2, 2), event('section-undone', 3, 1)],
      4,
    );
    expect(state.doneOrder).toEqual([2]);
    expect(nextSection(state, 4)).toBe(1);
  });

  it('counts pauses, and a section done while paused goes on by itself', () => {
    const state = runState(
      [event('paused', 2), event('resumed', 5), event('paused', 7), event('section-done', 9, 1)],
      2,
    );
    expect(state.pausedMs).toBe(5 * 60_000);
    expect(state.isPaused).toBe(false);
  });

  it('does not mind order of arrival or the same event sent twice', () => {
    const events = Array.from({ length: 12 }, (_, i) =>
      event(i % 4 === 3 ? 'section-undone' : 'section-done', i + 1, (i % 5) + 1),
    );
    fc.assert(
      fc.property(
        fc.shuffledSubarray([...events, ...events], { minLength: 24, maxLength: 24 }),
        (arrived) => {
          expect(runState(arrived, 5)).toEqual(runState(events, 5));
        },
      ),
    );
  });
});

describe('live pace', () => {
  const planned = [2, 2, 2, 2, 2, 2];
  it('starts from the plan', () => {
    const pace = livePace(runState([], 6), planned, 0, 0);
    expect(pace.pace).toBe(1);
    expect(pace.minPerSection).toBeNull();
    expect(pace.finishAtMs.p50).toBe(12 * 60_000);
  });

  it('leans to the hand as sections are done', () => {
    const done = (n: number) =>
      runState(
        Array.from({ length: n }, (_, i) => event('section-done', 3 * (i + 1), i + 1)),
        6,
      );
    const one = livePace(done(1), planned, 0, 3 * 60_000);
    const four = livePace(done(4), planned, 0, 12 * 60_000);
    expect(one.pace).toBeGreaterThan(1);
    expect(four.pace).toBeGreaterThan(one.pace);
    expect(four.pace).toBeLessThan(1.5);
    expect(four.minPerSection).toBeCloseTo(3, 9);
    expect(four.finishAtMs.p10).toBeLessThan(four.finishAtMs.p50);
    expect(four.finishAtMs.p90).toBeGreaterThan(four.finishAtMs.p50);
  });

  it('leaves pauses out', () => {
    const state = runState([event('paused', 1), event('resumed', 31), event('section-done', 32, 1)], 6);
    expect(livePace(state, planned, 0, 32 * 60_000).minPerSection).toBeCloseTo(2, 9);
  });
});
