import fc from 'fast-check';
import { Temporal } from 'temporal-polyfill';
import { describe, expect, it } from 'vitest';
import { aBrief, readOrThrow } from '../../../tests/support/briefs';
import type { BriefInput } from '../formats/brief';
import { dryingMethods } from '../drying-methods';
import { forecast } from '../plan/forecast';
import { layoutFor } from '../plan/layout-for';
import { HOUR_MS } from '../units/time';
import { layOutDay, type KeptNights, type ScheduleParts } from './backward';
import { minuteOfDay, nightsBetween } from './sleep';

const NIGHT = { fromMin: minuteOfDay('23:00'), untilMin: minuteOfDay('07:00') };
const at = (local: string, timeZone: string) =>
  Temporal.PlainDateTime.from(local).toZonedDateTime(timeZone).epochMilliseconds;
const clock = (ms: number, timeZone: string) =>
  Temporal.Instant.fromEpochMilliseconds(Math.floor(ms))
    .toZonedDateTimeISO(timeZone)
    .toPlainTime()
    .toString({ smallestUnit: 'minute' });

const parts = (change: Partial<ScheduleParts> = {}): ScheduleParts => ({
  prep: [
    { part: 'cleanse', minutes: 20, handsOn: true },
    { part: 'deep-condition', minutes: 25, handsOn: false },
  ],
  installMin: 75,
  neededH: () => 6,
  nightCover: dryingMethods.bonnet,
  drying: [{ method: dryingMethods.air, hours: 6 }],
  takedownMin: 15,
  separatingMin: 5,
  ...change,
});

describe('nights', () => {
  it('are an hour shorter when clocks go forward, and an hour longer when they go back', () => {
    const zone = 'Europe/Lisbon';
    const of = (day: string, next: string) =>
      nightsBetween(NIGHT, zone, at(`${day}T22:00`, zone), at(`${next}T08:00`, zone));
    const hours = (day: string, next: string) =>
      of(day, next).map(({ startMs, endMs }) => (endMs - startMs) / HOUR_MS);
    expect(hours('2027-03-20', '2027-03-21')).toEqual([8]);
    expect(hours('2027-03-27', '2027-03-28')).toEqual([7]);
    expect(hours('2026-10-24', '2026-10-25')).toEqual([9]);
    expect(of('2027-03-27', '2027-03-28').map(({ endMs }) => clock(endMs, zone))).toEqual(['07:00']);
  });

  it('lasts over midnight too when it is nearly a whole day long', () => {
    const long = { fromMin: minuteOfDay('07:00'), untilMin: minuteOfDay('06:30') };
    const [night] = nightsBetween(long, 'UTC', at('2027-06-01T08:00', 'UTC'), at('2027-06-01T09:00', 'UTC'));
    expect((night!.endMs - night!.startMs) / HOUR_MS).toBe(23.5);
  });

  it('may be a day’s sleep too, and only those that touch the span are told', () => {
    const day = { fromMin: minuteOfDay('09:00'), untilMin: minuteOfDay('16:30') };
    const span = [at('2027-06-01T15:00', 'UTC'), at('2027-06-02T08:00', 'UTC')] as const;
    expect(nightsBetween(day, 'UTC', ...span)).toHaveLength(1);
    expect(nightsBetween(day, 'UTC', at('2027-06-01T17:00', 'UTC'), span[1])).toEqual([]);
  });
});

