import {
  closeSync,
  copyFileSync,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  renameSync,
  rmSync,
} from 'node:fs';
import { dirname } from 'node:path';
import { createClient, type Client } from '@libsql/client';
import { AppError, invalid } from '../errors';
import { newestMigration } from './client';
import { holderOf } from './file-holder';

/** Path of a database file, or null for one that is none. */
export const fileOf = (url: string): string | null =>
  url.startsWith('file:') ? url.slice('file:'.length) : null;

/** Parts of a database beside its own file. */
const PARTS = ['-wal', '-shm'] as const;

function sync(path: string) {
  const handle = openSync(path, 'r');
  try {
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
}

/** Opens a file without making one, and without the care that the server's own database needs. */
async function withFile<T>(file: string, work: (client: Client) => Promise<T>): Promise<T> {
  const client = createClient({ url: `file:${file}`, timeout: 5000 });
  try {
    return await work(client);
  } finally {
    client.close();
  }
}

const one = async (client: Client, sql: string): Promise<unknown> => (await client.execute(sql)).rows[0]?.[0];

/** What is wrong with a file as a database of this program, in words; null when nothing is. */
export async function whatIsWrong(file: string): Promise<string | null> {
  try {
    return await withFile(file, async (client) => {
      if ((await one(client, 'pragma integrity_check')) !== 'ok') return 'it is damaged';
      if ((await client.execute('pragma foreign_key_check')).rows.length > 0)
        return 'it does not hang together';
      if ((await one(client, "select 1 from sqlite_master where name = 'studios'")) !== 1)
        return 'it is not a database of Keen Spiral';
      const newest = Number(await one(client, 'select max(created_at) from __drizzle_migrations'));
      return newest > newestMigration() ? 'it was written by a newer version of Keen Spiral' : null;
    });
  } catch {
    return 'it cannot be read as a database';
  }
}

/**
 * Copies a running database whole into a new file: written beside it, checked, and named only then.
 *
 * @throws AppError invalid when the file is there already, there is nothing to copy, or the copy is not whole
 */
export async function backUp(url: string, file: string): Promise<void> {
  const from = fileOf(url);
  if (from === null) throw invalid('', 'only a database in a file can be copied this way');
  if (!existsSync(from)) throw invalid('', 'there is no database yet: nothing to copy');
  if (existsSync(file)) throw invalid('', `“${file}” is there already; name a new file`);
  mkdirSync(dirname(file), { recursive: true });
  const half = `${file}.half`;
  rmSync(half, { force: true });
  try {
    await withFile(from, (client) => client.execute({ sql: 'vacuum into ?', args: [half] }));
  } catch {
    throw invalid('', `the database cannot be copied; is the disk full, or the file damaged?`);
  }
  const wrong = await whatIsWrong(half);
  if (wrong) {
    rmSync(half, { force: true });
    throw invalid('', `the copy is not whole (${wrong}), so it was not kept`);
  }
  sync(half);
  renameSync(half, file);
  sync(dirname(file));
}

/**
 * Puts a copy in the place of the database, all or nothing. What was there is put aside first, byte for byte and with
 * what was not yet written through, whatever state it is in: damaged, empty or foreign.
 *
 * @param isOurs the caller holds the file itself and has closed it
 * @returns where what was there is kept, or null when there was nothing
 * @throws AppError invalid when the copy is missing or not whole, or the server holds the database
 */
export async function restore(
  url: string,
  file: string,
  nowMs: number,
  isOurs = false,
): Promise<string | null> {
  const to = fileOf(url);
  if (to === null) throw invalid('', 'only a database in a file can be restored into');
  if (!existsSync(file)) throw invalid('', `“${file}” cannot be read`);
  const holder = isOurs ? null : holderOf(to);
  if (holder !== null)
    throw invalid('', `Keen Spiral is running on this database (process ${holder}); stop it first`);
  const wrong = await whatIsWrong(file);
  if (wrong) throw invalid('', `“${file}” cannot be put back: ${wrong}`);
  mkdirSync(dirname(to), { recursive: true });
  const half = `${to}.half-${nowMs}`;
  // A copy in use may have a part of its own; taking it in through the engine makes one whole file of it.
  await withFile(file, (client) => client.execute({ sql: 'vacuum into ?', args: [half] }));
  sync(half);
  const aside = existsSync(to) ? putAside(to, nowMs) : null;
  // What is not yet written through belongs to the old file and must never meet the new one.
  for (const part of PARTS) rmSync(to + part, { force: true });
  renameSync(half, to);
  sync(dirname(to));
  return aside;
}

/** Copies a database and its parts as they are, and answers where. */
function putAside(file: string, nowMs: number): string {
  const aside = `${file}.before-${nowMs}`;
  for (const part of ['', ...PARTS])
    if (existsSync(file + part)) {
      copyFileSync(file + part, aside + part);
      sync(aside + part);
    }
  sync(dirname(file));
  return aside;
}

/** @throws AppError invalid with what to do when the database of the server is not well */
export async function requireWhole(url: string, copies: readonly string[]): Promise<void> {
  const file = fileOf(url);
  if (file === null || !existsSync(file)) return;
  const wrong = await quickly(file);
  if (!wrong) return;
  const copy = copies[0];
  throw new AppError('invalid', [
    {
      path: 'DATABASE_URL',
      message: `“${file}” cannot be used: ${wrong}. Nothing was changed in it. ${
        copy
          ? `To go back to the newest copy: npm run -s keen -- restore ${copy}`
          : 'There is no copy beside it; name another file in DATABASE_URL, or put a copy back with keen restore'
      }`,
    },
  ]);
}

/** The same as `whatIsWrong` in a fraction of the time; an empty file is a new database. */
async function quickly(file: string): Promise<string | null> {
  try {
    return await withFile(file, async (client) => {
      if ((await one(client, 'pragma quick_check')) !== 'ok') return 'it is damaged';
      const tables = Number(await one(client, 'select count(*) from sqlite_master'));
      if (tables === 0) return null;
      if ((await one(client, "select 1 from sqlite_master where name = '__drizzle_migrations'")) !== 1)
        return 'it is a database of another program';
      const newest = Number(await one(client, 'select max(created_at) from __drizzle_migrations'));
      return newest > newestMigration()
        ? 'it was written by a newer version of Keen Spiral; start that version'
        : null;
    });
  } catch {
    return 'it is damaged, or no database at all';
  }
}
