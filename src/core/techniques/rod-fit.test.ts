import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fitRod, nextRodUp, overlapRadiusMm } from './rod-fit';

const BUNDLE = { grossMm2: 27.516425, lengthMm: 250 };

describe('hair on a rod', () => {
  it('one of 30 sections on a 16 × 80 mm rod', () => {
    const fit = fitRod(BUNDLE, { diameterMm: 16, workingLengthMm: 80 });
    expect(fit.bandWidthMm).toBeCloseTo(11.729541, 5);
    expect(fit.bandThicknessMm).toBeCloseTo(2.345908, 5);
    expect(fit.radiusMm).toBeCloseTo(9.172954, 5);
    expect(fit.turns).toBeCloseTo(4.246838, 5);
    expect(fit.axialMm).toBeCloseTo(50.878222, 5);
    expect(fit.fill).toBeCloseTo(0.635978, 6);
    expect(fit.longestHairMm).toBeCloseTo(393.0955, 3);
    expect(fit.smallestFittingMm).toBeCloseTo(9.321682, 5);
    expect(fit.monthsUntilOutgrown.fast).toBeCloseTo(11.448, 3);
    expect(fit).toMatchObject({ layers: 1, fits: true, bandTooWide: false, impossible: false });
  });

  it('the same hair overlaps on a 10 × 70 mm rod', () => {
    const fit = fitRod(BUNDLE, { diameterMm: 10, workingLengthMm: 70 });
    expect(fit.turns).toBeCloseTo(6.14384, 5);
    expect(fit.fill).toBeCloseTo(1.080065, 6);
    expect(fit).toMatchObject({ layers: 2, fits: false, bandTooWide: true });
    expect(fit.smallestFittingMm).toBeCloseTo(10.98848, 5);
  });

  it('the longest hair and the smallest rod just fill it, for any section', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 3, max: 40, noNaN: true }),
        fc.double({ min: 60, max: 500, noNaN: true }),
        fc.double({ min: 40, max: 200, noNaN: true }),
        (grossMm2, lengthMm, workingLengthMm) => {
          const fit = fitRod({ grossMm2, lengthMm }, { diameterMm: 25, workingLengthMm });
          const longest = fitRod(
            { grossMm2, lengthMm: fit.longestHairMm },
            { diameterMm: 25, workingLengthMm },
          );
          expect(longest.fill).toBeCloseTo(1, 9);
          const smallest = fit.smallestFittingMm;
          if (smallest > fit.bandWidthMm / Math.PI) {
            const just = fitRod({ grossMm2, lengthMm }, { diameterMm: smallest, workingLengthMm });
            if (!just.impossible) expect(just.fill).toBeCloseTo(1, 6);
          }
        },
      ),
    );
  });

  it('longer hair takes more turns', () => {
    const turns = [100, 200, 300].map(
      (lengthMm) => fitRod({ ...BUNDLE, lengthMm }, { diameterMm: 16, workingLengthMm: 80 }).turns,
    );
    expect(turns).toEqual([...turns].sort((a, b) => a - b));
  });

  it('says when one turn cannot close', () => {
    expect(fitRod({ grossMm2: 400, lengthMm: 250 }, { diameterMm: 3, workingLengthMm: 70 }).impossible).toBe(
      true,
    );
  });

  it('overlapping hair stands off most at the root', () => {
    const fit = fitRod(BUNDLE, { diameterMm: 10, workingLengthMm: 70 });
    expect(overlapRadiusMm(fit, 0)).toBeGreaterThan(overlapRadiusMm(fit, 0.9));
    expect(overlapRadiusMm(fitRod(BUNDLE, { diameterMm: 16, workingLengthMm: 80 }), 0)).toBe(0);
  });

  it('takes the smallest owned rod that fits on its own length', () => {
    const owned = [10, 13, 16, 20].map((diameterMm) => ({ diameterMm, workingLengthMm: 70 }));
    expect(nextRodUp(BUNDLE, owned)?.diameterMm).toBe(13);
    expect(nextRodUp({ ...BUNDLE, lengthMm: 900 }, owned)).toBeNull();
  });

  it('refuses a rod without a diameter', () => {
    expect(() => fitRod(BUNDLE, { diameterMm: 0, workingLengthMm: 80 })).toThrow(/rod 0/);
  });

  it('the next rod up is the smallest that takes the hair in one layer and is no narrower than its band', () => {
    // The band is 11.7 mm wide: a long 10 mm rod has room for it, and would still show the hair's own pattern.
    const long = { diameterMm: 10, workingLengthMm: 300 };
    expect(fitRod(BUNDLE, long)).toMatchObject({ fits: true, bandTooWide: true });
    const sixteen = { diameterMm: 16, workingLengthMm: 80 };
    const twenty = { diameterMm: 20, workingLengthMm: 80 };
    expect(nextRodUp(BUNDLE, [long, twenty, sixteen])).toBe(sixteen);
    expect(nextRodUp(BUNDLE, [long])).toBeNull();
  });
});
