import { CHECK_FEELS, type CheckFeel } from '../drying/dryness-checks';
import { LEVELS, type Level } from '../drying/nodes';
import { MOST_SECTION_NUMBER } from '../parting/section-name';
import { numberOf, type ReadRow, type TableRow } from './cells';

/** One dryness check as a table has it. */
export interface CheckTableRow {
  readonly set: string;
  readonly head: string;
  /** A wall-clock time of the studio, "2027-03-13T18:00". */
  readonly at: string;
  readonly section: number;
  readonly level: Level;
  readonly feel: CheckFeel;
}

/** Columns of a table of checks, in the order they are written. */
export const CHECK_COLUMNS = ['set', 'head', 'at', 'section', 'level', 'feel'] as const;

/** A check as the cells of a row. */
export const writeCheckRow = ({ set, head, at, section, level, feel }: CheckTableRow): string[] => [
  set,
  head,
  at,
  String(section),
  level,
  feel,
];

const LOCAL = /^\d{4}-\d{2}-\d{2}[T ]\d{2}:\d{2}$/;

/** A row read back, or what is wrong with it. */
export function readCheckRow(row: TableRow): ReadRow<CheckTableRow> {
  const cell = (name: (typeof CHECK_COLUMNS)[number]) => (row[name] ?? '').trim();
  const refuse = (message: string) => ({ ok: false as const, message });
  if (cell('set') === '') return refuse('name the set by its id');
  if (!LOCAL.test(cell('at'))) return refuse(`at “${cell('at')}”: write it as 2027-03-13T18:00`);
  const section = numberOf(cell('section'));
  if (section === null || !Number.isInteger(section) || section < 1 || section > MOST_SECTION_NUMBER)
    return refuse(`section “${cell('section')}”: a whole number from 1`);
  const level = LEVELS.find((own) => own === cell('level'));
  if (!level) return refuse(`level “${cell('level')}”: ${LEVELS.join(', ')}`);
  const feel = CHECK_FEELS.find((own) => own === cell('feel'));
  if (!feel) return refuse(`feel “${cell('feel')}”: ${CHECK_FEELS.join(', ')}`);
  return {
    ok: true,
    value: { set: cell('set'), head: cell('head'), at: cell('at').replace(' ', 'T'), section, level, feel },
  };
}
