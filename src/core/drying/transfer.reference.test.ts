import { describe, expect, it } from 'vitest';
import { cylinderTransfer, filmAir, nusseltForced, nusseltNatural } from './transfer';

describe('heat transfer at a cylinder against textbook examples', () => {
  it('Churchill–Bernstein gives Nu 40.6 for the cross-flow example', () => {
    // Incropera & DeWitt, cylinder in cross-flow: 12.7 mm, 10 m/s, Re 6071, Pr 0.70 (from memory).
    expect(nusseltForced(6071, 0.7)).toBeCloseTo(40.6, 0);
    expect((nusseltForced(6071, 0.7) * 0.03) / 0.0127).toBeCloseTo(96, 0);
  });

  it('Churchill–Chu gives Nu 23.1 for the horizontal pipe example, which quotes 23.3', () => {
    // Incropera & DeWitt, horizontal steam pipe: Ra 5.07e6, Pr 0.697 (from memory).
    expect(Math.abs(nusseltNatural(5.07e6, 0.697) / 23.3 - 1)).toBeLessThan(0.012);
  });

  it.each([
    [10, 0.1, 22, 11.49, 10.87],
    [30, 0.1, 22, 6.7, 6.34],
    [10, 2, 58, 47.19, 49.91],
  ])('a %d mm bundle in air of %d m/s at %d °C', (diameterMm, speed, filmC, heat, massMmS) => {
    const transfer = cylinderTransfer(diameterMm / 1000, speed, filmAir(filmC), 5);
    expect(Math.abs(transfer.heatWM2K / heat - 1)).toBeLessThan(0.01);
    expect(Math.abs((transfer.massMS * 1000) / massMmS - 1)).toBeLessThan(0.01);
  });

  it('the Lewis number of moist air is a little below one', () => {
    // Chilton–Colburn analogy; Le of water vapour in air 0.82–0.87 (handbook range, from memory).
    expect(filmAir(22).lewis).toBeGreaterThan(0.8);
    expect(filmAir(22).lewis).toBeLessThan(0.88);
  });
});
