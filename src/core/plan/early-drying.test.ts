import { describe, expect, it } from 'vitest';
import { aBrief } from '../../../tests/support/briefs';
import { chanceDry } from '../drying/rate-belief';
import { ZONES, type Zone } from '../hair/zone';
import { runEvent } from '../run/run-event';
import { runState } from '../run/run-state';
import { asDried, dryingTimeline, plannedDrying } from '../run/dry-log';
import { HOUR_MS, MINUTE_MS } from '../units/time';
import { answerView } from './answer-view';
import { earlyDrying, withEarlyDrying } from './early-drying';
import type { DryTimes } from './forecast-view';

const raw = aBrief({ set: { sections: 18 }, brief: { drying: [{ method: 'air', hours: 48 }] } });
const answer = answerView(raw);
if (!answer.ok) throw new Error('the brief is refused');
const zones = new Map(answer.value.view.plan.sections.map(({ number, zone }) => [number, zone]));
const FIRST = 0;
/** Sections are in ten minutes apart; the hood is begun after so many of them, for an hour. */
const END = 18 * 10 * MINUTE_MS;
function dried(hoodAfter: number | null): { times: DryTimes; inBy: readonly Zone[] } {
  const events = [
    ...Array.from({ length: 18 }, (_, i) =>
      runEvent(`d${i}`, 'section-done', FIRST + (i + 1) * 10 * MINUTE_MS, {
        sectionNumber: i + 1,
        sequence: i + 1,
      }),
    ),
    ...(hoodAfter === null
      ? []
      : [
          runEvent('hood', 'dry-begun', FIRST + hoodAfter * 10 * MINUTE_MS + MINUTE_MS, {
            step: 'hood-warm',
            minutes: 60,
            sequence: 30,
          }),
        ]),
  ];
  const run = runState(events, 18);
  const planned = plannedDrying([], raw, END, null);
  const until = END + HOUR_MS;
  const timesOf = (brief: typeof raw) => {
    const given = answerView(brief);
    if (!given.ok) throw new Error('the brief is refused');
    return given.value.view.dryTimes;
  };
  const normal = timesOf(asDried(raw, dryingTimeline(planned, run.drying, END, until), null));
  const early = earlyDrying(raw, planned, run, zones, END, until);
  return {
    times: early ? withEarlyDrying(normal, timesOf(early.brief), early) : normal,
    inBy: early?.zones ?? [],
  };
}
const chance = ({ times }: ReturnType<typeof dried>, hours: number) =>
  chanceDry(times.belief, times.whole, hours);
const last = answer.value.view.plan.sections.at(-1)!.zone;
const ofLast = [...zones.values()].filter((zone) => zone === last).length;

describe('a hood begun while the last zone is open', () => {
  const none = dried(null);
  const open = dried(18 - ofLast);

  it('dries what was in by then, and only that', () => {
    expect(open.inBy).not.toContain(last);
    expect(open.inBy.length).toBeGreaterThan(2);
    for (const zone of ZONES) {
      const [was, is] = [none, open].map(({ times }) => times.zones[zone].root.hours[2]!);
      if (open.inBy.includes(zone)) expect(is).toBeLessThan(was!);
    }
  });

  it('makes the head no later dry than without it, and no sooner than all of it under the hood as long', () => {
    const all = dried(18);
    for (const hours of [1, 2, 4, 6, 8]) {
      expect(chance(open, hours)).toBeGreaterThanOrEqual(chance(none, hours) - 0.02);
    }
    expect(all.inBy).toEqual([]);
  });

  it('is nothing of its own where it began with the end of the set, or where no zone was in', () => {
    expect(dried(1).inBy).toEqual([]);
    const { whole } = dried(18).times;
    expect(whole.hours.every((hours) => hours > 0)).toBe(true);
  });
});
