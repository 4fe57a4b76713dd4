import { describe, expect, it } from 'vitest';
import { referenceClasses } from '../../../tests/support/reference-head';
import { ZONES } from '../hair/zone';
import { waitedMoisture, waitingHair, waitingLimits } from './waiting';

const quadrants = referenceClasses(6).map((c) => ({
  ...c,
  count: 1,
  sectionAreaCm2: c.count * c.sectionAreaCm2,
}));

describe('hair waiting its turn', () => {
  it.each([
    ['damp', 22, 0.45, 0.99, 0.64],
    ['damp', 22, 0.3, 0.77, 0.49],
    ['damp', 27, 0.25, 0.6, 0.38],
    ['damp', 25, 0.7, 1.69, 1.11],
    ['wet', 22, 0.45, 4.4, 2.7],
  ] as const)(
    '%s at %d °C and humidity %d wants misting as the drying note says, within 8 %%',
    (state, temperatureC, relativeHumidity, mean, ends) => {
      const hair = waitingHair(quadrants, { temperatureC, relativeHumidity }, state, 1);
      const limits = waitingLimits(hair, ZONES)!;
      expect(Math.abs(limits.meanH / mean - 1)).toBeLessThan(0.08);
      expect(Math.abs(limits.endsH / ends - 1)).toBeLessThan(0.08);
    },
  );

  it('has nothing to keep up on hair that was not wet', () => {
    const hair = waitingHair(quadrants, { temperatureC: 22, relativeHumidity: 0.5 }, 'nearly-dry', 1);
    expect(waitingLimits(hair, ZONES)).toBeNull();
  });

  it('16 damp twists over 45 min: the last is set at .457, the first at .551 (drying note, within 5 %)', () => {
    const hair = waitingHair(quadrants, { temperatureC: 22, relativeHumidity: 0.45 }, 'damp', 1);
    const at = (hours: number) =>
      hair.zones.reduce((sum, z) => sum + z.massShare * waitedMoisture(hair, z.zone, hours), 0);
    expect(at(0.02) / 0.551).toBeCloseTo(1, 1);
    expect(Math.abs(at(0.75) / 0.457 - 1)).toBeLessThan(0.05);
  });
});
