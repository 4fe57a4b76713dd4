import { NIGHT_CARE_IDS } from '../coefficients/night-care';
import { dayEntry, type DayEntry } from '../diary/day-entry';
import { fieldErrors } from '../formats/field-error';
import { HALVES, type Half } from '../hair/half';
import { ZONES } from '../hair/zone';
import { RATING_IDS } from '../wear/rating-scales';
import { numberOf, wordsOf, type ReadRow, type TableRow } from './cells';

/** One day of wear as a table has it. */
export interface WearTableRow {
  /** Id of the set; empty where head and takedown name it. */
  readonly set: string;
  readonly head: string;
  /** YYYY-MM-DD. */
  readonly takenDown: string;
  readonly date: string;
  readonly half: Half;
  readonly ratedBy: string;
  readonly entry: DayEntry;
}

const VISIBLE = ZONES.map((zone) => [zone, `visible ${zone} cm`] as const);

/** Columns of a table of days of wear, in the order they are written. */
export const WEAR_COLUMNS = [
  'set',
  'head',
  'taken down',
  'date',
  'half',
  ...RATING_IDS,
  'night',
  'deeds',
  'redone as',
  'redone count',
  'worn',
  'temperature C',
  'dew point C',
  ...VISIBLE.map(([, name]) => name),
  'frizz at',
  'lost shape at',
  'dry at',
  'itch at',
  'note',
  'rated by',
] as const;

const MARKS = { frizz: 'frizz at', 'lost-shape': 'lost shape at', dry: 'dry at', itch: 'itch at' } as const;
const written = (value: number | null | undefined) =>
  value === null || value === undefined ? '' : String(value);

/** A day as the cells of a row. */
export function writeWearRow(row: WearTableRow): string[] {
  const { ratings, night, done, weather, visibleCm, marks, note } = row.entry;
  return [
    row.set,
    row.head,
    row.takenDown,
    row.date,
    row.half,
    ...RATING_IDS.map((id) => written(ratings[id])),
    night ?? '',
    done.deeds.join('; '),
    done.redone?.as ?? '',
    written(done.redone?.count),
    done.worn ?? '',
    written(weather?.temperatureC),
    written(weather?.dewPointC),
    ...ZONES.map((zone) => written(visibleCm[zone])),
    ...Object.keys(MARKS).map((mark) => (marks[mark as keyof typeof MARKS] ?? []).join('; ')),
    note,
    row.ratedBy,
  ];
}

const DATE = /^\d{4}-\d{2}-\d{2}$/;

/** A row read back, or what is wrong with it: the first thing. */
export function readWearRow(row: TableRow): ReadRow<WearTableRow> {
  const cell = (name: string) => (row[name] ?? '').trim();
  const refuse = (message: string) => ({ ok: false as const, message });
  const date = cell('date');
  if (!DATE.test(date)) return refuse(`date “${date}”: write it as 2027-03-13`);
  const takenDown = cell('taken down');
  if (cell('set') === '' && (cell('head') === '' || !DATE.test(takenDown)))
    return refuse('name the set: by its id, or by head and the day it was taken down, as 2027-03-13');
  const half = HALVES.find((own) => own === (cell('half') || 'whole'));
  if (!half) return refuse(`half “${cell('half')}”: ${HALVES.join(', ')}`);
  const numbers: Record<string, number> = {};
  for (const name of [
    ...RATING_IDS,
    'redone count',
    'temperature C',
    'dew point C',
    ...VISIBLE.map(([, own]) => own),
  ]) {
    const value = numberOf(row[name] ?? '');
    if (Number.isNaN(value)) return refuse(`${name} “${cell(name)}” is no number`);
    if (value !== null) numbers[name] = value;
  }
  const night = cell('night');
  if (night !== '' && !NIGHT_CARE_IDS.some((id) => id === night))
    return refuse(`night “${night}”: one of ${NIGHT_CARE_IDS.join(', ')}`);
  const [temperatureC, dewPointC] = [numbers['temperature C'], numbers['dew point C']];
  if ((temperatureC === undefined) !== (dewPointC === undefined))
    return refuse('weather takes both temperature and dew point, or neither');
  const read = dayEntry.safeParse({
    ratings: Object.fromEntries(
      RATING_IDS.flatMap((id) => (numbers[id] === undefined ? [] : [[id, numbers[id]]])),
    ),
    marks: Object.fromEntries(
      Object.entries(MARKS).flatMap(([mark, name]) => {
        const sections = wordsOf(row[name] ?? '').map(Number);
        return sections.length > 0 ? [[mark, sections]] : [];
      }),
    ),
    night: night === '' ? null : night,
    done: {
      deeds: wordsOf(row.deeds ?? ''),
      redone: cell('redone as') === '' ? null : { as: cell('redone as'), count: numbers['redone count'] },
      worn: cell('worn') === '' ? null : cell('worn'),
    },
    weather: temperatureC === undefined ? null : { temperatureC, dewPointC },
    visibleCm: Object.fromEntries(
      VISIBLE.flatMap(([zone, name]) => (numbers[name] === undefined ? [] : [[zone, numbers[name]]])),
    ),
    note: row.note ?? '',
  });
  if (!read.success) {
    const [first] = fieldErrors(read.error);
    return refuse(
      first ? `${first.path.replace(/^ratings\./, '')}: ${first.message}` : 'this row cannot be read',
    );
  }
  const ratedBy = cell('rated by').slice(0, 60);
  return {
    ok: true,
    value: { set: cell('set'), head: cell('head'), takenDown, date, half, ratedBy, entry: read.data },
  };
}