describe('a day laid out round the night', () => {
  const kept: KeptNights = { hours: NIGHT, timeZone: 'Europe/Lisbon' };
  const ready = at('2027-05-12T09:00', 'Europe/Lisbon');

  it('puts the work before bed, and lets it dry through the night', () => {
    const free = layOutDay(parts(), ready, null);
    expect(clock(free.blocks[0]!.startMs, kept.timeZone)).toBe('00:40');
    const { blocks, window, asleep } = layOutDay(parts(), ready, null, kept);
    const install = blocks.find(({ step }) => step === 'install')!;
    expect(clock(install.endMs, kept.timeZone)).toBe('23:00');
    expect(window.hours).toBeGreaterThan(6);
    expect(asleep).toEqual([]);
  });

  it('tells hands-on from hands-free time in preparing', () => {
    const { blocks } = layOutDay(parts(), ready, null, kept);
    expect(blocks.filter(({ step }) => step === 'prep').map(({ part, handsOn }) => [part, handsOn])).toEqual([
      ['cleanse', true],
      ['deep-condition', false],
    ]);
  });

  it('says so when a hood or a takedown would want somebody awake', () => {
    const hood = parts({
      drying: [
        { method: dryingMethods.bonnet, hours: 2 },
        { method: dryingMethods['hood-hot'], hours: 1 },
      ],
    });
    // The takedown is at 06:10, before anybody is up, and the work goes on until bedtime.
    const { asleep } = layOutDay(
      hood,
      at('2027-05-12T06:30', 'Europe/Lisbon'),
      at('2027-05-11T18:00', 'Europe/Lisbon'),
      kept,
    );
    expect(asleep.map(({ method }) => method)).not.toContain('hood-hot');
    const late = layOutDay(
      hood,
      at('2027-05-12T06:30', 'Europe/Lisbon'),
      at('2027-05-11T20:30', 'Europe/Lisbon'),
      kept,
    );
    expect(late.asleep).toContainEqual({ step: 'dry', method: 'hood-hot', minutes: 60 });
    const early = layOutDay(parts(), at('2027-05-12T06:30', 'Europe/Lisbon'), null, kept);
    expect(early.asleep.map(({ step }) => step)).toContain('takedown');
  });

  it('leaves room for the hood before bed', () => {
    const hood = parts({
      drying: [
        { method: dryingMethods['hood-warm'], hours: 2 },
        { method: dryingMethods.bonnet, hours: 4 },
      ],
    });
    const { blocks, asleep } = layOutDay(hood, ready, null, kept);
    expect(asleep).toEqual([]);
    expect(clock(blocks.find(({ method }) => method === 'bonnet')!.startMs, kept.timeZone)).toBe('23:00');
  });

  it('leaves a beginning that was chosen where it is, and says what falls into the night', () => {
    const start = at('2027-05-11T22:00', 'Europe/Lisbon');
    const { blocks, asleep } = layOutDay(parts(), ready, start, kept);
    expect(blocks[0]!.startMs).toBe(start);
    expect(asleep.map(({ step }) => step)).toEqual(['install']);
  });

  it('any day: no work at night, never less time to dry, no gap and no overlap', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 365 * 24 * 4 }),
        fc.integer({ min: 20, max: 600 }),
        fc.double({ min: 0.5, max: 40, noNaN: true }),
        fc.constantFrom('Europe/Lisbon', 'America/New_York', 'Australia/Lord_Howe', 'UTC'),
        (quarter, installMin, dryingH, timeZone) => {
          const readyMs = Date.UTC(2027, 0, 1) + (quarter * HOUR_MS) / 4;
          const own = parts({ installMin, neededH: () => dryingH });
          const free = layOutDay(own, readyMs, null);
          const { blocks, window, asleep } = layOutDay(own, readyMs, null, { hours: NIGHT, timeZone });
          expect(window.hours).toBeGreaterThanOrEqual(free.window.hours - 1e-9);
          expect(asleep.every(({ step }) => step === 'takedown' || step === 'separate')).toBe(true);
          blocks.slice(1).forEach((block, i) => expect(block.startMs).toBeCloseTo(blocks[i]!.endMs, 3));
          expect(blocks.at(-1)!.endMs).toBe(readyMs);
        },
      ),
    );
  });
});

describe('preparing in a plan', () => {
  const of = (prep: BriefInput['prep'], startState: 'damp' | 'nearly-dry' | 'stretched-dry') => {
    const brief = readOrThrow(aBrief({ brief: prep ? { prep } : {}, set: { startState } }));
    return forecast({ ...brief, wearByMs: Date.UTC(2027, 4, 12, 9) }, layoutFor(brief), 0).plan;
  };

  it('counts only hands in the work, and every minute in the day', () => {
    const plan = of([{ step: 'cleanse' }, { step: 'deep-condition', minutes: 40 }, { step: 'blot' }], 'damp');
    expect(plan.handsOn.prepMin).toBe(20);
    const blocks = plan.schedule!.filter(({ step }) => step === 'prep');
    expect(blocks.map(({ part }) => part)).toEqual(['cleanse', 'deep-condition', 'blot']);
    expect(Date.parse(blocks.at(-1)!.endAt) - Date.parse(blocks[0]!.startAt)).toBe(80 * 60_000);
  });

  it('adds a blow-out or the wait until it is nearly dry by itself', () => {
    expect(of(undefined, 'damp').handsOn.prepMin).toBe(50);
    expect(of(undefined, 'stretched-dry').schedule!.some(({ part }) => part === 'blow-out')).toBe(true);
    const waits = of([{ step: 'cleanse' }], 'nearly-dry').schedule!.find(({ part }) => part === 'wait');
    expect(waits?.handsOn).toBe(false);
  });
});
