import { copyFileSync, existsSync, mkdirSync, renameSync } from 'node:fs';
import { dirname } from 'node:path';
import { AppError } from '../errors';
import { openDatabase } from './client';

/** Path of a database file, or null for one that is none. */
export const fileOf = (url: string): string | null =>
  url.startsWith('file:') ? url.slice('file:'.length) : null;

const invalid = (message: string) => new AppError('invalid', [{ path: '', message }]);

/**
 * Copies a running database whole into a new file.
 *
 * @throws AppError invalid when the file is there already or there is nothing to copy
 */
export async function backUp(url: string, file: string): Promise<void> {
  const from = fileOf(url);
  if (from !== null && !existsSync(from)) throw invalid('there is no database yet: nothing to copy');
  if (existsSync(file)) throw invalid(`“${file}” is there already; name a new file`);
  mkdirSync(dirname(file), { recursive: true });
  const database = openDatabase(url);
  try {
    await database.client.execute({ sql: 'vacuum into ?', args: [file] });
  } finally {
    database.close();
  }
  await checkWhole(file);
}

/** @throws AppError invalid when the file is not a whole database of this program */
async function checkWhole(file: string): Promise<void> {
  const database = openDatabase(`file:${file}`);
  try {
    const answer = await database.client.execute('pragma integrity_check');
    const tables = await database.client.execute("select 1 from sqlite_master where name = 'studios'");
    if (String(answer.rows[0]?.[0]) !== 'ok' || tables.rows.length === 0) throw new Error('not whole');
  } catch {
    throw invalid(`“${file}” is not a whole copy of a Keen Spiral database`);
  } finally {
    database.close();
  }
}

/**
 * Puts a copy in the place of the database; what was there is kept beside it. The server must be stopped.
 *
 * @returns where the database that was there went, or null when there was none
 * @throws AppError invalid when the copy is missing or not whole
 */
export async function restore(url: string, file: string, nowMs: number): Promise<string | null> {
  const to = fileOf(url);
  if (to === null) throw invalid('only a database in a file can be restored into');
  if (!existsSync(file)) throw invalid(`“${file}” cannot be read`);
  await checkWhole(file);
  mkdirSync(dirname(to), { recursive: true });
  let aside: string | null = null;
  if (existsSync(to)) {
    aside = `${to}.before-${nowMs}`;
    await backUp(url, aside);
    for (const part of ['-wal', '-shm']) if (existsSync(to + part)) renameSync(to + part, aside + part);
  }
  copyFileSync(file, to);
  return aside;
}
