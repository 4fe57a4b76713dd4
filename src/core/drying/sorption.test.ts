import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { activityAtRegain, equilibriumRegain, saturatedRegain } from './sorption';

describe('regain of hair', () => {
  it('runs about one point above the published absorption regain, as drying hair does', () => {
    // Robbins, Chemical and Physical Behavior of Human Hair: 6.0, 9.8, 12.8 % at 29, 50, 65 % RH (from memory).
    for (const [humidity, regain] of [
      [0.29, 0.06],
      [0.5, 0.098],
      [0.65, 0.128],
    ] as const) {
      const above = equilibriumRegain(humidity, 1) - regain;
      expect(above).toBeGreaterThan(0.003);
      expect(above).toBeLessThan(0.02);
    }
    expect(saturatedRegain(1)).toBeCloseTo(0.31, 2);
  });

  it('keratin at 65 % humidity regains 13 to 16 %', () => {
    // Wool at 65 % RH, 14–16 % (standard regain tables, from memory).
    expect(equilibriumRegain(0.65, 1)).toBeGreaterThan(0.13);
    expect(equilibriumRegain(0.65, 1.1)).toBeLessThan(0.16);
  });

  it('activity undoes regain for any porosity', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 0.999, noNaN: true }),
        fc.double({ min: 0.9, max: 1.15, noNaN: true }),
        (activity, porosity) => {
          expect(activityAtRegain(equilibriumRegain(activity, porosity), porosity)).toBeCloseTo(activity, 6);
        },
      ),
    );
  });
});
