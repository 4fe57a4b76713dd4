import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aBrief } from '../../../tests/support/briefs';
import { answerDraft, answerView, drawTo } from '../plan/answer-view';
import { beliefAfterChecks, chanceOfSection } from '../drying/dryness-checks';
import { makeDryBy } from '../plan/make-dry-by';
import { DRY_ENOUGH } from '../plan/drying-now';
import { beliefOnCourse } from '../plan/on-course';
import { chanceDry } from '../drying/rate-belief';
import { DRYING_METHOD_IDS } from '../drying-methods';
import { HOUR_MS, MINUTE_MS } from '../units/time';
import {
  asDried,
  courseOf,
  dryingRunning,
  dryingSpans,
  dryingTimeline,
  nextMachine,
  plannedDrying,
  type DryingStretch,
} from './dry-log';
import { nextThing } from './next-thing';
import { runEvent, type RunEvent } from './run-event';

const T0 = Date.UTC(2027, 2, 4, 20);
const at = (hours: number) => T0 + hours * HOUR_MS;
let made = 0;
const begun = (hours: number, step: string, minutes: number | null = null) =>
  runEvent(`d${++made}`, 'dry-begun', at(hours), { step, minutes });
const stopped = (hours: number) => runEvent(`d${++made}`, 'dry-stopped', at(hours));
const inHours = (stretches: readonly DryingStretch[]) =>
  stretches.map(({ method, fromMs, untilMs }) => [method, (fromMs - T0) / HOUR_MS, (untilMs - T0) / HOUR_MS]);
const NIGHT_THEN_HOOD: DryingStretch[] = [
  { method: 'bonnet', fromMs: T0, untilMs: at(10) },
  { method: 'hood-warm', fromMs: at(10), untilMs: at(10.5) },
];
const timeline = (events: readonly RunEvent[], nowH: number, planned = NIGHT_THEN_HOOD) =>
  inHours(dryingTimeline(planned, dryingSpans(events), T0, at(nowH)));

describe('what was really done to dry a head', () => {
  it('one way ends the one before; a machine stops when its time is up', () => {
    const spans = dryingSpans([begun(0, 'bonnet'), begun(9, 'hood-warm', 30)]);
    expect(spans.map(({ untilMs }) => untilMs)).toEqual([at(9), null]);
    expect(dryingRunning(spans, at(9.4))?.method).toBe('hood-warm');
    expect(dryingRunning(spans, at(9.6))).toBeNull();
  });

  it('the same begun again is given more time and stays one', () => {
    const spans = dryingSpans([begun(9, 'hood-warm', 30), begun(9.4, 'hood-warm', 30)]);
    expect(spans).toMatchObject([{ fromMs: at(9), dueMs: at(9.4) + 30 * MINUTE_MS }]);
  });

  it('nothing begun: the plan is taken to be followed', () => {
    expect(timeline([], 12)).toEqual(inHours(NIGHT_THEN_HOOD));
  });

  it('what was begun lies as it was; what is planned later stays; what was planned earlier and not begun was not done', () => {
    // Into the bonnet an hour late, still there: then as planned.
    expect(timeline([begun(1, 'bonnet')], 3)).toEqual([
      ['air', 0, 1],
      ['bonnet', 1, 10],
      ['hood-warm', 10, 10.5],
    ]);
    // At eleven the hood was not begun.
    expect(timeline([begun(1, 'bonnet'), stopped(9)], 11)).toEqual([
      ['air', 0, 1],
      ['bonnet', 1, 9],
    ]);
    // Stopped midway.
    expect(timeline([begun(2, 'hood-warm', 60), stopped(2.5)], 2.5)[1]).toEqual(['hood-warm', 2, 2.5]);
  });

  it('says which machine is still to be begun', () => {
    expect(nextMachine(NIGHT_THEN_HOOD, dryingSpans([begun(1, 'bonnet')]))?.fromMs).toBe(at(10));
    expect(nextMachine(NIGHT_THEN_HOOD, dryingSpans([begun(9, 'hood-warm', 20)]))).toBeNull();
  });

  it('lies end to end from the end of the set, and a brief takes it, whatever was tapped', () => {
    const event = fc.record({
      atH: fc.double({ min: 0, max: 30, noNaN: true }),
      method: fc.constantFrom(...DRYING_METHOD_IDS),
      minutes: fc.option(fc.integer({ min: 1, max: 300 })),
      isStop: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(event, { minLength: 1, maxLength: 12 }), (all) => {
        const events = all
          .sort((a, b) => a.atH - b.atH)
          .map(({ atH, method, minutes, isStop }) => (isStop ? stopped(atH) : begun(atH, method, minutes)));
        const stretches = dryingTimeline(NIGHT_THEN_HOOD, dryingSpans(events), T0, at(30));
        stretches.forEach((one, i) => {
          expect(one.fromMs).toBe(i === 0 ? T0 : stretches[i - 1]!.untilMs);
          expect(one.untilMs).toBeGreaterThan(one.fromMs);
        });
        expect(answerView(asDried(aBrief(), stretches, null)).ok).toBe(true);
      }),
      { numRuns: 40 },
    );
  });
});

