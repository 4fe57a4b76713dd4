import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { NIGHT_CARE_IDS } from '../coefficients/night-care';
import { dayEntry } from '../diary/day-entry';
import { DAY_DEED_IDS, WEAR_MARK_IDS, WORN_WAY_IDS } from '../diary/day-words';
import { CHECK_FEELS } from '../drying/dryness-checks';
import { LEVELS } from '../drying/nodes';
import { HALVES } from '../hair/half';
import { ZONES } from '../hair/zone';
import { TECHNIQUE_IDS } from '../techniques';
import { END_REASON_IDS } from '../wear/end-reasons';
import { RATING_IDS } from '../wear/rating-scales';
import { columnsOf, guarded, numberOf, rowOf, unguarded } from './cells';
import { readCheckRow, writeCheckRow } from './checks-table';
import { readSetRow, writeSetRow } from './sets-table';
import { tables } from './table';
import { readWearRow, writeWearRow, type WearTableRow } from './wear-table';

/** Out through a library of comma-separated files and in again, as a spreadsheet would hand it over. */
function there<T>(
  columns: readonly string[],
  cells: readonly string[],
  read: (row: Record<string, string>) => T,
): T {
  const text = `\uFEFF${Papa.unparse([[...columns], cells.map(guarded)], { newline: '\r\n' })}`;
  const [header, row] = Papa.parse<string[]>(text).data;
  return read(rowOf(row!, columnsOf(header!, columns)));
}

const words = fc.string({ unit: 'grapheme', maxLength: 60 }).map((text) => text.trim());
const wearRow: fc.Arbitrary<WearTableRow> = fc
  .record({
    set: fc.constantFrom('', 'set-1'),
    half: fc.constantFrom(...HALVES),
    ratedBy: fc.constantFrom('', 'Keziah'),
    ratings: fc.dictionary(
      fc.constantFrom(...RATING_IDS),
      fc.integer({ min: 0, max: 20 }).map((n) => n / 2),
    ),
    marks: fc.dictionary(
      fc.constantFrom(...WEAR_MARK_IDS),
      fc.array(fc.integer({ min: 1, max: 90 }), { minLength: 1, maxLength: 5 }),
    ),
    night: fc.option(fc.constantFrom(...NIGHT_CARE_IDS)),
    deeds: fc.subarray([...DAY_DEED_IDS]),
    redone: fc.option(
      fc.record({ as: fc.constantFrom('twists', 'knots'), count: fc.integer({ min: 1, max: 600 }) }),
    ),
    worn: fc.option(fc.constantFrom(...WORN_WAY_IDS)),
    weather: fc.option(
      fc.record({
        temperatureC: fc.integer({ min: -20, max: 40 }),
        dewPointC: fc.integer({ min: -40, max: -21 }),
      }),
    ),
    visibleCm: fc.dictionary(
      fc.constantFrom(...ZONES),
      fc.integer({ min: 2, max: 80 }).map((n) => n / 2 + 1),
    ),
    note: words,
  })
  .map(({ set, half, ratedBy, deeds, redone, worn, ...entry }) => ({
    set,
    head: 'Amara',
    takenDown: '2027-03-13',
    date: '2027-03-15',
    half,
    ratedBy,
    entry: dayEntry.parse({ ...entry, done: { deeds, redone, worn } }),
  }));

