import ICAL from 'ical.js';
import type { CalendarEvent } from './db/rows/care';

/** Whether an event is of a day, or of a moment. */
const isDay = (date: string) => /^\d{4}-\d{2}-\d{2}$/.test(date);

const dayAfter = (date: string) => new Date(Date.parse(date) + 86_400_000).toISOString().slice(0, 10);
const utc = (ms: number) => ICAL.Time.fromJSDate(new Date(Math.floor(ms / 1000) * 1000), true);

/** How long a booking stands in a calendar: it is when it has to be ready. */
const BOOKING_MS = 15 * 60_000;

/**
 * Events as a calendar reads them.
 *
 * @source RFC 5545; lines are folded and letters escaped by the library
 */
export function calendarText(name: string, events: readonly CalendarEvent[]): string {
  const calendar = new ICAL.Component(['vcalendar', [], []]);
  calendar.updatePropertyWithValue('prodid', '-//Keen Spiral//Care//EN');
  calendar.updatePropertyWithValue('version', '2.0');
  calendar.updatePropertyWithValue('method', 'PUBLISH');
  calendar.updatePropertyWithValue('x-wr-calname', name);
  for (const { uid, date, summary, sequence, isCancelled, changedAtMs } of events) {
    const event = new ICAL.Component('vevent');
    event.updatePropertyWithValue('uid', uid);
    event.updatePropertyWithValue('dtstamp', utc(changedAtMs));
    event.updatePropertyWithValue('sequence', sequence);
    event.updatePropertyWithValue('summary', summary);
    event.updatePropertyWithValue('status', isCancelled ? 'CANCELLED' : 'CONFIRMED');
    if (isDay(date)) {
      event.updatePropertyWithValue('dtstart', ICAL.Time.fromDateString(date));
      event.updatePropertyWithValue('dtend', ICAL.Time.fromDateString(dayAfter(date)));
      // A day of care takes nobody's time.
      event.updatePropertyWithValue('transp', 'TRANSPARENT');
    } else {
      event.updatePropertyWithValue('dtstart', utc(Date.parse(date)));
      event.updatePropertyWithValue('dtend', utc(Date.parse(date) + BOOKING_MS));
    }
    calendar.addSubcomponent(event);
  }
  return `${calendar.toString()}\r\n`;
}
