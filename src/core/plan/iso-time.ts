import { Temporal } from 'temporal-polyfill';

/** ISO 8601 time with offset, to the minute's second, of an instant in a zone or offset. */
export function isoWithOffset(epochMs: number, timeZone: string): string {
  return Temporal.Instant.fromEpochMilliseconds(Math.round(epochMs / 1000) * 1000)
    .toZonedDateTimeISO(timeZone)
    .toString({ timeZoneName: 'never', smallestUnit: 'second' });
}
