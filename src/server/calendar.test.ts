import fc from 'fast-check';
import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import { calendarText } from './calendar';
import type { CalendarEvent } from './db/rows/care';

const event = (over: Partial<CalendarEvent> = {}): CalendarEvent => ({
  uid: 'wash-h1@keen-spiral',
  date: '2026-12-01',
  summary: 'Amara: wash',
  sequence: 0,
  isCancelled: false,
  changedAtMs: Date.UTC(2026, 10, 27, 12),
  ...over,
});
const read = (text: string) =>
  new ICAL.Component(ICAL.parse(text) as never)
    .getAllSubcomponents('vevent')
    .map((own) => new ICAL.Event(own));

describe('a calendar', () => {
  it('says again what it was given, whatever letters are in it; no line is longer than 75 octets (RFC 5545, 3.1)', () => {
    fc.assert(
      fc.property(
        fc.string({ unit: 'grapheme', minLength: 1, maxLength: 160 }),
        fc.nat({ max: 99 }),
        (words, sequence) => {
          const summary = words.replace(/[\p{Cc}\u2028\u2029]/gu, ' ').trim() || 'x';
          const text = calendarText('Fernhollow, Studio', [event({ summary, sequence })]);
          for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
          expect(text.replaceAll('\r\n', '')).not.toContain('\n');
          const [own] = read(text);
          expect(own!.summary).toBe(summary);
          expect(own!.sequence).toBe(sequence);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('a day of care is a whole day and takes nobody’s time, a booking a moment in UTC', () => {
    const text = calendarText('x', [event(), event({ uid: 'plan-1', date: '2026-11-30T08:00:00.000Z' })]);
    expect(text).toContain('DTSTART;VALUE=DATE:20261201');
    expect(text).toContain('DTEND;VALUE=DATE:20261202');
    expect(text).toContain('DTSTART:20261130T080000Z');
    expect(text.match(/TRANSP:TRANSPARENT/g)).toHaveLength(1);
  });

  it('what fell away is called off, not left out', () => {
    const text = calendarText('x', [event({ isCancelled: true, sequence: 3 })]);
    expect(text).toContain('STATUS:CANCELLED');
    expect(text).toContain('SEQUENCE:3');
    expect(text).toContain('UID:wash-h1@keen-spiral');
  });
});
