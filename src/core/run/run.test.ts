import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clockOffsetMs, keptTimeMs } from './device-clock';
import { setEventsInput } from './set-events';
import { orderOfShare, SHARES } from './share';
import { MOST_SECTION_NUMBER } from '../parting/section-name';
import { MINUTE_MS } from '../units/time';
import { livePace } from './live-pace';
import { runEvent, type RunEventDetail, type RunEventKind } from './run-event';
import { runEventInput } from './run-event-input';
import { lastDone, nextSection, restedMs, runningStep, runState, settingSinceMs } from './run-state';

/** Minutes of sections 1, 2, 3 …, as the pace wants them. */
const minutesOf = (minutes: readonly number[]) => new Map(minutes.map((min, i) => [i + 1, min]));

let made = 0;
const event = (kind: RunEventKind, atMin: number, detail: RunEventDetail | number = {}) =>
  runEvent(`e${++made}`, kind, atMin * MINUTE_MS, {
    ...(typeof detail === 'number' ? { sectionNumber: detail } : detail),
    sequence: made,
  });
const done = (atMin: number, number: number) => event('section-done', atMin, number);

describe('several hands at one head', () => {
  const by = (name: string | null, device: string, number: number) =>
    runEvent(`e${++made}`, 'section-done', made * MINUTE_MS, {
      sectionNumber: number,
      by: name,
      device,
      sequence: made,
    });

  it('two devices under one name are one hand; without a name each device is one', () => {
    const state = runState([by('Ada', 'phone', 1), by(null, 'tablet', 2), by('Ada', 'desk', 3)], 4);
    expect(state.hands).toEqual([
      { hand: 'Ada', name: 'Ada', doneCount: 2 },
      { hand: 'tablet', name: null, doneCount: 1 },
    ]);
    expect(lastDone(state, 'tablet')).toBe(2);
    // A hand that did nothing here still undoes: the last of all.
    expect(lastDone(state, 'another')).toBe(3);
  });

  it('each takes its share first and leaves nothing out', () => {
    const side = fc.constantFrom('left', 'middle', 'right' as const);
    fc.assert(
      fc.property(fc.array(side, { maxLength: 80 }), fc.constantFrom(...SHARES), (sides, share) => {
        const sections = sides.map((one, i) => ({ number: i + 1, side: one }));
        const order = orderOfShare(sections, share);
        expect([...order].sort((a, b) => a - b)).toEqual(sections.map(({ number }) => number));
        if (share === 'left' || share === 'right') {
          const own = order.map((number) => sections[number - 1]!.side === share);
          expect(own.indexOf(false) === -1 || !own.slice(own.indexOf(false)).includes(true)).toBe(true);
        }
      }),
    );
    const two = [
      { number: 1, side: 'left' },
      { number: 2, side: 'right' },
    ] as const;
    expect(orderOfShare(two, 'from-last')).toEqual([2, 1]);
  });
});

