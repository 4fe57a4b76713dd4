import { describe, expect, it } from 'vitest';
import { aBrief, readOrThrow } from '../../../tests/support/briefs';
import { dryMassG } from '../hair/dry-mass';
import { ponytailDensityPerCm2, ponytailHairCount, scalpAreaCm2, strandAreaMm2 } from '../hair/head';
import { recommendedDoseG } from '../products/dose';
import { techniqueOf } from '../techniques';
import { sizeDoublings } from '../wear/set-facts';
import { forecast } from './forecast';
import { layoutFor } from './layout-for';

const forecastOf = (input: ReturnType<typeof aBrief>) => {
  const brief = readOrThrow(input);
  return forecast(brief, layoutFor(brief.set.technique, brief.set.sections));
};

/** Two dry, surely finished hours of hood: the check table assumes nothing damp at takedown. */
const HOOD = [{ method: 'hood-hot' as const, hours: 24 }];
const rods = (sections: number, change: Parameters<typeof aBrief>[0] = {}) =>
  aBrief({
    ...change,
    set: {
      technique: 'rod-set',
      sections,
      endsMethod: 'pasted',
      tool: { diameterMm: 16, workingLengthMm: 80 },
      ...change.set,
    },
    brief: { drying: HOOD },
  });
const twists = (sections: number, change: Parameters<typeof aBrief>[0] = {}) =>
  aBrief({ ...change, set: { sections, ...change.set }, brief: { drying: HOOD } });

const within = (value: number, expected: number, share: number) =>
  expect(Math.abs(value / expected - 1), `${value} against ${expected}`).toBeLessThan(share);

describe('amounts of hair (exact values of the model notes)', () => {
  it('scalp, strand, ponytail and mass', () => {
    expect(scalpAreaCm2(54)).toBeCloseTo(604.4005, 3);
    expect(strandAreaMm2(70)).toBeCloseTo(0.003848451, 9);
    expect(ponytailHairCount(9, 70)).toBeCloseTo(92_119.57, 1);
    expect(ponytailDensityPerCm2(9, 70, 650)).toBeCloseTo(141.7224, 3);
    expect(dryMassG(5940, 25, 70, 1)).toBeCloseTo(7.543734, 5);
  });
});

describe('whole forecasts of the model notes, within 1 %', () => {
  it.each([
    ['18 two-strand twists', twists(18), [9.04, 0.715, 6.4, 6.43, 31.7, 6.3, 3.45]],
    [
      'the same in a dew point of 22 °C',
      twists(18, { room: { dewPointOutsideC: 22 } }),
      [8.87, 0.688, 6.4, 6.73, 31.7, 6.3, 2.68],
    ],
    [
      'the same on stretched hair',
      twists(18, { set: { startState: 'stretched-dry' } }),
      [9.61, 0.781, 6.0, 7.23, 29.8, 6.3, 4.0],
    ],
    ['30 rods of 16 mm', rods(30), [14.3, 0.601, 7.72, 6.33, 78.7, 15.0, 6.74]],
  ])('%s', (_, input, [curl, stretch, definition, volume, install, takedown, days]) => {
    const { plan } = forecastOf(input);
    within(plan.result.curlDiameterMm, curl!, 0.01);
    within(plan.result.stretch, stretch!, 0.01);
    within(plan.result.definition.p50, definition!, 0.01);
    within(plan.result.volume, volume!, 0.01);
    within(plan.handsOn.installMin.p50, install!, 0.01);
    within(plan.handsOn.takedownMin, takedown!, 0.01);
    within(plan.daysPresentable.p50, days!, 0.01);
  });

  it('fades day by day: 9.0, 8.8, 8.5, 8.3, 8.1 mm under a bonnet, and stretches under re-twists', () => {
    const bonnet = forecastOf(twists(18)).byDay;
    [9.0, 8.8, 8.5, 8.3, 8.1].forEach((mm, day) => expect(bonnet[day]!.curlDiameterMm).toBeCloseTo(mm, 1));
    const retwisted = forecastOf(twists(18, { wear: { night: 're-twists' } })).byDay;
    expect(retwisted[4]!.stretch).toBeGreaterThan(retwisted[0]!.stretch);
    expect(bonnet[4]!.stretch).toBeLessThan(bonnet[0]!.stretch);
  });
});

