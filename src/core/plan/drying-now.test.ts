import { describe, expect, it } from 'vitest';
import { aBrief } from '../../../tests/support/briefs';
import { answerDraft, answerView, drawTo } from './answer-view';
import { chancesAt, dryingNow } from './drying-now';
import { sectionsToFeel } from './sections-to-feel';
import { layOutDay } from '../schedule/backward';
import { HOUR_MS } from '../units/time';
import { dryingMethods } from '../drying-methods';
import { wearDayNumber } from '../wear/wear-day-number';

const answered = answerView(aBrief());
if (!answered.ok) throw new Error('the usual brief must be readable');
const { view, drawn } = answered.value;
const zoneOf = (number: number) => drawn[number - 1]!.zone;

describe('a drying head as it is felt', () => {
  it('a damp nape moves the whole head and every zone later', () => {
    const before = dryingNow(view.dryTimes, [], zoneOf);
    const after = dryingNow(
      view.dryTimes,
      [{ sectionNumber: 2, level: 'root', feel: 'damp', afterH: 9 }],
      zoneOf,
    );
    expect(after.dryAfterH.p50).toBeGreaterThan(before.dryAfterH.p50);
    expect(chancesAt(after, 10).whole).toBeLessThan(chancesAt(before, 10).whole);
    expect(chancesAt(after, 10).zones.front).toBeLessThan(chancesAt(before, 10).zones.front);
  });

  it('the whole head is never surer than its slowest zone', () => {
    const now = dryingNow(view.dryTimes, [], zoneOf);
    for (const hours of [4, 8, 10, 14]) {
      const { whole, zones } = chancesAt(now, hours);
      expect(whole).toBeLessThanOrEqual(Math.min(...Object.values(zones)) + 1e-6);
    }
  });

  it('names three sections of the slowest zones, the nape among them', () => {
    const feel = sectionsToFeel(view.dryTimes, drawn);
    expect(feel).toHaveLength(3);
    expect(feel.map(zoneOf)).toContain('nape');
  });

  it('keeps the layout when only other choices change', () => {
    const asked = answerDraft(aBrief(), null);
    if (!asked.ok) throw new Error('the usual brief must be readable');
    const again = answerDraft(aBrief({ set: { layers: [] } }), asked.value);
    expect(again.ok && again.value.layout).toBe(asked.value.layout);
    const other = answerDraft(aBrief({ set: { sections: 20 } }), asked.value);
    expect(other.ok && other.value.sections).toHaveLength(20);
  });

  it('the first heads stay the same when more are drawn', () => {
    const asked = answerDraft(aBrief(), null);
    if (!asked.ok) throw new Error('the usual brief must be readable');
    drawTo(asked.value, 60);
    const early = asked.value.view(60).view.plan.drying;
    drawTo(asked.value, 120);
    expect(asked.value.view(60).view.plan.drying).toEqual(early);
    expect(asked.value.view(120).view.plan.drying.draws).toBe(120);
    expect(asked.value.view(0).view.plan.drying.draws).toBe(0);
  });
});

describe('the day laid out', () => {
  const parts = {
    prep: [{ part: null, minutes: 50, handsOn: true }],
    installMin: 30,
    neededH: () => 9,
    nightCover: dryingMethods.bonnet,
    drying: [
      { method: dryingMethods.bonnet, hours: 8 },
      { method: dryingMethods['hood-hot'], hours: 0.5 },
    ],
    takedownMin: 10,
    separatingMin: 2,
  };
  const ready = Date.UTC(2027, 2, 13, 9);

  it('backwards from the pin, the hood last and open air before it', () => {
    const { blocks, window } = layOutDay(parts, ready, null);
    expect(window.hours).toBeCloseTo(9, 9);
    expect(blocks.map((block) => block.step)).toEqual([
      'prep',
      'install',
      'dry',
      'dry',
      'dry',
      'takedown',
      'separate',
    ]);
    const drying = blocks
      .slice(2, 5)
      .map(({ method, startMs, endMs }) => [method, (endMs - startMs) / HOUR_MS]);
    expect(drying).toEqual([['bonnet', 8], ['air', 0.5], ['hood-hot', 0.5]]); // prettier-ignore
    expect(blocks.at(-1)!.endMs).toBe(ready);
  });

  it('between a start and the pin, cut to what there is', () => {
    const { blocks, window } = layOutDay(parts, ready, ready - 4 * HOUR_MS);
    expect(window.hours).toBeCloseTo(4 - 92 / 60, 9);
    const drying = blocks.filter((block) => block.step === 'dry');
    expect(drying.map(({ method }) => method)).toEqual(['bonnet', 'hood-hot']);
    expect(drying[1]!.endMs - drying[1]!.startMs).toBeCloseTo(HOUR_MS / 2, 0);
    expect(layOutDay(parts, ready, ready - HOUR_MS).window.hours).toBeLessThan(0);
  });
});

describe('days of wear', () => {
  it('count by the wall calendar, over the end of summer time', () => {
    const takenDown = Date.UTC(2026, 9, 24, 22, 30);
    expect(wearDayNumber('2026-10-24', takenDown, 'Europe/Lisbon')).toBe(0);
    expect(wearDayNumber('2026-10-26', takenDown, 'Europe/Lisbon')).toBe(2);
    expect(wearDayNumber('2026-10-23', takenDown, 'Europe/Lisbon')).toBe(-1);
    expect(wearDayNumber('2026-02-30', takenDown, 'Europe/Lisbon')).toBeNull();
  });
});
