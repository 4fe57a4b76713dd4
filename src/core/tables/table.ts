import { CHECK_COLUMNS } from './checks-table';
import { SET_COLUMNS } from './sets-table';
import { WEAR_COLUMNS } from './wear-table';

/** Tables that go out and come in. One row each: its columns, and those without which nothing can be read. */
export const tables = {
  sets: { label: 'Sets', columns: SET_COLUMNS, needs: ['head', 'technique', 'sections', 'begun'] },
  'wear-days': { label: 'Days of wear', columns: WEAR_COLUMNS, needs: ['date'] },
  checks: {
    label: 'Dryness checks',
    columns: CHECK_COLUMNS,
    needs: ['set', 'at', 'section', 'level', 'feel'],
  },
} as const satisfies Record<
  string,
  { readonly label: string; readonly columns: readonly string[]; readonly needs: readonly string[] }
>;
export type TableId = keyof typeof tables;
export const TABLE_IDS = Object.keys(tables) as TableId[];

/** What becomes of a row. One row each. */
export const rowFates = {
  new: { label: 'new', isTaken: true },
  later: { label: 'replaces what is here, which stays in the history', isTaken: true },
  same: { label: 'here already', isTaken: false },
  refused: { label: 'left out', isTaken: false },
} as const satisfies Record<string, { readonly label: string; readonly isTaken: boolean }>;
export type RowFateId = keyof typeof rowFates;

/** A row and what becomes of it. */
export interface RowFate {
  readonly fate: RowFateId;
  /** Why it is left out. */
  readonly words?: string;
}

/** Rows that are looked at, or taken in, at once. */
export const ROWS_AT_ONCE = 2000;
/** More than this is no table of a studio. */
export const MOST_ROWS = 200_000;
