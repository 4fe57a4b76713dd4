import { describe, expect, it } from 'vitest';
import { aBrief, readOrThrow } from '../../../tests/support/briefs';
import { referenceClasses } from '../../../tests/support/reference-head';
import { dryingMethods, type DryingMethodId } from '../drying-methods';
import { forecast } from '../plan/forecast';
import {
  dampAtTakedown,
  dryingBasis,
  dryingForecast,
  readyToDry,
  sectionTimes,
} from '../plan/drying-forecast';
import { dosesOf } from '../plan/dosing';
import { layoutFor } from '../plan/layout-for';
import { planSections } from '../plan/section-forecasts';
import { quantiles } from '../stats/quantile';
import { methodAir, nodeTransfer, radiationWM2K, zoneExchange } from './air-at-hair';
import { dryRun } from './dry-run';
import { knotLevels } from './knot-core';
import { sectionNodes } from './nodes';
import { dampnessAt } from './rate-table';

const ROOM = { temperatureC: 22, relativeHumidity: 0.45 };

const dryingOf = (input: ReturnType<typeof aBrief>) => {
  const brief = readOrThrow(input);
  const sections = planSections(brief, layoutFor(brief));
  const ready = readyToDry(
    brief,
    sections,
    dosesOf(brief, sections).map(({ layer }) => layer),
  );
  return dryingForecast(dryingBasis(ready, brief.drying), []);
};

describe('left and right', () => {
  /** Hours to dry of every place of a side, where all of the head is set at once. */
  const hours = (left: number, right: number, side: 'left' | 'right') => {
    const classes = referenceClasses(16).map((own) => ({
      ...own,
      lengthCm: own.zone === 'left' ? left : own.zone === 'right' ? right : own.lengthCm,
    }));
    const { dryAfterH } = dryRun({
      classes,
      room: ROOM,
      steps: [{ method: dryingMethods.air, hours: 0 }],
      porosityFactor: 1,
      startMoisture: 0.65,
      filmResistanceSM: 18,
      rate: 1,
      horizonH: 240,
    });
    const at = 3 * classes.findIndex(({ zone }) => zone === side);
    return dryAfterH.slice(at, at + 3);
  };

  it('dry alike where they are alike, and change places when their hair does', () => {
    expect(hours(22, 22, 'left')).toEqual(hours(22, 22, 'right'));
    expect(hours(30, 12, 'left')).toEqual(hours(12, 30, 'right'));
    expect(hours(30, 12, 'right')).toEqual(hours(12, 30, 'left'));
    expect(hours(30, 12, 'left')).not.toEqual(hours(30, 12, 'right'));
  });
});

describe('what is left at takedown', () => {
  it('is the mean over everything believed, as summed directly', () => {
    const drying = dryingOf(aBrief());
    for (const afterH of [0.5, 2, 4, 8]) {
      const { belief, table } = drying;
      const direct = belief.lnRates.reduce(
        (sum, x, i) => sum + belief.weights[i]! * dampnessAt(table, x, afterH),
        0,
      );
      const damp = dampAtTakedown(drying, afterH);
      expect(damp.mean).toBeCloseTo(direct, 2);
      expect(damp.quick).toBeLessThanOrEqual(damp.mean + 1e-9);
      expect(damp.slow).toBeGreaterThanOrEqual(damp.mean - 1e-9);
    }
    // What was set first has dried a little by then.
    expect(dampAtTakedown(drying, 0).mean).toBeCloseTo(drying.table.usual.dampness[0]!, 2);
    expect(dampAtTakedown(drying, -3)).toEqual(dampAtTakedown(drying, 0));
    expect(dampAtTakedown(drying, 1000).mean).toBeCloseTo(0, 9);
  });

  it('quantiles lie between the values they should (worked by hand, type 7)', () => {
    expect(quantiles([40, 10, 20, 30], [0, 0.1, 0.5, 0.9, 1])).toEqual([10, 13, 25, 37, 40]);
    expect(quantiles([7], [0.1, 0.9])).toEqual([7, 7]);
  });

  it('surely dry means nine in ten', () => {
    const drying = dryingOf(aBrief());
    expect(drying.sureAfterH).toBeGreaterThan(drying.dryAfterH.p50);
    expect(drying.sureAfterH).toBeCloseTo(drying.dryAfterH.p90, 1);
  });
});

describe('the times of a zone', () => {
  it('are those of its usual section, not of its one largest', () => {
    const { table } = dryingOf(aBrief());
    const nodes = table.nodes.filter(({ zone, level }) => zone === 'crown' && level === 'root');
    const [most, one] = [...nodes].sort((a, b) => b.count - a.count);
    expect(most!.count).toBeGreaterThan(one!.count);
    expect(sectionTimes(table, 'crown', 'root').hours).toEqual(most!.hours);
    expect(one!.hours[2]).toBeGreaterThan(most!.hours[2]!);
  });
});