describe('the state of a set, read off its events', () => {
  it('goes from setting to drying to worn', () => {
    const events = [done(1, 1), done(2, 2)];
    expect(runState(events, 3).phase).toBe('setting');
    const all = [...events, done(3, 3)];
    expect(runState(all, 3)).toMatchObject({ phase: 'drying', installedAtMs: 180_000 });
    expect(runState([...all, event('taken-down', 600)], 3).phase).toBe('worn');
  });

  it('takes back an undone section and offers it next', () => {
    const state = runState([done(1, 1), done(2, 2), event('section-undone', 3, 1)], 4);
    expect(state.doneOrder).toEqual([2]);
    expect(nextSection(state, [1, 2, 3, 4])).toBe(1);
  });

  it('an undo takes back the taps it saw, and a tap nobody saw stays', () => {
    const [mine, theirs] = [done(1, 5), done(1, 5)];
    const both = event('section-undone', 2, { sectionNumber: 5, of: [mine.id, theirs.id] });
    expect(runState([mine, theirs, both], 8).doneAtMs.has(5)).toBe(false);
    const one = event('section-undone', 2, { sectionNumber: 5, of: [mine.id] });
    expect(runState([mine, theirs, one], 8).doneAtMs.has(5)).toBe(true);
  });

  it('the server’s order decides, whatever the clocks say', () => {
    // A tablet a day slow taps and undoes; by its times alone the undo would come first.
    const tap = done(10, 1);
    const undo = event('section-undone', -1440 + 11, { sectionNumber: 1, of: [tap.id] });
    expect(runState([undo, tap], 2).doneOrder).toEqual([]);
    const again = done(-1440 + 12, 1);
    expect(runState([again, undo, tap], 2).doneOrder).toEqual([1]);
  });

  it('what is on its way comes after what the server has', () => {
    const known = done(5, 1);
    const waiting = runEvent('w', 'section-undone', 0, { sectionNumber: 1, of: [known.id] });
    expect(runState([waiting, known], 2).doneOrder).toEqual([]);
  });

  it('a section done while paused goes on by itself; paused twice is one pause', () => {
    const state = runState(
      [event('paused', 2), event('paused', 3), event('resumed', 5), event('paused', 7), done(9, 1)],
      2,
    );
    expect(restedMs(state.pauses, 0, 100 * MINUTE_MS)).toBe(5 * MINUTE_MS);
    expect(state.isPaused).toBe(false);
  });

  it('a takedown is taken back, moved, and the taking back taken back', () => {
    const all = [done(1, 1), done(2, 2)];
    const takedown = event('taken-down', 600);
    const moved = event('moved', 700, { of: [takedown.id], toMs: 540 * MINUTE_MS });
    const movedAgain = event('moved', 701, { of: [takedown.id], toMs: 550 * MINUTE_MS });
    expect(runState([...all, takedown, moved], 2).takenDownAtMs).toBe(540 * MINUTE_MS);
    expect(runState([...all, takedown, moved, movedAgain], 2).takenDownAtMs).toBe(550 * MINUTE_MS);
    const back = event('taken-back', 710, { of: [takedown.id] });
    expect(runState([...all, takedown, moved, back], 2).phase).toBe('drying');
    const restored = event('taken-back', 711, { of: [back.id] });
    expect(runState([...all, takedown, moved, back, restored], 2).takenDownAtMs).toBe(540 * MINUTE_MS);
  });

  it('a set entered later is finished without a tap for each section', () => {
    const said = [event('installed', 90), event('dried', 400), event('taken-down', 420)];
    expect(runState(said, 18)).toMatchObject({
      installedAtMs: 90 * MINUTE_MS,
      driedAtMs: 400 * MINUTE_MS,
      phase: 'worn',
    });
  });

  it('checks are events: felt, and taken back when the wrong button was pressed', () => {
    const felt = event('felt', 200, { sectionNumber: 3, level: 'root', feel: 'damp' });
    expect(runState([felt], 4).checks).toMatchObject([{ sectionNumber: 3, feel: 'damp' }]);
    expect(runState([felt, event('taken-back', 201, { of: [felt.id] })], 4).checks).toEqual([]);
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

describe('an event from outside', () => {
  const sent = { id: 'a', kind: 'section-done', atMs: 1, sectionNumber: 1 };
  it('needs what its kind is about', () => {
    expect(runEventInput.safeParse(sent).success).toBe(true);
    for (const wrong of [
      { ...sent, sectionNumber: null },
      { ...sent, kind: 'felt' },
      { ...sent, kind: 'moved', of: ['b'] },
      { ...sent, kind: 'taken-back' },
      { ...sent, kind: 'danced' },
    ])
      expect(runEventInput.safeParse(wrong).success).toBe(false);
  });

  it('has a time, number and text within bounds, and those at the bound', () => {
    for (const wrong of [
      { atMs: Number.MAX_SAFE_INTEGER },
      { atMs: Date.UTC(2200, 0, 1) },
      { atMs: -1 },
      { atMs: 0.5 },
      { sectionNumber: MOST_SECTION_NUMBER + 1 },
      { sectionNumber: 0 },
      { note: 'x'.repeat(501) },
      { id: 'x'.repeat(65) },
    ])
      expect(runEventInput.safeParse({ ...sent, ...wrong }).success).toBe(false);
    const most = {
      atMs: Date.UTC(2200, 0, 1) - 1,
      sectionNumber: MOST_SECTION_NUMBER,
      note: 'x'.repeat(500),
    };
    expect(runEventInput.safeParse({ ...sent, ...most }).success).toBe(true);
  });
});

describe('a batch from a device', () => {
  it('holds one to fifty events', () => {
    const of = (n: number) =>
      setEventsInput.safeParse({ format: 1, deviceId: 'd', events: Array.from({ length: n }, () => ({})) })
        .success;
    expect([0, 1, 50, 51].map(of)).toEqual([false, true, true, false]);
  });
});

describe('the clock of a device', () => {
  it('is wrong by at most half the shortest round trip', () => {
    const trips = fc.array(
      fc.record({ there: fc.integer({ min: 1, max: 4000 }), back: fc.integer({ min: 1, max: 4000 }) }),
      { minLength: 1, maxLength: 8 },
    );
    fc.assert(
      fc.property(trips, fc.integer({ min: -3_600_000, max: 3_600_000 }), (all, ahead) => {
        const exchanges = all.map(({ there, back }, i) => ({
          sentMs: i * 10_000,
          receivedMs: i * 10_000 + there + back,
          serverMs: i * 10_000 + there + ahead,
        }));
        const best = Math.min(...all.map(({ there, back }) => there + back));
        expect(Math.abs(clockOffsetMs(exchanges) - ahead)).toBeLessThanOrEqual(best / 2);
      }),
    );
  });

  it('never puts a tap before the set or after its arrival', () => {
    const any = fc.integer({ min: 0, max: 4_000_000_000 });
    fc.assert(
      fc.property(any, fc.integer(), any, any, (deviceMs, offsetMs, startedAtMs, laterMs) => {
        const kept = keptTimeMs(deviceMs, offsetMs, startedAtMs, startedAtMs + laterMs);
        expect(kept).toBeGreaterThanOrEqual(startedAtMs);
        expect(kept).toBeLessThanOrEqual(startedAtMs + laterMs);
      }),
    );
    expect(keptTimeMs(1000, 500, 0, 9000)).toBe(1500);
  });
});

describe('live pace', () => {
  const planned = [2, 2, 2, 2, 2, 2];
  it('starts from the plan', () => {
    const pace = livePace(runState([], 6), minutesOf(planned), 0, 0);
    expect(pace.pace).toBe(1);
    expect(pace.minPerSection).toBeNull();
    expect(pace.finishAtMs.p50).toBe(12 * MINUTE_MS);
  });

  it('leans to the hand as sections are done', () => {
    const after = (n: number) =>
      runState(
        Array.from({ length: n }, (_, i) => done(3 * (i + 1), i + 1)),
        6,
      );
    const one = livePace(after(1), minutesOf(planned), 0, 3 * MINUTE_MS);
    const four = livePace(after(4), minutesOf(planned), 0, 12 * MINUTE_MS);
    expect(one.pace).toBeGreaterThan(1);
    expect(four.pace).toBeGreaterThan(one.pace);
    expect(four.pace).toBeLessThan(1.5);
    expect(four.minPerSection).toBeCloseTo(3, 9);
    expect(four.finishAtMs.p10).toBeLessThan(four.finishAtMs.p50);
    expect(four.finishAtMs.p90).toBeGreaterThan(four.finishAtMs.p50);
  });

  it('leaves pauses out', () => {
    const state = runState([event('paused', 1), event('resumed', 31), done(32, 1)], 6);
    expect(livePace(state, minutesOf(planned), 0, 32 * MINUTE_MS).minPerSection).toBeCloseTo(2, 9);
  });

  it('takes nothing off the work before a pause that comes after it', () => {
    const twenty = Array.from({ length: 20 }, () => 5);
    const four = [5, 10, 15, 20].map((at, i) => done(at, i + 1));
    const resumed = runState([...four, event('paused', 20), event('resumed', 50)], 20);
    const after = livePace(resumed, minutesOf(twenty), 0, 50 * MINUTE_MS);
    expect(after.pace).toBeCloseTo(1, 9);
    expect(after.finishAtMs.p50).toBeCloseTo(130 * MINUTE_MS, -2);
    const during = livePace(
      runState([...four, event('paused', 20)], 20),
      minutesOf(twenty),
      0,
      50 * MINUTE_MS,
    );
    expect(during.finishAtMs.p50).toBeCloseTo(130 * MINUTE_MS, -2);
  });

  it('work begun counts, but never more than the section it is on', () => {
    const [first] = [runState([done(2, 1)], 6)];
    const at = (min: number) => livePace(first!, minutesOf(planned), 0, min * MINUTE_MS).finishAtMs.p50;
    // Within the second section the finish stands still; past it every minute is a minute later.
    expect(at(3)).toBe(at(2));
    expect(at(4)).toBe(at(2));
    expect(at(5) - at(4)).toBeCloseTo(MINUTE_MS, 0);
    expect(at(9) - at(4)).toBeCloseTo(5 * MINUTE_MS, 0);
  });

  it('counts as two sections of the plan, by the square of what is done: n ÷ (n + 2) (worked by hand)', () => {
    const twice = runState([done(4, 1), done(8, 2)], 6);
    // Two sections at twice their time: exp(ln 2 × 2/4).
    expect(livePace(twice, minutesOf(planned), 0, 8 * MINUTE_MS).pace).toBeCloseTo(Math.SQRT2, 9);
    const { finishAtMs } = livePace(twice, minutesOf(planned), 0, 8 * MINUTE_MS);
    expect(finishAtMs.p50).toBeCloseTo(8 * MINUTE_MS + 8 * Math.SQRT2 * MINUTE_MS, 0);
    const sd = 8 * Math.SQRT2 * Math.hypot(0.35 / 2, 0.2 / Math.sqrt(3));
    expect(finishAtMs.p90 - finishAtMs.p50).toBeCloseTo(1.2815515655 * sd * MINUTE_MS, 0);
    expect(finishAtMs.p50 - finishAtMs.p10).toBeCloseTo(1.2815515655 * sd * MINUTE_MS, 0);
  });
});

describe('pauses', () => {
  it('twice paused is one pause from the first; a resume without a pause is nothing', () => {
    const state = runState(
      [event('resumed', 1), event('paused', 2), event('paused', 6), event('resumed', 8)],
      4,
    );
    expect(state.pauses).toEqual([{ fromMs: 2 * MINUTE_MS, untilMs: 8 * MINUTE_MS }]);
  });

  it('one that lasts counts up to now, and only where it overlaps', () => {
    const { pauses, pausedSinceMs } = runState([event('paused', 10)], 4);
    expect(pausedSinceMs).toBe(10 * MINUTE_MS);
    expect(restedMs(pauses, 0, 15 * MINUTE_MS)).toBe(5 * MINUTE_MS);
    expect(restedMs(pauses, 12 * MINUTE_MS, 15 * MINUTE_MS)).toBe(3 * MINUTE_MS);
    expect(restedMs(pauses, 0, 8 * MINUTE_MS)).toBe(0);
    expect(restedMs([{ fromMs: 0, untilMs: 60 * MINUTE_MS }], 10 * MINUTE_MS, 20 * MINUTE_MS)).toBe(
      10 * MINUTE_MS,
    );
  });

  it('a resume whose clock is behind ends the pause where it began', () => {
    expect(runState([event('paused', 10), event('resumed', 4)], 4).pauses).toEqual([
      { fromMs: 10 * MINUTE_MS, untilMs: 10 * MINUTE_MS },
    ]);
  });

  it('a pause after the last section changes nothing of the set', () => {
    const all = [done(1, 1), done(2, 2), event('paused', 3), event('resumed', 50)];
    expect(runState(all, 2)).toMatchObject({ installedAtMs: 2 * MINUTE_MS, phase: 'drying' });
    expect(livePace(runState(all, 2), minutesOf([1, 1]), 0, 50 * MINUTE_MS).finishAtMs.p50).toBe(
      50 * MINUTE_MS,
    );
  });

  it('an old undo that names no tap takes back all of the section', () => {
    const state = runState(
      [done(1, 3), done(2, 3), event('section-undone', 3, { sectionNumber: 3, of: null })],
      4,
    );
    expect(state.doneAtMs.has(3)).toBe(false);
  });

  it('the set is finished when the last of its sections was, in whatever order', () => {
    expect(runState([done(9, 2), done(4, 1)], 2).installedAtMs).toBe(9 * MINUTE_MS);
  });
});

describe('the clock of a device, worked by hand', () => {
  it('takes the exchange with the shortest trip, from its middle', () => {
    const slow = { sentMs: 0, receivedMs: 9000, serverMs: 100_000 };
    const quick = { sentMs: 20_000, receivedMs: 20_200, serverMs: 25_100 };
    expect(clockOffsetMs([slow, quick])).toBe(5000);
    expect(clockOffsetMs([quick, slow])).toBe(5000);
    expect(clockOffsetMs([])).toBe(0);
  });
});

describe('the steps before the set', () => {
  const step = (kind: 'step-begun' | 'step-done' | 'step-skipped', atMin: number, name: string) =>
    event(kind, atMin, { step: name });
  const at = (min: number) => min * MINUTE_MS;

  it('run, are done in so many minutes, or are left out', () => {
    const events = [
      step('step-begun', 0, 'cleanse'),
      step('step-done', 18, 'cleanse'),
      step('step-skipped', 19, 'blot'),
    ];
    const { prep } = runState(events, 4);
    expect(prep.get('cleanse')).toEqual({ begunAtMs: 0, doneAtMs: at(18), isSkipped: false });
    expect(prep.get('blot')).toEqual({ begunAtMs: null, doneAtMs: null, isSkipped: true });
    expect(prep.has('cap')).toBe(false);
  });

  it('done without having been begun is done, and begun again runs again', () => {
    const done = step('step-done', 5, 'cleanse');
    expect(runState([done], 4).prep.get('cleanse')).toEqual({
      begunAtMs: null,
      doneAtMs: at(5),
      isSkipped: false,
    });
    const again = runState([done, step('step-begun', 9, 'cleanse')], 4);
    expect(runningStep(again)).toEqual({ step: 'cleanse', begunAtMs: at(9) });
  });

  it('taken back or moved, they are corrected as every event is', () => {
    const begun = step('step-begun', 3, 'cleanse');
    const done = step('step-done', 10, 'cleanse');
    const gone = event('taken-back', 11, { of: [done.id] });
    expect(runningStep(runState([begun, done, gone], 4))).toEqual({ step: 'cleanse', begunAtMs: at(3) });
    const moved = event('moved', 12, { of: [begun.id], toMs: at(1) });
    expect(runState([begun, done, moved], 4).prep.get('cleanse')).toMatchObject({ begunAtMs: at(1) });
  });

  it('the setting begins when they are done, and no earlier than the set', () => {
    const prepared = [step('step-begun', 2, 'cleanse'), step('step-done', 30, 'cleanse')];
    expect(settingSinceMs(runState([], 4), at(1), at(50))).toBe(at(1));
    expect(settingSinceMs(runState(prepared, 4), at(1), at(50))).toBe(at(30));
    expect(settingSinceMs(runState(prepared.slice(0, 1), 4), at(1), at(50))).toBe(at(50));
    // What is marked after the first section was in took nothing off the setting.
    const late = [...prepared, done(40, 1), step('step-done', 60, 'blot')];
    expect(settingSinceMs(runState(late, 4), at(1), at(70))).toBe(at(30));
  });

  it('a first section done ends whatever still ran', () => {
    const state = runState([step('step-begun', 2, 'blot'), done(9, 1)], 4);
    expect(runningStep(state)).toBeNull();
  });

  it('washing does not make the hands slow: pace counts from when the setting began', () => {
    const washed = [step('step-begun', 0, 'cleanse'), step('step-done', 45, 'cleanse')];
    const taps = [done(47, 1), done(49, 2), done(51, 3)];
    const planned = [2, 2, 2, 2];
    const paceOf = (events: typeof taps) => {
      const state = runState(events, 4);
      return livePace(state, minutesOf(planned), settingSinceMs(state, 0, at(51)), at(51));
    };
    expect(paceOf([...washed, ...taps]).minPerSection).toBeCloseTo(2, 9);
    expect(paceOf(taps).minPerSection).toBeCloseTo(17, 9);
  });

  it('any order of arrival and any repeats give the same steps', () => {
    const kinds = fc.constantFrom('step-begun' as const, 'step-done' as const, 'step-skipped' as const);
    const names = fc.constantFrom('cleanse', 'blot', 'cap');
    fc.assert(
      fc.property(
        fc.array(fc.record({ kind: kinds, name: names, atMin: fc.integer({ min: 0, max: 90 }) }), {
          maxLength: 12,
        }),
        fc.array(fc.nat(), { minLength: 12, maxLength: 12 }),
        (told, shuffle) => {
          const events = told.map(({ kind, name, atMin }) => step(kind, atMin, name));
          const mixed = events
            .map((one, i) => ({ one, place: shuffle[i]! }))
            .sort((a, b) => a.place - b.place)
            .flatMap(({ one }) => [one, one]);
          expect(runState(mixed, 4).prep).toEqual(runState(events, 4).prep);
          for (const { begunAtMs, doneAtMs } of runState(events, 4).prep.values())
            if (begunAtMs !== null && doneAtMs !== null) expect(doneAtMs).toBeGreaterThanOrEqual(begunAtMs);
        },
      ),
    );
  });

  it('a step that names none is refused in words', () => {
    const read = runEventInput.safeParse({ id: 'x', kind: 'step-begun', atMs: 0 });
    expect(read.success ? '' : read.error.issues[0]!.message).toBe('which step it was is missing');
  });
});
