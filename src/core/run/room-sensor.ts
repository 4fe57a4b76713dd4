import { z } from 'zod';
import { within } from '../formats/field';
import { ROOM_RANGES } from '../formats/ranges';

/** The air of a room, as a thermometer and a hygrometer have it. */
export const roomAir = z.object({
  temperatureC: within('room temperature', ROOM_RANGES.temperatureC, '°C'),
  /** 0 to 1. */
  relativeHumidity: within('room humidity (a share, not a percentage)', ROOM_RANGES.relativeHumidity),
});
export type RoomAir = z.output<typeof roomAir>;

/** What a room sensor says at one moment. */
export interface RoomReading extends RoomAir {
  readonly atMs: number;
}

/**
 * A room sensor as the product knows it: it only tells, and not always. A real one is added by another function of this
 * shape.
 *
 * @param onReading called for every reading until stopped
 * @returns stops listening
 */
export type RoomSensor = (onReading: (reading: RoomReading) => void) => () => void;

/** Readings of so long are one: a door that opens changes nothing. */
const WINDOW_MS = 10 * 60_000;
/** Fewer than these are too few to tell. */
const LEAST_READINGS = 3;

const median = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
};

/**
 * The air of the room by what a sensor told of late: medians, so that one odd reading pulls nothing.
 *
 * @param readings in any order
 * @returns null where too little was heard in the last ten minutes
 */
export function roomNow(readings: readonly RoomReading[], nowMs: number): RoomAir | null {
  const recent = readings.filter(({ atMs }) => atMs > nowMs - WINDOW_MS && atMs <= nowMs);
  if (recent.length < LEAST_READINGS) return null;
  return {
    temperatureC: median(recent.map(({ temperatureC }) => temperatureC)),
    relativeHumidity: median(recent.map(({ relativeHumidity }) => relativeHumidity)),
  };
}
