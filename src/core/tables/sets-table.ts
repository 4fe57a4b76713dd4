import { MAX_SECTIONS, MIN_SECTIONS } from '../parting/generate';
import { TECHNIQUE_IDS, type TechniqueId } from '../techniques';
import { END_REASON_IDS, type EndReasonId } from '../wear/end-reasons';
import { numberOf, type ReadRow, type TableRow } from './cells';

/** One set as a table has it. */
export interface SetTableRow {
  /** Id of the set; empty for one that is new here. */
  readonly set: string;
  readonly head: string;
  readonly title: string;
  readonly technique: TechniqueId;
  readonly sections: number;
  /** Wall-clock times of the studio, "2027-03-13T18:00". */
  readonly begun: string;
  readonly allIn: string;
  readonly takenDown: string;
  readonly lastGoodDay: number | null;
  readonly reason: EndReasonId | null;
  readonly wouldHaveGoneOn: boolean | null;
  readonly note: string;
}

/** Columns of a table of sets, in the order they are written. */
export const SET_COLUMNS = [
  'set',
  'head',
  'title',
  'technique',
  'sections',
  'begun',
  'all in',
  'taken down',
  'last good day',
  'reason',
  'another day',
  'note',
] as const;

/** A set as the cells of a row. */
export const writeSetRow = (row: SetTableRow): string[] => [
  row.set,
  row.head,
  row.title,
  row.technique,
  String(row.sections),
  row.begun,
  row.allIn,
  row.takenDown,
  row.lastGoodDay === null ? '' : String(row.lastGoodDay),
  row.reason ?? '',
  row.wouldHaveGoneOn === null ? '' : row.wouldHaveGoneOn ? 'yes' : 'no',
  row.note,
];

const LOCAL = /^\d{4}-\d{2}-\d{2}[T ]\d{2}:\d{2}$/;

/** A row read back, or what is wrong with it. */
export function readSetRow(row: TableRow): ReadRow<SetTableRow> {
  const cell = (name: (typeof SET_COLUMNS)[number]) => (row[name] ?? '').trim();
  const refuse = (message: string) => ({ ok: false as const, message });
  const technique = TECHNIQUE_IDS.find((id) => id === cell('technique'));
  if (!technique) return refuse(`technique “${cell('technique')}”: one of ${TECHNIQUE_IDS.join(', ')}`);
  const sections = numberOf(cell('sections'));
  if (sections === null || !Number.isInteger(sections) || sections < MIN_SECTIONS || sections > MAX_SECTIONS)
    return refuse(`sections “${cell('sections')}”: a whole number from ${MIN_SECTIONS} to ${MAX_SECTIONS}`);
  const times = (['begun', 'all in', 'taken down'] as const).map((name) => [name, cell(name)] as const);
  const wrong = times.find(
    ([name, text]) => !LOCAL.test(text) && !(text === '' && name !== 'begun' && cell('set') !== ''),
  );
  if (wrong) return refuse(`${wrong[0]} “${wrong[1]}”: write it as 2027-03-13T18:00`);
  const [begun, allIn, takenDown] = times.map(([, text]) => text.replace(' ', 'T')) as [
    string,
    string,
    string,
  ];
  if (cell('head') === '') return refuse('name the head');
  const lastGoodDay = numberOf(cell('last good day'));
  if (
    Number.isNaN(lastGoodDay) ||
    (lastGoodDay !== null && (!Number.isInteger(lastGoodDay) || lastGoodDay < 0 || lastGoodDay > 90))
  )
    return refuse(
      `last good day “${cell('last good day')}”: a whole number from 0 to 90, counted from the takedown`,
    );
  const reason =
    cell('reason') === '' ? null : (END_REASON_IDS.find((id) => id === cell('reason')) ?? undefined);
  if (reason === undefined) return refuse(`reason “${cell('reason')}”: one of ${END_REASON_IDS.join(', ')}`);
  if (lastGoodDay !== null && reason === null)
    return refuse('an end takes its reason; unknown where nobody said');
  const goesOn = cell('another day');
  if (!['', 'yes', 'no'].includes(goesOn)) return refuse(`another day “${goesOn}”: yes, no, or nothing`);
  return {
    ok: true,
    value: {
      set: cell('set'),
      head: cell('head'),
      title: cell('title').slice(0, 80),
      technique,
      sections,
      begun,
      allIn,
      takenDown,
      lastGoodDay,
      reason: lastGoodDay === null ? null : reason,
      wouldHaveGoneOn: goesOn === '' ? null : goesOn === 'yes',
      note: cell('note').slice(0, 500),
    },
  };
}
