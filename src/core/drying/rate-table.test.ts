import { describe, expect, it } from 'vitest';
import { referenceClasses } from '../../../tests/support/reference-head';
import { dryingMethods } from '../drying-methods';
import { dampnessAt, hoursAtRate, rateForHours, rateTable, slowestHours } from './rate-table';
import { HORIZON_H } from './horizon';
import { handPartedClasses, type ZoneSections } from './section-classes';
import { filmResistanceSM, hairMoisture, productWaterPerG } from './start-moisture';
import { equilibriumRegain, saturatedRegain } from './sorption';
import { twoStrandTwist } from '../techniques/two-strand-twist';

const ROOM = { temperatureC: 22, relativeHumidity: 0.45 };
const table = (steps: Parameters<typeof rateTable>[0]['steps'], relativeHumidity = 0.45) =>
  rateTable({
    classes: referenceClasses(16),
    room: { temperatureC: 22, relativeHumidity },
    steps,
    porosityFactor: 1,
    startMoisture: 0.6532,
    filmResistanceSM: 18,
  });
const air = { method: dryingMethods.air, hours: 2 };

describe('drying times over the rate of a head', () => {
  it('a sequence of one and the same method is that method alone', () => {
    const alone = table([air]);
    const twice = table([air, air]);
    const [one, two] = [alone, twice].map((own) => slowestHours(own, own.nodes));
    one!.forEach((hours, i) => expect(Math.abs(two![i]! / hours - 1)).toBeLessThan(0.02));
    expect(twice.runs).toHaveLength(alone.lnRates.length);
  });

  it('a faster head is never later, in a sequence too', () => {
    const sequence = table([
      { method: dryingMethods.bonnet, hours: 8 },
      { method: dryingMethods['hood-hot'], hours: 0.5 },
    ]);
    for (const { hours } of sequence.nodes) expect(hours).toEqual([...hours].sort((a, b) => b - a));
  });

  it('reads between and beyond its rates', () => {
    const own = table([air]);
    const hours = slowestHours(own, own.nodes);
    const usual = hoursAtRate(own.lnRates, hours, 0);
    for (const x of [-1.2, -0.5, 0.1, 0.6, 1.3]) {
      // Under one method, time goes as one over the rate.
      expect(hoursAtRate(own.lnRates, hours, x) / (usual * Math.exp(-x))).toBeCloseTo(1, 1);
      expect(rateForHours(own.lnRates, hours, hoursAtRate(own.lnRates, hours, x))).toBeCloseTo(x, 9);
    }
  });

  it('the damp that is left falls from all to nothing', () => {
    for (const own of [table([air]), table([air, { method: dryingMethods['hood-hot'], hours: 1 }])]) {
      const left = [0, 1, 2, 3, 6, 20].map((hours) => dampnessAt(own, 0, hours));
      expect(left[0]).toBe(1);
      expect(left.at(-1)).toBeLessThan(0.02);
      expect(left).toEqual([...left].sort((a, b) => b - a));
      expect(dampnessAt(own, 0.5, 2)).toBeLessThan(dampnessAt(own, -0.5, 2));
    }
  });

  it('gives up at the horizon in air that never dries, without a number that is none', () => {
    for (const hours of slowestHours(table([air], 0.95), table([air], 0.95).nodes)) {
      expect(hours).toBeLessThanOrEqual(HORIZON_H);
      expect(hours).toBeGreaterThan(0);
    }
  });
});

describe('sections as a hand parts them', () => {
  const zone = (count: number, areaCm2: number, largestCm2 = areaCm2): ZoneSections => ({
    zone: 'crown',
    count,
    areaCm2,
    largestCm2,
    hairsPerCm2: 170,
    strandUm: 70,
    lengthCm: 22,
    shape: twoStrandTwist.dryingShape,
    rod: null,
  });
  const middling = () => ({ density: 1, startMoisture: 0.6, filmResistanceSM: 18, largestQuantile: 0.5 });

  it('keep the area of their zone, with one section larger than the rest', () => {
    const classes = handPartedClasses([zone(5, 30)], middling);
    expect(classes.reduce((sum, c) => sum + c.count * c.sectionAreaCm2, 0)).toBeCloseTo(150, 9);
    expect(classes).toHaveLength(2);
    expect(classes[1]!.sectionAreaCm2).toBeGreaterThan(classes[0]!.sectionAreaCm2);
  });

  it('a section parted larger on purpose is the largest', () => {
    expect(handPartedClasses([zone(5, 30, 55)], middling)[1]!.sectionAreaCm2).toBeCloseTo(55, 9);
  });

  it('a zone with one section has that one, and one with none has none', () => {
    expect(handPartedClasses([zone(1, 80)], middling)).toMatchObject([{ count: 1, sectionAreaCm2: 80 }]);
    expect(handPartedClasses([zone(0, 0)], middling)).toEqual([]);
  });
});

describe('water at the start', () => {
  it('follows the start state', () => {
    const of = (state: Parameters<typeof hairMoisture>[0]) => hairMoisture(state, 1, ROOM);
    expect(of('damp')).toBeCloseTo(saturatedRegain(1) + 0.25, 12);
    expect(of('nearly-dry')).toBeCloseTo(0.25, 3);
    expect(hairMoisture('nearly-dry', 1, { ...ROOM, relativeHumidity: 0.85 })).toBeGreaterThan(0.3);
    expect(of('stretched-dry')).toBeCloseTo(equilibriumRegain(0.45, 1), 12);
    const order = (
      ['dripping', 'wet', 'damp', 'nearly-dry', 'stretched-misted', 'stretched-dry'] as const
    ).map(of);
    expect(order).toEqual([...order].sort((a, b) => b - a));
  });

  it('counts the water and the film of each layer', () => {
    const layers = [
      { role: 'leave-in', grams: 6 },
      { role: 'cream', grams: 6 },
    ] as const;
    expect(productWaterPerG(layers, 100)).toBeCloseTo(0.06 * 0.88 + 0.06 * 0.72, 12);
    expect(filmResistanceSM(layers, 100)).toBeCloseTo(0.6 * 0.12 * 40 + 0.6 * 0.28 * 90, 9);
    expect(productWaterPerG([{ role: 'gel', grams: 10, waterShare: 0.5 }], 100)).toBeCloseTo(0.05, 12);
  });
});
