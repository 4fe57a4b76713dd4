import * as psychrolib from 'psychrolib';
import { describe, expect, it } from 'vitest';
import {
  humidityRatio,
  magnusPressurePa,
  quickSaturatedDensity,
  quickVapourDiffusivity,
  saturatedVapourDensity,
  saturationPressurePa,
  vapourDiffusivity,
  wetBulbFromRatioC,
} from './air';

// A CommonJS module: its functions are on the default export.
const reference = (psychrolib as unknown as { default: typeof psychrolib }).default;
reference.SetUnitSystem(reference.SI);
const PRESSURE = 101_325;

describe('moist air against the ASHRAE formulas', () => {
  // ASHRAE Handbook Fundamentals ch. 1, thermodynamic properties of water at saturation (table values).
  it.each([
    [0.01, 611.7],
    [20, 2338.8],
    [25, 3169.2],
    [30, 4246.0],
    [55, 15_759.7],
  ])('saturation pressure at %d °C is %d Pa within 0.1 %%', (temperatureC, pressurePa) => {
    expect(saturationPressurePa(temperatureC) / pressurePa).toBeCloseTo(1, 3);
  });

  it('agrees with psychrolib over a grid of rooms', () => {
    for (const temperatureC of [5, 15, 22, 30, 45, 58]) {
      expect(saturationPressurePa(temperatureC) / reference.GetSatVapPres(temperatureC)).toBeCloseTo(1, 3);
      for (const humidity of [0.1, 0.3, 0.45, 0.6, 0.8, 0.95]) {
        expect(humidityRatio(temperatureC, humidity)).toBeCloseTo(
          reference.GetHumRatioFromRelHum(temperatureC, humidity, PRESSURE),
          4,
        );
        const wetBulb = reference.GetTWetBulbFromRelHum(temperatureC, humidity, PRESSURE);
        // Below freezing the reference counts with ice; water in hair does not freeze there.
        const ours = wetBulbFromRatioC(temperatureC, humidityRatio(temperatureC, humidity));
        if (wetBulb > 0) expect(Math.abs(ours - wetBulb)).toBeLessThan(0.02);
      }
    }
  });

  it('the quick Magnus form stays within 0.5 % up to 60 °C', () => {
    for (let t = 0; t <= 60; t += 5) {
      expect(Math.abs(magnusPressurePa(t) / saturationPressurePa(t) - 1)).toBeLessThan(0.005);
    }
  });

  it('the tables of the time loop follow their formulas between the rows', () => {
    for (let t = -29.97; t < 110; t += 0.61) {
      expect(Math.abs(quickVapourDiffusivity(t) / vapourDiffusivity(t) - 1)).toBeLessThan(2e-5);
      expect(Math.abs(quickSaturatedDensity(t) / saturatedVapourDensity(t) - 1)).toBeLessThan(2e-5);
    }
    expect(quickSaturatedDensity(-80)).toBe(quickSaturatedDensity(-30));
    expect(quickSaturatedDensity(500)).toBe(quickSaturatedDensity(110));
  });

  it('saturated vapour weighs 17.25 g/m³ at 20 °C', () => {
    // Standard handbook value 17.3 g/m³ (from memory).
    expect(saturatedVapourDensity(20) * 1000).toBeCloseTo(17.25, 1);
  });
});
