import { seededRng } from '../random/rng';
import { normalQuantile } from '../stats/normal';
import { clamp } from '../units/clamp';
import type { RoomAir, RoomReading } from './room-sensor';

/** A cheap thermometer and hygrometer (assumed): they tell so often, so exactly, and miss some. */
export const TELLS_EVERY_MS = 5_000;
const NOISE_C = 0.2;
const NOISE_HUMIDITY = 0.015;
const RESOLUTION_C = 0.1;
const RESOLUTION_HUMIDITY = 0.01;
const MISSED = 0.15;

const toStep = (value: number, step: number) => Math.round(value / step) * step;

/**
 * What a simulated sensor tells at a moment, with its noise; null where it misses.
 *
 * @param air of the room as it is
 */
export function simulatedReading(seed: number, air: RoomAir, atMs: number): RoomReading | null {
  const chance = seededRng(seed, Math.floor(atMs / TELLS_EVERY_MS));
  if (chance() < MISSED) return null;
  const noise = (sd: number) => sd * normalQuantile(clamp(chance(), 1e-4, 1 - 1e-4));
  return {
    temperatureC: toStep(air.temperatureC + noise(NOISE_C), RESOLUTION_C),
    relativeHumidity: toStep(
      clamp(air.relativeHumidity + noise(NOISE_HUMIDITY), 0.02, 0.99),
      RESOLUTION_HUMIDITY,
    ),
    atMs,
  };
}