describe('steps of drying against the window', () => {
  const blocksOf = (drying: readonly (readonly [DryingMethodId, number])[], startAt: string) => {
    const brief = readOrThrow(
      aBrief({
        brief: {
          drying: drying.map(([method, hours]) => ({ method, hours })),
          startAt,
          wearBy: '2027-03-13T09:00:00Z',
        },
      }),
    );
    return forecast(brief, layoutFor(brief), 0).plan.schedule!.filter(({ step }) => step === 'dry');
  };
  const hoursOf = ({ startAt, endAt }: { startAt: string; endAt: string }) =>
    (Date.parse(endAt) - Date.parse(startAt)) / 3_600_000;

  it('a first step longer than its window gives way to the hood that follows', () => {
    const long = blocksOf([['bonnet', 90], ['hood-hot', 1]], '2027-03-13T00:00:00Z'); // prettier-ignore
    expect(long.map(({ method }) => method)).toEqual(['bonnet', 'hood-hot']);
    expect(hoursOf(long[0]!)).toBeLessThan(8);
    expect(hoursOf(long[1]!)).toBeCloseTo(1, 6);
  });

  it('each lasts as long as it is given, and open air fills the rest', () => {
    const blocks = blocksOf([['hood-warm', 2], ['bonnet', 1]], '2027-03-12T20:00:00Z'); // prettier-ignore
    expect(blocks.map(({ method }) => method)).toEqual(['hood-warm', 'bonnet', 'air']);
    expect(hoursOf(blocks[0]!)).toBeCloseTo(2, 6);
    expect(hoursOf(blocks[1]!)).toBeCloseTo(1, 6);
    expect(hoursOf(blocks[2]!)).toBeGreaterThan(4);
    expect(blocks[2]!.startAt).toBe(blocks[1]!.endAt);
  });
});

describe('air at the hair', () => {
  const zone = { zone: 'crown' as const, areaM2: 0.015, lengthM: 0.22, vent: 1 };

  it('a scalp is a quarter of a degree warmer for each degree of the room, under hot air as the hood makes it', () => {
    const scalp = (method: DryingMethodId, temperatureC: number) =>
      methodAir(dryingMethods[method], { ...ROOM, temperatureC }).scalpC;
    expect(scalp('air', 26) - scalp('air', 22)).toBeCloseTo(1, 9);
    expect(scalp('hood-hot', 30)).toBe(scalp('hood-hot', 22));
  });

  it('a hood set cooler than the room blows the air of the room', () => {
    const hood = { ...dryingMethods['hood-hot'], airC: 30, duty: 1 };
    const roomC = (temperatureC: number) => zoneExchange(hood, { ...ROOM, temperatureC }, zone).roomC;
    expect(roomC(20)).toBeCloseTo(30, 6);
    expect(roomC(40)).toBeCloseTo(40, 6);
  });

  it('a wrap leaves half of what it covers open, and slows the air', () => {
    const { bonnet, air } = dryingMethods;
    expect(methodAir(air, ROOM).openShare).toBe(1);
    expect(methodAir(bonnet, ROOM).openShare).toBeCloseTo(1 - bonnet.cover!.share / 2, 9);
    expect(zoneExchange(bonnet, ROOM, zone).between[2]).toBeLessThan(
      zoneExchange(air, ROOM, zone).between[2],
    );
  });

  it('longer hair spreads further into the room, and shuts its roots in', () => {
    const at = (lengthM: number) => zoneExchange(dryingMethods.air, ROOM, { ...zone, lengthM }).between;
    // 1 + 1.75 × length in metres; roots by the root of .22 m over the length
    expect(at(0.4)[1] / at(0.2)[1]).toBeCloseTo(1.7 / 1.35, 9);
    expect(at(0.36)[0] / at(0.22)[0]).toBeCloseTo(Math.sqrt(0.22 / 0.36), 9);
    expect(at(0.01)[0] / at(0.22)[0]).toBeCloseTo(1.6, 9);
  });

  it('a nozzle that moves is the mean of its own air and the room’s', () => {
    const { diffuser, air } = dryingMethods;
    const node = sectionNodes(referenceClasses(16)[0]!)[0]!;
    const of = (duty: number) => nodeTransfer(methodAir({ ...diffuser, duty }, ROOM), 'crown', node).massMS;
    const still = nodeTransfer(methodAir(air, ROOM), 'crown', node).massMS;
    expect(of(0.4)).toBeCloseTo(0.4 * of(1) + 0.6 * still, 9);
    const exchange = (duty: number) => zoneExchange({ ...diffuser, duty }, ROOM, zone).between[0];
    expect(exchange(0.4)).toBeCloseTo(0.4 * exchange(1) + 0.6 * zoneExchange(air, ROOM, zone).between[0], 9);
  });

  it('roots and knots see half of the warmth round them, the rest nine tenths', () => {
    expect(radiationWM2K(true) / radiationWM2K(false)).toBeCloseTo(5 / 9, 9);
  });
});

describe('the inside of a knot', () => {
  it('lags behind by 2, and up to 2.6 from very wet hair, and the shell is ahead by as much', () => {
    // Barely damp at the start: the core is twice as far from its limit as the mean.
    expect(knotLevels(0.2, 0.12, 0.25, 1)).toEqual({
      core: expect.closeTo(0.25, 9) as number,
      shell: expect.closeTo(0.15, 9) as number,
    });
    expect(knotLevels(0.2, 0.12, 0.7, 1).core).toBeCloseTo(0.12 + 2.6 * 0.08, 9);
  });

  it('is never wetter than it was, nor than a soaked core, nor its shell drier than the air allows', () => {
    expect(knotLevels(0.3, 0.05, 0.32, 1).core).toBeCloseTo(0.32, 9);
    expect(knotLevels(0.3, 0.05, 0.9, 1).core).toBeCloseTo(0.38, 9);
    expect(knotLevels(0.3, 0.05, 0.9, 1.15).core).toBeCloseTo(0.437, 9);
    expect(knotLevels(0.13, 0.12, 0.7, 1).shell).toBeGreaterThanOrEqual(0.12 - 1e-9);
    expect(knotLevels(0.1, 0.12, 0.7, 1)).toEqual({ core: 0.1, shell: 0.1 });
  });
});
