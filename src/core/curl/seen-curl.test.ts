import { describe, expect, it } from 'vitest';
import { turnCm, type SeenCurl } from './seen-curl';

describe('a curl drawn to scale', () => {
  it('a helix of pitch πD shows 1/√2 of its hair', () => {
    // Arc length of one turn is √((πD)² + p²); with p = πD that is √2 p.
    const curl: SeenCurl = { lengthCm: 20, visibleCm: 20 / Math.SQRT2, diameterMm: 10, shape: 'curl' };
    expect(turnCm(curl)).toBeCloseTo(Math.PI, 9);
  });

  it('a sine of amplitude 1 and wave 2π is 1.2160 as long as its axis', () => {
    // Arc length of sin over a period, 4√2 E(1/2) = 7.640395578 (Abramowitz and Stegun, table 17.1, from memory).
    const share = (2 * Math.PI) / 7.640395578;
    const wave: SeenCurl = { lengthCm: 10, visibleCm: 10 * share, diameterMm: 20, shape: 'wave' };
    expect(turnCm(wave)).toBeCloseTo(2 * Math.PI, 4);
  });

  it('hair stretched to its length hangs straight', () => {
    const straight: SeenCurl = { lengthCm: 20, visibleCm: 20, diameterMm: 10, shape: 'curl' };
    expect(turnCm(straight)).toBe(Infinity);
  });
});