describe('tables', () => {
  it('a day comes back as it went out, whatever is in it', () => {
    fc.assert(
      fc.property(wearRow, (row) => {
        expect(there(tables['wear-days'].columns, writeWearRow(row), readWearRow)).toEqual({
          ok: true,
          value: row,
        });
      }),
    );
  });

  it('so do sets and checks', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...TECHNIQUE_IDS),
        fc.integer({ min: 2, max: 150 }),
        fc.option(fc.integer({ min: 0, max: 90 })),
        fc.constantFrom(...END_REASON_IDS),
        fc.option(fc.boolean()),
        words,
        (technique, sections, lastGoodDay, reason, wouldHaveGoneOn, title) => {
          const row = {
            set: 's1', head: 'Amara', title, technique, sections, begun: '2027-03-13T18:00', allIn: '2027-03-13T19:10',
            takenDown: '2027-03-14T08:00', lastGoodDay, reason: lastGoodDay === null ? null : reason, wouldHaveGoneOn, note: '',
          }; // prettier-ignore
          expect(there(tables.sets.columns, writeSetRow(row), readSetRow)).toEqual({ ok: true, value: row });
        },
      ),
    );
    fc.assert(
      fc.property(
        fc.constantFrom(...LEVELS),
        fc.constantFrom(...CHECK_FEELS),
        fc.integer({ min: 1, max: 150 }),
        (level, feel, section) => {
          const row = { set: 's1', head: 'Amara', at: '2027-03-13T23:00', section, level, feel };
          expect(there(tables.checks.columns, writeCheckRow(row), readCheckRow)).toEqual({
            ok: true,
            value: row,
          });
        },
      ),
    );
  });

  it('no cell begins a formula, and none is lost by that (OWASP, “CSV injection”)', () => {
    fc.assert(
      fc.property(
        fc.string({ unit: 'grapheme' }),
        fc.constantFrom('', '=', '+', '-', '@', "'=", "''-", '\t', '\r'),
        (text, head) => {
          const cell = guarded(head + text);
          if (!/^-?\d+(\.\d+)?$/.test(cell)) expect(cell).not.toMatch(/^[=+\-@\t\r]/);
          expect(unguarded(cell)).toBe(head + text);
        },
      ),
    );
    expect(guarded('=HYPERLINK("http://x")')).toBe('\'=HYPERLINK("http://x")');
    expect(guarded('-4.5')).toBe('-4.5');
  });

  it('columns are found by name, however they are written and in any order; what is not known is passed over', () => {
    const columns = columnsOf(
      ['\uFEFFNote', 'Rated_By', 'DATE', 'favourite colour'],
      tables['wear-days'].columns,
    );
    expect(Object.fromEntries(columns)).toEqual({ note: 0, 'rated by': 1, date: 2 });
    expect(rowOf(['n'], columns)).toEqual({ note: 'n', 'rated by': '', date: '' });
  });

  it.each([
    [{ date: '13/03/2027' }, /date “13\/03\/2027”: write it as 2027-03-13/],
    [{ set: '', head: '' }, /name the set/],
    [{ half: 'top' }, /half “top”: whole, left, right/],
    [{ definition: '11' }, /definition: a rating must be 0 to 10/],
    [{ definition: '7.3' }, /definition: a rating: whole or half points/],
    [{ definition: 'good' }, /definition “good” is no number/],
    [{ night: 'a hat' }, /night “a hat”: one of nothing/],
    [{ 'temperature C': '20' }, /both temperature and dew point/],
    [{ 'temperature C': '10', 'dew point C': '12' }, /never above the temperature/],
    [{ deeds: 'flew' }, /deeds/],
    [{ note: 'x'.repeat(501) }, /at most 500/],
  ])('says of a day what to change: %o', (over, said) => {
    const row = { set: 's1', date: '2027-03-13', definition: '7', ...over };
    expect(readWearRow(row)).toMatchObject({ ok: false, message: expect.stringMatching(said) as string });
  });

  it.each([
    [{ technique: 'perm' }, /technique “perm”: one of/],
    [{ sections: '7.5' }, /sections “7.5”: a whole number/],
    [{ begun: '2027-03-13' }, /begun “2027-03-13”/],
    [{ head: '' }, /name the head/],
    [{ 'last good day': '3' }, /takes its reason/],
    [{ 'last good day': '-1', reason: 'frizz' }, /from 0 to 90/],
    [{ reason: 'bored' }, /reason “bored”/],
    [{ 'another day': 'perhaps' }, /another day/],
  ])('says of a set what to change: %o', (over, said) => {
    const row = { head: 'Amara', technique: 'two-strand-twist', sections: '18', begun: '2027-03-13 18:00', 'all in': '2027-03-13 19:00', 'taken down': '2027-03-14 08:00', ...over }; // prettier-ignore
    expect(readSetRow(row)).toMatchObject({ ok: false, message: expect.stringMatching(said) as string });
  });

  it('numbers take a point or a comma, and nothing else', () => {
    expect([numberOf(' 7,5 '), numberOf('7.5'), numberOf(''), numberOf('-2')]).toEqual([7.5, 7.5, null, -2]);
    for (const none of ['7.', '1e3', '0x10', 'seven', '7 5', 'Infinity']) expect(numberOf(none)).toBeNaN();
  });
});