describe('what makes it dry by a time', () => {
  const brief = aBrief();
  const course = plannedDrying([], { ...brief, drying: [{ method: 'air', hours: 96 }] }, T0, null);
  const answer = answerView(asDried(brief, course, null));
  if (!answer.ok) throw new Error('the brief is wrong');
  const { dryTimes } = answer.value.view;
  const { belief } = dryTimes;
  const by = (hours: number, felt = belief) => makeDryBy(brief, course, null, felt, T0, at(1), at(hours));

  it('is the least time under a hood that is enough, or the most there is', () => {
    const enough = by(5)!;
    expect(enough.isEnough).toBe(true);
    expect(enough.chance).toBeGreaterThanOrEqual(DRY_ENOUGH);
    expect(enough.chanceWithout).toBeCloseTo(chanceDry(belief, dryTimes.whole, 5), 10);
    // Without it, it is not sure enough.
    expect(enough.chanceWithout).toBeLessThan(DRY_ENOUGH);
    const never = by(1.3)!;
    expect(never).toMatchObject({ isEnough: false, minutes: 15 });
    expect(by(1.05)).toBeNull();
  });

  it('in air that was measured damper it is less sure, and takes more', () => {
    const damp = { temperatureC: 20, relativeHumidity: 0.75 };
    const inIt = makeDryBy(brief, course, damp, belief, T0, at(1), at(5))!;
    expect(inIt.chanceWithout).toBeLessThan(by(5)!.chanceWithout);
    expect(inIt.minutes).toBeGreaterThanOrEqual(by(5)!.minutes);
    expect(courseOf(asDried(brief, course, damp))).not.toBe(courseOf(asDried(brief, course, null)));
  });

  it('takes longer once a hand felt damp', () => {
    const damp = beliefAfterChecks(
      { ...belief, heads: null },
      [{ sectionNumber: 1, level: 'root', feel: 'damp', afterH: 3 }],
      () => 'crown',
      (zone, level) => dryTimes.zones[zone][level],
    );
    expect(by(6, damp)!.minutes).toBeGreaterThanOrEqual(by(6)!.minutes);
    expect(by(6, damp)!.chanceWithout).toBeLessThan(by(6)!.chanceWithout);
  });
});

describe('heads drawn for one course of drying, on another', () => {
  const answerOn = (course: readonly DryingStretch[]) => {
    const draft = answerDraft(asDried(aBrief(), course, null), null);
    if (!draft.ok) throw new Error('the brief is wrong');
    drawTo(draft.value, 128);
    return draft.value.view(128).view.dryTimes;
  };
  const inAir: DryingStretch[] = [{ method: 'air', fromMs: T0, untilMs: at(96) }];
  const hoodAtTwo: DryingStretch[] = [
    { method: 'air', fromMs: T0, untilMs: at(2) },
    { method: 'hood-warm', fromMs: at(2), untilMs: at(3) },
  ];
  const [air, hood] = [answerOn(inAir), answerOn(hoodAtTwo)];
  const moved = beliefOnCourse(air.belief, air, hood);
  const whole = (belief: typeof moved, times: typeof hood, hours: number) =>
    chanceOfSection(belief, times.zones.crown.root, 'crown', 'root', hours);

  it('are where they were until the courses part, and take what the other takes after that', () => {
    // A place that is dry before the hood begins is dry at the same time on both.
    expect(Math.abs(whole(moved, hood, 1.9) - whole(air.belief, air, 1.9))).toBeLessThan(0.08);
    // Against heads drawn for that course themselves.
    for (const hours of [2.5, 3, 4]) {
      expect(Math.abs(whole(moved, hood, hours) - whole(hood.belief, hood, hours))).toBeLessThan(0.12);
      expect(whole(moved, hood, hours)).toBeGreaterThan(whole(air.belief, air, hours));
    }
  });
});

describe('what a drying head wants next', () => {
  const next = (events: readonly RunEvent[], nowH: number, feelH: number) =>
    nextThing(NIGHT_THEN_HOOD, dryingSpans(events), at(feelH), at(nowH));

  it('is whatever comes first: a hand, a machine that is planned, or one whose time is up', () => {
    expect(next([], 2, 8)).toMatchObject({ kind: 'feel', atMs: at(8) });
    expect(next([], 2, 12)).toMatchObject({ kind: 'begin', method: 'hood-warm', atMs: at(10) });
    expect(next([begun(10, 'hood-warm', 30)], 10.2, 12)).toMatchObject({ kind: 'stop', atMs: at(10.5) });
    expect(next([begun(10, 'hood-warm', 30)], 11, 12)).toMatchObject({ kind: 'feel' });
    expect(next([begun(0, 'bonnet')], 11, 12)).toMatchObject({ kind: 'begin', atMs: at(10) });
  });
});
