import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { roomNow, type RoomReading } from './room-sensor';
import { simulatedReading, TELLS_EVERY_MS } from './simulated-room-sensor';

const air = { temperatureC: 23.4, relativeHumidity: 0.52 };
const NOW = Date.UTC(2026, 10, 27, 16);
const heard = (seed: number, minutes: number) =>
  Array.from({ length: Math.floor((minutes * 60_000) / TELLS_EVERY_MS) }, (_, i) =>
    simulatedReading(seed, air, NOW - i * TELLS_EVERY_MS),
  ).filter((reading): reading is RoomReading => reading !== null);

describe('a room sensor that is never quite right, and not always there', () => {
  it('is the room it stands in over ten minutes, though each reading is off and some are missed', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 10_000 }), (seed) => {
        const readings = heard(seed, 10);
        expect(readings.length).toBeLessThan(120);
        const room = roomNow(readings, NOW)!;
        expect(Math.abs(room.temperatureC - air.temperatureC)).toBeLessThan(0.3);
        expect(Math.abs(room.relativeHumidity - air.relativeHumidity)).toBeLessThan(0.02);
      }),
    );
    expect(new Set(heard(1, 10).map(({ temperatureC }) => temperatureC)).size).toBeGreaterThan(3);
  });

  it('one odd reading pulls nothing', () => {
    const readings = heard(7, 10);
    const odd = [...readings, { temperatureC: 41, relativeHumidity: 0.9, atMs: NOW }];
    expect(roomNow(odd, NOW)!.temperatureC).toBeCloseTo(roomNow(readings, NOW)!.temperatureC, 0);
  });

  it('says nothing where it was not heard of late', () => {
    expect(roomNow([], NOW)).toBeNull();
    expect(roomNow(heard(3, 10), NOW + 20 * 60_000)).toBeNull();
  });
});
