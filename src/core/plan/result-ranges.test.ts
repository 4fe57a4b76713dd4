import { describe, expect, it } from 'vitest';
import { aBrief, readOrThrow } from '../../../tests/support/briefs';
import { perZone } from '../hair/zone';
import { chancesAt, dryingNow } from './drying-now';
import { forecast } from './forecast';
import { forecastView } from './forecast-view';
import { layoutFor } from './layout-for';

/** Eighteen damp twists in open air, with so many hours between the end of the set and the takedown. */
const planWith = (hours: number) => {
  const brief = readOrThrow(
    aBrief({ brief: { drying: [{ method: 'air', hours: 8 }], wearBy: '2027-03-13T09:00:00Z' } }),
  );
  const { plan } = forecast(brief, layoutFor(brief), 0);
  const { prepMin, installMin, takedownMin, separatingMin } = plan.handsOn;
  const workMs = (prepMin + installMin.p50 + takedownMin + separatingMin) * 60_000;
  const startAtMs = brief.wearByMs! - workMs - hours * 3_600_000;
  return forecast({ ...brief, startAtMs }, layoutFor(brief), 0).plan;
};

describe('ranges of what comes of it', () => {
  const [sure, even, unsure] = [planWith(30), planWith(6), planWith(4)] as const;

  it('are as they are assumed where it is surely dry', () => {
    const { definition, ranges, curlDiameterMm } = sure.result;
    expect(sure.drying.chanceDryAtWearBy!).toBeGreaterThan(0.999);
    expect(definition.p90 - definition.p50).toBeCloseTo(1, 3);
    expect(definition.p50 - definition.p10).toBeCloseTo(1, 3);
    expect(ranges!.curlDiameterMm.p90 / curlDiameterMm).toBeCloseTo(1.25, 3);
  });

  it('grow as it is less sure to be dry, to the side where damp leads', () => {
    expect(even.drying.chanceDryAtWearBy!).toBeLessThan(0.8);
    for (const { definition, frizz } of [even.result, unsure.result]) {
      expect(definition.p50 - definition.p10).toBeGreaterThan(1.05);
      expect(frizz.p90 - frizz.p50).toBeGreaterThan(1.05);
      expect(definition.p50 - definition.p10).toBeGreaterThan(definition.p90 - definition.p50);
    }
    const width = ({ daysPresentable: { p10, p90 } }: typeof sure) => Math.log(p90 / p10);
    expect(width(even)).toBeGreaterThan(width(sure) * 1.01);
  });

  it('a section is no less sure than the head that waits for it, and less sure than a head without spread', () => {
    const brief = readOrThrow(aBrief());
    const view = forecastView(forecast(brief, layoutFor(brief), 0));
    const now = dryingNow(view.dryTimes, [], () => 'crown');
    for (const afterH of [1, 3, 5, 7, 9, 12]) {
      const { whole, zones } = chancesAt(now, afterH);
      perZone((zone) => expect(zones[zone]).toBeGreaterThanOrEqual(whole));
    }
    // Well before and well after its time the spread between sections counts against it and for it.
    const usualH = view.dryTimes.zones.nape.root.hours[2]!;
    expect(chancesAt(now, usualH * 0.7).zones.nape).toBeGreaterThan(0.1);
    expect(chancesAt(now, usualH * 1.6).zones.nape).toBeLessThan(0.99);
  });
});
