import { describe, expect, it } from 'vitest';
import { aBrief, readOrThrow } from '../../../tests/support/briefs';
import type { BriefInput } from '../formats/brief';
import { HOUR_MS } from '../units/time';
import { forecast } from './forecast';
import { layoutFor } from './layout-for';

const WEAR_BY = '2027-03-13T09:00:00Z';
const SLEEP = { from: '23:00', until: '07:00' };
const planOf = (change: Parameters<typeof aBrief>[0], draws = 0) => {
  const brief = readOrThrow(aBrief(change));
  return forecast(brief, layoutFor(brief), draws).plan;
};
const inDay = (drying: BriefInput['drying'], more: Partial<BriefInput> = {}, draws = 0) =>
  planOf({ brief: { drying, wearBy: WEAR_BY, sleep: SLEEP, ...more } }, draws);
const dryBlocks = (plan: ReturnType<typeof planOf>) =>
  plan.schedule!.flatMap(({ step, method, startAt, endAt }) =>
    step === 'dry'
      ? [{ method, hours: (Date.parse(endAt) - Date.parse(startAt)) / HOUR_MS, startAt, endAt }]
      : [],
  );
const codes = (plan: ReturnType<typeof planOf>) => plan.cautions.map(({ code }) => code);
const EVENING = '2027-03-12T17:00:00Z';

describe('what is planned is what is run (common practice: a hood is sat under for as long as was meant)', () => {
  const nightThenHood: BriefInput['drying'] = [
    { method: 'bonnet', hours: 8 },
    { method: 'hood-hot', hours: 0.5 },
  ];

  it('half an hour of hood after a night is half an hour, and the chance is that of half an hour', () => {
    const late = { startAt: '2027-03-12T20:30:00Z' };
    const plan = inDay(nightThenHood, late);
    const hood = dryBlocks(plan).at(-1)!;
    expect(hood.method).toBe('hood-hot');
    expect(hood.hours).toBeCloseTo(0.5, 6);
    // Hours of it would make sure of what half an hour does not.
    const longer = inDay([nightThenHood![0]!, { method: 'hood-hot', hours: 2.5 }], late);
    expect(longer.drying.chanceDryAtWearBy!).toBeGreaterThan(plan.drying.chanceDryAtWearBy! + 0.05);
    expect(codes(plan)).not.toContain('hood-at-night');
  });

  it('says how much longer under the hood makes it sure, and so much longer does', () => {
    const wet = { startAt: '2027-03-12T20:30:00Z' };
    const plan = inDay(nightThenHood, wet, 200);
    const { sureUnder, chanceDryAtWearBy } = plan.drying;
    expect(chanceDryAtWearBy!).toBeLessThan(0.9);
    expect(sureUnder?.method).toBe('hood-hot');
    expect(sureUnder!.moreMin! % 5).toBe(0);
    const hours = 0.5 + sureUnder!.moreMin! / 60;
    const longer = inDay([nightThenHood![0]!, { method: 'hood-hot', hours }], wet, 200);
    expect(longer.drying.chanceDryAtWearBy!).toBeGreaterThan(0.84);
    expect(longer.drying.chanceDryAtWearBy!).toBeLessThan(0.98);
  });

  it('offers a hood where none was planned, a cool one for a child, and none where it is sure', () => {
    const short = {
      drying: [{ method: 'air' as const, hours: 4 }],
      wearBy: WEAR_BY,
      startAt: '2027-03-13T03:00:00Z',
    };
    expect(planOf({ brief: short }, 40).drying.sureUnder?.method).toBe('hood-warm');
    expect(planOf({ brief: short, head: { conditions: ['child'] } }, 40).drying.sureUnder?.method).toBe(
      'hood-cool',
    );
    expect(planOf({ brief: { ...short, startAt: '2027-03-11T03:00:00Z' } }, 40).drying.sureUnder).toBeNull();
    expect(planOf({}).drying.sureUnder).toBeNull();
  });

  it('with only an end given leaves so many hours that a slow head is dry, hood and night where they fall', () => {
    for (const drying of [
      nightThenHood,
      [{ method: 'air', hours: 2 }],
      [{ method: 'hood-warm', hours: 1 }],
    ] as const) {
      const plan = inDay([...drying], {}, 200);
      expect(plan.drying.chanceDryAtWearBy!).toBeGreaterThan(0.84);
      const asked = drying.reduce((sum, { hours }) => sum + hours, 0);
      const kept = dryBlocks(plan).reduce((sum, { hours }) => sum + hours, 0);
      expect(kept).toBeGreaterThanOrEqual(asked - 1e-6);
    }
  });

  it('air that never dries keeps no ten days', () => {
    const plan = planOf({
      brief: { drying: [{ method: 'air', hours: 8 }], wearBy: WEAR_BY },
      room: { relativeHumidity: 0.98 },
    });
    expect(dryBlocks(plan)[0]!.hours).toBeCloseTo(8, 6);
  });
});

describe('cautions look at what is scheduled', () => {
  it('long under blown air, with or without a time to be ready', () => {
    const long = [{ method: 'hood-hot' as const, hours: 4 }];
    expect(codes(planOf({ brief: { drying: long } }))).toContain('long-hot');
    expect(codes(inDay(long))).toContain('long-hot');
    expect(codes(inDay([{ method: 'hood-hot', hours: 1 }], { startAt: EVENING }))).not.toContain('long-hot');
  });

  it('wrapped damp over a day, with or without a time to be ready', () => {
    const wet = {
      startState: 'wet' as const,
      technique: 'bantu-knot' as const,
      sections: 12,
      endsMethod: 'tucked' as const,
    };
    const wrapped = [{ method: 'bonnet' as const, hours: 40 }];
    expect(codes(planOf({ set: wet, brief: { drying: wrapped } }))).toContain('damp-wrapped');
    const twoNights = {
      drying: [{ method: 'bonnet' as const, hours: 9 }],
      wearBy: WEAR_BY,
      startAt: '2027-03-11T17:00:00Z',
      sleep: SLEEP,
    };
    expect(codes(planOf({ set: wet, brief: twoNights }))).toContain('damp-wrapped');
    expect(codes(planOf({ brief: { ...twoNights, startAt: EVENING } }))).not.toContain('damp-wrapped');
  });
});
