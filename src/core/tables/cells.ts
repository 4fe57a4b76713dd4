/** Letters that make spreadsheets take a cell for a formula. */
const FORMULA = /^'*[=+\-@\t\r]/;
const PLAIN_NUMBER = /^-?\d+(\.\d+)?$/;

/** A cell that no spreadsheet runs: what would begin a formula gets an apostrophe, which spreadsheets hide. */
export const guarded = (cell: string): string =>
  FORMULA.test(cell) && !PLAIN_NUMBER.test(cell) ? `'${cell}` : cell;

/** The same the other way: of what was guarded one apostrophe goes. */
export const unguarded = (cell: string): string => (/^'+[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell);

/** A number of a cell, with a point or a comma; null where it is empty, NaN where it is none. */
export function numberOf(cell: string): number | null {
  const text = cell.trim();
  if (text === '') return null;
  return /^-?\d+([.,]\d+)?$/.test(text) ? Number(text.replace(',', '.')) : NaN;
}

/** Several words of one cell: "misted; steamed". */
export const wordsOf = (cell: string): string[] =>
  cell
    .split(';')
    .map((word) => word.trim())
    .filter(Boolean);

/** One row by the names of its columns. */
export type TableRow = Readonly<Record<string, string>>;

/** What came of reading a row. */
export type ReadRow<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly message: string };

/** Which place of a file each known column has; a name that is written otherwise but for capitals and spaces is the same. */
export function columnsOf(header: readonly string[], known: readonly string[]): ReadonlyMap<string, number> {
  const plain = (name: string) =>
    name
      .replace(/^\uFEFF/, '')
      .trim()
      .toLowerCase()
      .replaceAll(/[\s_-]+/g, ' ');
  const places = header.map(plain);
  return new Map(
    known.flatMap((name) => {
      const at = places.indexOf(plain(name));
      return at < 0 ? [] : [[name, at] as const];
    }),
  );
}

/** A row of cells by the names of its columns; a cell that is not there is empty. */
export const rowOf = (cells: readonly string[], columns: ReadonlyMap<string, number>): TableRow =>
  Object.fromEntries([...columns].map(([name, at]) => [name, unguarded(cells[at] ?? '')]));