describe('common practice, as wide bands', () => {
  it('15 to 20 twists take about half an hour, 4 large ones 10 to 20 minutes (common practice)', () => {
    for (const n of [15, 18, 20]) {
      const min = forecastOf(twists(n)).plan.handsOn.installMin.p50;
      expect(min).toBeGreaterThan(24);
      expect(min).toBeLessThan(36);
    }
    const large = forecastOf(twists(4)).plan.handsOn.installMin.p50;
    expect(large).toBeGreaterThan(10);
    expect(large).toBeLessThan(20);
  });

  it('11 twists with braided roots, rods on the ends, brushed, take about 45 min (common practice)', () => {
    const { plan } = forecastOf(
      twists(11, { set: { rootMethod: 'braided', endsMethod: 'rod', brushedThrough: true } }),
    );
    expect(plan.handsOn.installMin.p50).toBeGreaterThan(36);
    expect(plan.handsOn.installMin.p50).toBeLessThan(54);
    const plain = forecastOf(twists(11)).plan.handsOn.takedownMin;
    expect(plan.handsOn.takedownMin / plain).toBeGreaterThan(1.5);
  });

  it('60 small rods on short hair take about two hours (common practice)', () => {
    const min = forecastOf(rods(60, { head: { stretchedLengthCm: 9 } })).plan.handsOn.installMin.p50;
    expect(min).toBeGreaterThan(95);
    expect(min).toBeLessThan(145);
  });

  it('a twist out lasts 3 to 4 days, a rod set about a week (common practice)', () => {
    expect(forecastOf(twists(18)).plan.daysPresentable.p50).toBeGreaterThan(3);
    expect(forecastOf(twists(18)).plan.daysPresentable.p50).toBeLessThan(4);
    const rodDays = forecastOf(rods(30, { set: { layers: [{ role: 'setting-lotion', hold: 3.5 }] } })).plan
      .daysPresentable;
    expect(rodDays.p50).toBeGreaterThan(6);
    expect(rodDays.p50).toBeLessThan(8);
  });

  it('4 twists curl larger than 8, and 8 than 18 (common practice)', () => {
    const [four, eight, eighteen] = [4, 8, 18].map((n) => forecastOf(twists(n)).plan.result.curlDiameterMm);
    expect(four! / eighteen!).toBeGreaterThan(1.5);
    expect(four!).toBeGreaterThan(eight!);
    expect(eight!).toBeGreaterThan(eighteen!);
  });

  it('gel is about a dime a rod section, foam half a pump (common practice)', () => {
    const context = { dryMassG: 117, strandUm: 70, porosity: 'medium', startState: 'damp' } as const;
    const gel = recommendedDoseG('gel', context) / 30;
    expect(gel).toBeGreaterThan(0.7);
    expect(gel).toBeLessThan(1.4);
    const pumps = recommendedDoseG('mousse', context) / 30 / 1.2;
    expect(pumps).toBeGreaterThan(0.35);
    expect(pumps).toBeLessThan(0.75);
  });

  it('large damp twists in open air are doubtful the next morning and dry within a day or so (common practice)', () => {
    const { plan } = forecastOf(
      aBrief({ set: { sections: 8, layers: [{ role: 'leave-in' }, { role: 'cream' }, { role: 'gel' }] } }),
    );
    expect(plan.drying.dryAfterH.p50).toBeGreaterThan(14);
    expect(plan.drying.dryAfterH.p50).toBeLessThan(26);
    const overnight = plan.drying.curve.filter((point) => point.afterH < 10).at(-1)!;
    expect(overnight.chanceDry).toBeLessThan(0.5);
  });

  it('takes section thickness against the coil, not by itself', () => {
    expect(sizeDoublings(6.5, 6)).toBeCloseTo(0, 9);
    expect(sizeDoublings(13, 6)).toBeCloseTo(1, 9);
    expect(techniqueOf('rod-set').sectionAspect).toBe(1.5);
  });
});
