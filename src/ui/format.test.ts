import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { IMPERIAL, METRIC, UTC_CLOCK, type Clock } from '@/core/formats/display';
import { MINUTE_MS } from '@/core/units/time';
import { localTimeOf } from '@/core/schedule/local-time';
import * as format from './format';
import { askedList } from './shell/list-asked';

const LATE = Date.UTC(2027, 2, 12, 21, 43);
const EARLY = Date.UTC(2027, 2, 13, 8, 12);
const twelve: Clock = { ...UTC_CLOCK, hours: 12, dateOrder: 'month-first' };
const yearFirst: Clock = { ...UTC_CLOCK, dateOrder: 'year-first' };
const auckland: Clock = { ...UTC_CLOCK, timeZone: 'Pacific/Auckland' };

describe('moments as they are shown', () => {
  it('two ends say their day where it is not the same', () => {
    expect(format.formatEnds(LATE, LATE + 40 * MINUTE_MS, UTC_CLOCK)).toBe('21:45 and 22:25');
    expect(format.formatEnds(LATE, EARLY, UTC_CLOCK)).toBe('Fri 12 Mar, 21:45 and Sat 13 Mar, 08:10');
    expect(format.formatEnds(LATE, EARLY, UTC_CLOCK, 'to')).toBe('Fri 12 Mar, 21:45 to Sat 13 Mar, 08:10');
    // The same two instants are one day on the other side of the world.
    expect(format.formatEnds(LATE, EARLY, auckland)).toBe('10:45 and 21:10');
    expect(format.formatExactEnds(LATE, LATE + MINUTE_MS, UTC_CLOCK)).toBe('21:43 and 21:44');
  });

  it('the same clock time a day apart is two days', () => {
    expect(format.formatEnds(EARLY, EARLY + 24 * 60 * MINUTE_MS, UTC_CLOCK)).toBe(
      'Sat 13 Mar, 08:10 and Sun 14 Mar, 08:10',
    );
  });

  it('rounding over midnight takes the day along', () => {
    const almost = Date.UTC(2027, 2, 12, 23, 58);
    expect(format.formatAboutMoment(almost, UTC_CLOCK)).toBe('Sat 13 Mar, 00:00');
    expect(`${format.formatAboutDay(almost, UTC_CLOCK)} ${format.formatAboutClock(almost, UTC_CLOCK)}`).toBe(
      'Sat 13 Mar 00:00',
    );
    expect(format.formatEnds(LATE, almost, UTC_CLOCK)).toBe('Fri 12 Mar, 21:45 and Sat 13 Mar, 00:00');
    expect(format.formatAboutWhen(almost, UTC_CLOCK, LATE)).toBe('Sat 13 Mar, 00:00');
  });

  it('today goes by its time alone, any other day says which', () => {
    expect(format.formatWhen(LATE, UTC_CLOCK, LATE - 3_600_000)).toBe('21:43');
    expect(format.formatWhen(EARLY, UTC_CLOCK, LATE)).toBe('Sat 13 Mar, 08:12');
    expect(format.formatWhen(EARLY, auckland, LATE)).toBe('21:12');
  });

  it('in the words that a studio chose', () => {
    expect(format.formatMoment(LATE, twelve)).toBe('Fri Mar 12, 9:43 pm');
    expect(format.formatClock(Date.UTC(2027, 2, 12, 0, 5), twelve)).toBe('12:05 am');
    expect(format.formatClock(Date.UTC(2027, 2, 12, 12, 5), twelve)).toBe('12:05 pm');
    expect(format.formatClock(Date.UTC(2027, 2, 12, 0, 5), UTC_CLOCK)).toBe('00:05');
    expect(format.formatMoment(LATE, yearFirst)).toBe('Fri 03-12, 21:43');
    expect(format.formatCalendarDay('2027-03-03', twelve)).toBe('Mar 3, 2027');
    expect(format.formatCalendarDay('2027-03-03', UTC_CLOCK)).toBe('3 Mar 2027');
    expect(format.formatCalendarDay('2027-03-03', yearFirst)).toBe('2027-03-03');
  });

  it('a moment and its local time name the same minute, in any zone and at any time', () => {
    const zones = ['UTC', 'Europe/Lisbon', 'America/St_Johns', 'Pacific/Chatham', 'Asia/Kolkata'];
    fc.assert(
      fc.property(
        fc.integer({ min: 1_600_000_000, max: 2_200_000_000 }),
        fc.constantFrom(...zones),
        (seconds, timeZone) => {
          const own = { ...UTC_CLOCK, timeZone };
          const local = localTimeOf(seconds * 1000, timeZone);
          expect(format.formatLocalTime(local, own)).toBe(format.formatMoment(seconds * 1000, own));
          expect(format.dateInZone(seconds * 1000, timeZone)).toBe(local.slice(0, 10));
        },
      ),
    );
  });
});

