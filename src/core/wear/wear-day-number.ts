import { Temporal } from 'temporal-polyfill';

/**
 * Days from the takedown to a calendar date, by the wall calendar of a time zone: the takedown day is 0.
 *
 * @param date ISO calendar date, "2027-03-13"
 * @returns whole days, negative before the takedown; null when the date does not exist
 * @example wearDayNumber('2027-03-15', Date.UTC(2027, 2, 13, 8), 'UTC') // => 2
 */
export function wearDayNumber(date: string, takenDownAtMs: number, timeZone: string): number | null {
  try {
    const worn = Temporal.PlainDate.from(date, { overflow: 'reject' });
    const takenDown = Temporal.Instant.fromEpochMilliseconds(takenDownAtMs)
      .toZonedDateTimeISO(timeZone)
      .toPlainDate();
    return takenDown.until(worn, { largestUnit: 'days' }).days;
  } catch {
    return null;
  }
}

/** Day of wear that a moment falls on, 0 being the takedown day, by the calendar of a time zone. */
export function dayOfWear(takenDownAtMs: number, atMs: number, timeZone: string): number {
  const dateOf = (ms: number) =>
    Temporal.Instant.fromEpochMilliseconds(ms).toZonedDateTimeISO(timeZone).toPlainDate();
  return dateOf(takenDownAtMs).until(dateOf(atMs), { largestUnit: 'days' }).days;
}
