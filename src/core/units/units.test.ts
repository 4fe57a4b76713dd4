import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cmFromInches, inchesFromCm, parseLengthCm } from './length';
import { gramsFromOunces, ouncesFromGrams } from './mass';
import { celsiusFromFahrenheit, fahrenheitFromCelsius } from './temperature';

describe('units', () => {
  it('are exact by definition (ISO 80000-3; NIST Handbook 44 appendix C)', () => {
    expect(cmFromInches(1)).toBe(2.54);
    expect(gramsFromOunces(1)).toBe(28.349523125);
    expect(fahrenheitFromCelsius(100)).toBe(212);
    expect(fahrenheitFromCelsius(-40)).toBe(-40);
  });

  it('there and back is the same', () => {
    fc.assert(
      fc.property(fc.double({ min: -1e4, max: 1e4, noNaN: true }), (value) => {
        expect(inchesFromCm(cmFromInches(value))).toBeCloseTo(value, 9);
        expect(ouncesFromGrams(gramsFromOunces(value))).toBeCloseTo(value, 9);
        expect(celsiusFromFahrenheit(fahrenheitFromCelsius(value))).toBeCloseTo(value, 9);
      }),
    );
  });

  it.each([
    ['24', 'cm', 24],
    ['24,5 cm', 'in', 24.5],
    ['9 1/2 in', 'cm', 24.13],
    ['1/2 in', 'cm', 1.27],
    ['10"', 'cm', 25.4],
    ['120 mm', 'cm', 12],
    ['10', 'in', 25.4],
  ] as const)('reads “%s” with %s assumed', (text, unit, cm) => {
    expect(parseLengthCm(text, unit)).toBeCloseTo(cm, 9);
  });

  it.each(['', 'long', '12 m', '1/0', '3..4', '-5'])('does not read “%s”', (text) => {
    expect(parseLengthCm(text, 'cm')).toBeNull();
  });
});
