import { describe, expect, it } from 'vitest';
import { referenceClasses } from '../../../tests/support/reference-head';
import { waitingLimits } from './waiting';

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
      const limits = waitingLimits(quadrants, { temperatureC, relativeHumidity }, state, 1)!;
      expect(Math.abs(limits.meanH / mean - 1)).toBeLessThan(0.08);
      expect(Math.abs(limits.endsH / ends - 1)).toBeLessThan(0.08);
    },
  );

  it('has nothing to keep up on hair that was not wet', () => {
    expect(waitingLimits(quadrants, { temperatureC: 22, relativeHumidity: 0.5 }, 'nearly-dry', 1)).toBeNull();
  });
});
