import type { RowFate, TableId } from '@/core/tables/table';
import { ROWS_AT_ONCE } from '@/core/tables/table';

/** A file as it was read: its first row names the columns. */
export interface ReadFile {
  readonly name: string;
  readonly columns: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

/** Something that stops when its owner wants. */
export interface Stoppable {
  isStopped: boolean;
}

/** What the server said that no row can be read, in its words. */
export class Refused extends Error {}

async function post<T>(path: string, body: unknown): Promise<T> {
  const answer = await fetch(path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  const told = (await answer.json()) as T & { title?: string; errors?: { message: string }[] };
  if (!answer.ok) throw new Refused(told.errors?.[0]?.message ?? told.title ?? 'it was refused');
  return told;
}

/** Rows of sets are each a forecast: fewer at once, so that it can be stopped. */
const AT_ONCE: Readonly<Record<TableId, number>> = { sets: 20, 'wear-days': ROWS_AT_ONCE, checks: 200 };

/**
 * Sends the rows of a file, some at a time.
 *
 * @param importId what they are taken in under; null to look what would become of them
 * @param hear is told how far it is
 * @returns what becomes of each row; null where it was stopped
 */
export async function sendRows(
  table: TableId,
  { columns, rows }: ReadFile,
  importId: string | null,
  stop: Stoppable,
  hear: (done: number) => void,
): Promise<RowFate[] | null> {
  const fates: RowFate[] = [];
  const atOnce = importId === null ? ROWS_AT_ONCE : AT_ONCE[table];
  for (let from = 0; from < rows.length; from += atOnce) {
    if (stop.isStopped) return null;
    const some = rows.slice(from, from + atOnce);
    const answer = await post<{ fates: RowFate[] }>(`/api/v1/tables/${table}/rows`, {
      columns,
      rows: some,
      importId,
    });
    fates.push(...answer.fates);
    hear(Math.min(rows.length, from + atOnce));
  }
  return stop.isStopped ? null : fates;
}

/** Begins taking a file in. */
export const beginImport = async (table: TableId, fileName: string): Promise<string> =>
  (await post<{ importId: string }>(`/api/v1/tables/${table}`, { fileName })).importId;

/** Takes an import back. @returns how many of its rows stay */
export async function undoImport(id: string): Promise<number> {
  const answer = await fetch(`/api/v1/imports/${id}`, { method: 'DELETE' });
  const told = (await answer.json()) as { left?: number; errors?: { message: string }[]; title?: string };
  if (!answer.ok) throw new Refused(told.errors?.[0]?.message ?? told.title ?? 'it was refused');
  return told.left ?? 0;
}
