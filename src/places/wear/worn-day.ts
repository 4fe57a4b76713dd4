import { dateInZone } from '@/ui/format';

const DAY_MS = 86_400_000;

/** Day of wear that a moment falls on, 0 being the takedown day, by the calendar of a time zone. */
export const wornDay = (takenDownAtMs: number, atMs: number, timeZone: string): number =>
  Math.round(
    (Date.parse(dateInZone(atMs, timeZone)) - Date.parse(dateInZone(takenDownAtMs, timeZone))) / DAY_MS,
  );

/** Calendar date of a day of wear in a time zone, "2027-03-13". */
export const dateOfDay = (takenDownAtMs: number, day: number, timeZone: string): string =>
  new Date(Date.parse(dateInZone(takenDownAtMs, timeZone)) + day * DAY_MS).toISOString().slice(0, 10);
