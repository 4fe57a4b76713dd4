import { Temporal } from 'temporal-polyfill';

/**
 * The moment of a time as a brief writes it, with an offset or on the clock of a time zone; null when there is none such.
 *
 * @example localMs('2027-03-13T09:00', 'Europe/Lisbon') === Date.UTC(2027, 2, 13, 9) // => true
 */
export function localMs(text: string, timeZone: string): number | null {
  try {
    return /(Z|[+-]\d{2}:\d{2})$/.test(text)
      ? Temporal.Instant.from(text).epochMilliseconds
      : Temporal.PlainDateTime.from(text).toZonedDateTime(timeZone).epochMilliseconds;
  } catch {
    return null;
  }
}

/** The wall-clock time of an instant in a zone, as a brief keeps it: "2027-03-13T09:00". */
export const localTimeOf = (ms: number, timeZone: string): string =>
  Temporal.Instant.fromEpochMilliseconds(Math.floor(ms))
    .toZonedDateTimeISO(timeZone)
    .toPlainDateTime()
    .toString({ smallestUnit: 'minute' });