describe('what stands in a field of the browser', () => {
  it('is said in the words of the studio, once it is whole', () => {
    expect(format.pickedWords('2027-03-13T21:43', twelve)).toBe('Sat Mar 13, 9:43 pm');
    expect(format.pickedWords('2027-03-13', UTC_CLOCK)).toBe('Sat 13 Mar');
    expect(format.pickedWords('2027-03-13', auckland)).toBe('Sat 13 Mar');
    for (const partial of ['', '2027-02-', 'x']) expect(format.pickedWords(partial, UTC_CLOCK)).toBeNull();
  });
});

describe('inches as a tape has them', () => {
  it('to a sixteenth where measured, to a quarter where forecast, never as a nought', () => {
    expect(format.formatMeasured(25.4, IMPERIAL)).toBe('10 in');
    expect(format.formatMeasured(24, IMPERIAL)).toBe('9 7/16 in');
    expect(format.formatMeasured(1.27, IMPERIAL)).toBe('½ in');
    expect(format.formatMeasured(24, METRIC)).toBe('24 cm');
    expect(format.formatLength(24, IMPERIAL)).toBe('9½ in');
    expect(format.formatDiameter(9.525, IMPERIAL)).toBe('⅜ in');
    expect(format.formatDiameter(0.3, IMPERIAL)).toBe('1/16 in');
    expect(format.formatArea(36, METRIC)).toBe('36 cm²');
    expect(format.formatArea(36, IMPERIAL)).toBe('5.6 sq in');
  });

  it('what is typed back is within half a sixteenth of what was measured', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 120, noNaN: true }), (cm) => {
        const words = format.inchWords(cm);
        const [whole, fraction] = words.includes(' ')
          ? words.split(' ')
          : /[⅛¼⅜½⅝¾⅞/]/.test(words)
            ? [/^\d+(?=[⅛¼⅜½⅝¾⅞])/.exec(words)?.[0] ?? '0', words.replace(/^\d+(?=[⅛¼⅜½⅝¾⅞])/, '')]
            : [words, '0/1'];
        const [over, under] = fraction!.normalize('NFKD').replace('⁄', '/').split('/').map(Number);
        const inches = Number(whole) + over! / under!;
        expect(Math.abs(inches - cm / 2.54)).toBeLessThanOrEqual(1 / 32 + 1e-9);
      }),
    );
  });
});

describe('counts, money and what hands measure with', () => {
  it('one is one', () => {
    expect([0.6, 1.4, 1.6].map(format.formatDays)).toEqual(['1 day', '1 day', '2 days']);
    expect(format.formatHands(1, ['pump', 'pumps'])).toBe('1 pump');
    expect(format.formatHands(0.2, ['pump', 'pumps'])).toBe('½ pump');
    expect(format.formatHands(3.4, ['pump', 'pumps'])).toBe('3½ pumps');
    expect(format.formatHands(12.4, ['pump', 'pumps'])).toBe('12 pumps');
    // Nobody portions out a fifth of a pump: one does for five sections.
    expect(format.formatPortion(0.2, ['pump', 'pumps'])).toBe('1 pump for 5');
    expect(format.formatPortion(0.011, ['teaspoon', 'teaspoons'])).toBe('a touch');
    expect(format.formatPortion(0.45, ['pump', 'pumps'])).toBe('½ pump');
    expect(format.formatPortion(1.1, ['dime', 'dimes'])).toBe('1 dime');
  });

  it('minutes above ninety are hours', () => {
    expect([0.2, 20, 21, 90, 91, 93, 120].map(format.formatMinutes)).toEqual([
      '1 min',
      '20 min',
      '20 min',
      '90 min',
      '90 min',
      '1 h 35',
      '2 h',
    ]);
    expect(format.formatStopwatch(2.999)).toBe('3:00');
  });

  it('a short figure says no more than a long one', () => {
    expect(format.formatChanceShort(0.001)).toBe('<1 %');
    expect(format.formatChanceShort(0.999)).toBe('>99 %');
    expect(format.formatChanceShort(0.5)).toBe(format.formatChance(0.5));
  });
});

describe('the address of a list', () => {
  const read = (params: Record<string, string | string[]>) =>
    askedList(params, ['present', 'aside'], ['name', 'newest']);

  it('is read as it stands', () => {
    expect(read({ list: 'aside', order: 'newest', q: ' amara ', page: '3' })).toEqual({
      list: 'aside',
      order: 'newest',
      search: 'amara',
      page: 3,
    });
  });

  it('that is not understood is as usual', () => {
    const usual = { list: 'present', order: 'name', search: '', page: 1 };
    expect(read({})).toEqual(usual);
    for (const page of ['0', '-1', '1.5', 'x', '1e9', '', '9007199254740993'])
      expect(read({ page })).toEqual(usual);
    expect(read({ list: '__proto__', order: 'constructor', q: 'x'.repeat(81), page: ['2', '3'] })).toEqual(
      usual,
    );
  });
});
