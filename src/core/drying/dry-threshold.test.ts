import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dryMoisture, dryMoistureInHotAir, restingRegain } from './dry-threshold';
import { equilibriumRegain, saturatedRegain } from './sorption';
import { blotted } from './start-moisture';

const share = fc.double({ min: 0, max: 0.95, noNaN: true });
const porosity = fc.double({ min: 0.9, max: 1.15, noNaN: true });
/** Water that wetting added to what the room gives, g per g: more than a trace. */
const wetting = fc.double({ min: 0.021, max: 1.6, noNaN: true });

describe('the measure of dryness of a place', () => {
  it('is what hair holds in air of 72 %, and never above the glass transition', () => {
    const set = { start: 0.8, porosityFactor: 1 };
    expect(dryMoisture({ ...set, roomHumidity: 0.45 })).toBeCloseTo(equilibriumRegain(0.72, 1), 12);
    expect(dryMoisture({ ...set, roomHumidity: 0.95 })).toBe(0.22);
  });

  it('never lets hair that was wetted start dry, and rises with the wetting by less than it', () => {
    fc.assert(
      fc.property(share, porosity, wetting, (roomHumidity, porosityFactor, water) => {
        const rest = restingRegain(roomHumidity, porosityFactor);
        const at = (start: number) => dryMoisture({ start, roomHumidity, porosityFactor });
        expect(at(rest + water)).toBeLessThan(rest + water);
        const more = at(rest + water + 0.05) - at(rest + water);
        expect(more).toBeGreaterThanOrEqual(0);
        expect(more).toBeLessThan(0.05);
      }),
    );
  });

  it('is the same at each step; all-hot drying takes it no looser for a damp room, and never makes dry hair damp', () => {
    fc.assert(
      fc.property(share, porosity, wetting, share, (roomHumidity, porosityFactor, water, dried) => {
        const rest = restingRegain(roomHumidity, porosityFactor);
        const place = { start: rest + water, roomHumidity, porosityFactor };
        const inRoom = dryMoisture(place);
        const atHotStart = place.start - dried * water;
        const hot = dryMoistureInHotAir(place, atHotStart);
        expect(hot).toBeLessThanOrEqual(inRoom);
        expect(hot).toBeGreaterThanOrEqual(Math.min(inRoom, dryMoisture({ ...place, roomHumidity: 0.45 })));
        if (atHotStart <= inRoom) expect(hot).toBe(inRoom);
      }),
    );
  });
});

describe('blotting', () => {
  it('takes two fifths of the free water above what no towel reaches, product and all', () => {
    const wet = saturatedRegain(1) + 0.6;
    expect(blotted(wet, 1)).toBeCloseTo(wet - 0.4 * 0.5, 12);
    expect(blotted(saturatedRegain(1) + 0.1, 1)).toBe(saturatedRegain(1) + 0.1);
    expect(blotted(0.15, 1)).toBe(0.15);
  });

  it('three presses bring dripping hair about to damp (overnight §4)', () => {
    const dripping = saturatedRegain(1) + 1;
    const pressed = [1, 2, 3].reduce((moisture) => blotted(moisture, 1), dripping);
    expect(pressed - saturatedRegain(1)).toBeCloseTo(0.29, 2);
  });

  it('of the wetter of two heads leaves the wetter', () => {
    fc.assert(
      fc.property(porosity, wetting, wetting, (porosityFactor, a, b) => {
        const [less, more] = [Math.min(a, b), Math.max(a, b)];
        expect(blotted(more, porosityFactor)).toBeGreaterThanOrEqual(blotted(less, porosityFactor));
      }),
    );
  });
});
