import { describe, expect, it } from 'vitest';
import { aBrief, readOrThrow } from '../../../tests/support/briefs';
import { dryness } from '../coefficients/drying';
import { hoursAtRate } from '../drying/rate-table';
import { asTakenDown, standingForecast } from './as-taken-down';
import { sectionTimes } from './drying-forecast';
import { forecast } from './forecast';
import { layoutFor } from './layout-for';

const brief = readOrThrow(aBrief({ brief: { drying: [{ method: 'air', hours: 8 }] } }));
const layout = layoutFor(brief);
const { plan, drying } = forecast(brief, layout, 200);
const zoneOf = (number: number) => layout.sections[number - 1]!.zone;
const at = (afterH: number, checks: Parameters<typeof asTakenDown>[2]['checks'] = []) =>
  asTakenDown(brief, layout, { atMs: 1_000, afterH, checks, belief: drying.belief }, zoneOf);

describe('what comes of a set as it was taken down', () => {
  const [dry, early, wet] = [at(30), at(5), at(2)] as const;

  it('is as was forecast where it was surely dry', () => {
    expect(dry.chanceDry).toBeGreaterThan(0.99);
    expect(dry.result.definition.p50).toBeCloseTo(plan.result.definition.p50, 1);
    expect(dry.daysPresentable.p50).toBeCloseTo(plan.daysPresentable.p50, 1);
  });

  it('damp costs definition and days and brings frizz, the more the damper', () => {
    for (const [better, worse] of [
      [dry, early],
      [early, wet],
    ] as const) {
      expect(worse.chanceDry).toBeLessThan(better.chanceDry);
      expect(worse.result.definition.p50).toBeLessThan(better.result.definition.p50);
      expect(worse.result.frizz.p50).toBeGreaterThan(better.result.frizz.p50);
      expect(worse.daysPresentable.p50).toBeLessThan(better.daysPresentable.p50);
    }
    expect(wet.result.definition.why.map(({ factor }) => factor)).toContain('damp');
  });

  it('follows what hands felt before it', () => {
    const felt = (feel: 'dry' | 'damp') => at(7, [{ sectionNumber: 1, level: 'root', feel, afterH: 6.9 }]);
    expect(felt('damp').chanceDry).toBeLessThan(felt('dry').chanceDry - 0.2);
    expect(felt('damp').daysPresentable.p50).toBeLessThan(felt('dry').daysPresentable.p50);
  });

  it('has the hood before the takedown, whenever that was', () => {
    const hooded = readOrThrow(aBrief({ brief: { drying: [{ method: 'air', hours: 8 }, { method: 'hood-hot', hours: 1 }] } })); // prettier-ignore
    const chanceAt = (own: typeof brief) =>
      asTakenDown(
        own,
        layout,
        { atMs: Date.UTC(2027, 2, 13, 9), afterH: 4, checks: [], belief: null },
        zoneOf,
      ).chanceDry;
    expect(chanceAt(hooded)).toBeGreaterThan(chanceAt(brief) + 0.5);
  });

  it('stands in the place of the forecast for what it settles, and of nothing else', () => {
    const standing = standingForecast(plan, wet);
    expect(standing.daysPresentable).toEqual(wet.daysPresentable);
    expect(standing.result).toEqual(wet.result);
    expect(standing.drying).toEqual(plan.drying);
    expect(standingForecast(plan, null)).toBe(plan);
  });
});

describe('what hands showed of the drying rate', () => {
  const brief = readOrThrow(aBrief({ brief: { drying: [{ method: 'bonnet', hours: 12 }] } }));
  const layout = layoutFor(brief);
  const { drying } = forecast(brief, layout, 64);
  const zoneOf = (number: number) => layout.sections[number - 1]!.zone;
  const seenOf = (
    rate: number,
    felt: readonly (readonly [times: number, feel: 'damp' | 'dry' | 'cool'])[],
  ) => {
    const { number, zone } = layout.sections.find((section) => section.zone === 'nape')!;
    const times = sectionTimes(drying.table, zone, 'root');
    const hours = Math.exp(dryness.value.placeShift) * hoursAtRate(times.lnRates, times.hours, rate);
    const checks = felt.map(([by, feel]) => ({
      sectionNumber: number,
      level: 'root' as const,
      feel,
      afterH: by * hours,
    }));
    const takedown = { atMs: 1_000_000_000_000, afterH: 1.3 * hours, checks, belief: drying.belief };
    return asTakenDown(brief, layout, takedown, zoneOf).seen!;
  };

  it.each([-0.4, 0, 0.4])('is read back where a root was felt damp and then dry: ln rate %d', (rate) => {
    const { value, ownVariance } = seenOf(rate, [[0.95, 'damp'], [1.05, 'dry']]).rate!; // prettier-ignore
    expect(Math.abs(value - rate)).toBeLessThan(0.08);
    expect(Math.sqrt(ownVariance)).toBeGreaterThan(0.15);
    expect(Math.sqrt(ownVariance)).toBeLessThan(0.35);
  });

  it('is less sure from one side only, and nothing where nothing was felt', () => {
    const both = seenOf(0, [[0.95, 'damp'], [1.05, 'dry']]).rate!; // prettier-ignore
    const one = seenOf(0, [[1, 'damp']]).rate!;
    expect(one.ownVariance).toBeGreaterThan(both.ownVariance);
    expect(one.value).toBeLessThan(0.05);
    expect(seenOf(0, []).rate).toBeNull();
    expect(seenOf(0, [[1, 'cool']]).rate).toBeNull();
  });

  it('tells how it was at the takedown only by what was felt shortly before', () => {
    expect(seenOf(0, [[1.29, 'dry']]).felt).toBe('dry');
    expect(seenOf(0, [[1.28, 'dry'], [1.29, 'damp']]).felt).toBe('damp'); // prettier-ignore
    expect(seenOf(0, [[0.5, 'damp']]).felt).toBeNull();
    expect(seenOf(0, []).saidChance).toBeGreaterThan(0.5);
  });
});
