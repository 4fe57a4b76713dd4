import { existsSync, mkdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { createClient, type Client } from '@libsql/client';
import { drizzle } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { env } from '../env';
import { AppError } from '../errors';
import type { Db, Reader, Tx } from './handle';
import { isRemote, underLease, withRepeatedReads, writeOnce } from './remote';
import * as schema from './schema';

export type { Db, Reader, Tx };

/** An open database: `db` for reads, `write` for one queued transaction at a time. */
export interface Database {
  readonly db: Db;
  readonly write: <T>(work: (tx: Tx) => Promise<T>) => Promise<T>;
  readonly close: () => void;
  readonly client: Client;
}

/** How often a write begins anew that another process, such as the command line, did not let begin. */
const MOST_TRIES = 6;
const PAUSE_MS = 100;

/**
 * Carries a transaction out on a file: begun anew where another process held the pen for too long. The client leaves
 * the refused beginning open on its connection, on which nothing could be kept any more: it is given up.
 */
async function inTurn<T>(client: Client, db: Db, work: (tx: Tx) => Promise<T>): Promise<T> {
  for (let tries = 1; ; tries++) {
    let isBegun = false;
    try {
      return await db.transaction((tx) => {
        isBegun = true;
        return work(tx);
      });
    } catch (thrown) {
      const isBusy = (thrown as { code?: unknown }).code === 'SQLITE_BUSY';
      if (isBegun || !isBusy) throw thrown;
      await client.reconnect();
      if (tries === MOST_TRIES) throw thrown;
      await new Promise((wait) => setTimeout(wait, PAUSE_MS));
    }
  }
}

const MIGRATIONS = join(process.cwd(), 'drizzle');

/**
 * Opens a database: a file, or a server of libSQL. SQLite writers in one process do not wait for each other, so every
 * write goes through one promise queue; `timeout` covers writers in other processes (a `pragma busy_timeout` would reach
 * one pooled connection only). A server puts the writers of several processes in order itself.
 */
export function openDatabase(url: string): Database {
  if (url.startsWith('file:')) mkdirSync(dirname(url.slice('file:'.length)), { recursive: true });
  const client = isRemote(url)
    ? withRepeatedReads(createClient({ url, ...(env.databaseToken ? { authToken: env.databaseToken } : {}) }))
    : createClient({ url, timeout: 5000 });
  const db = drizzle(client, { schema });
  let last: Promise<unknown> = Promise.resolve();
  return {
    db,
    client,
    write: (work) => {
      const next = last.then(() => (isRemote(url) ? writeOnce(db, work) : inTurn(client, db, work)));
      last = next.catch(() => undefined);
      return next;
    },
    close: () => client.close(),
  };
}

/** When the newest migration that this program knows was made. */
export function newestMigration(): number {
  const journal = JSON.parse(readFileSync(join(MIGRATIONS, 'meta', '_journal.json'), 'utf8')) as {
    entries: { when: number }[];
  };
  return Math.max(...journal.entries.map((entry) => entry.when));
}

async function pendingOnOldData({ client }: Database): Promise<boolean> {
  const tables = await client.execute("select name from sqlite_master where name = '__drizzle_migrations'");
  if (tables.rows.length === 0) return false;
  const applied = await client.execute('select max(created_at) as newest from __drizzle_migrations');
  return Number(applied.rows[0]?.newest ?? 0) < newestMigration();
}

/**
 * Brings a database up to date. An existing file is copied beside itself before it is changed.
 *
 * @returns the path of that copy, or null when none was needed
 */
export async function migrateDatabase(
  database: Database,
  url: string,
  nowMs: number,
): Promise<string | null> {
  const { client, db } = database;
  const migrations = () => migrate(db, { migrationsFolder: MIGRATIONS });
  if (isRemote(url)) {
    await underLease(client, 'migrations', migrations);
    return null;
  }
  let copy: string | null = null;
  if (url.startsWith('file:')) {
    await client.execute('pragma journal_mode = WAL');
    if (existsSync(url.slice('file:'.length)) && (await pendingOnOldData(database))) {
      copy = `${url.slice('file:'.length)}.before-${nowMs}`;
      await client.execute({ sql: 'vacuum into ?', args: [copy] });
    }
  }
  await client.execute('pragma foreign_keys = on');
  await migrations();
  return copy;
}

const holder = globalThis as { keenSpiralDatabase?: Database; keenSpiralIsClosed?: boolean };

/**
 * The server's own database, opened once.
 *
 * @throws AppError closing while it is put back from a copy
 */
export function database(): Database {
  if (holder.keenSpiralIsClosed) throw new AppError('closing');
  return (holder.keenSpiralDatabase ??= openDatabase(env.databaseUrl));
}

/**
 * Has the server work with a database that is open already, as a test does.
 *
 * @returns what ends that
 */
export function servedFrom(open: Database): () => void {
  holder.keenSpiralDatabase = open;
  return () => {
    delete holder.keenSpiralDatabase;
  };
}

/**
 * Closes the server's database, does something with its file, and opens it again. Writes that were begun are finished
 * first; who asks meanwhile is told to come back.
 */
export async function whileClosed<T>(work: () => Promise<T>): Promise<T> {
  const open = database();
  holder.keenSpiralIsClosed = true;
  try {
    await open.write(() => Promise.resolve());
    open.close();
    delete holder.keenSpiralDatabase;
    return await work();
  } finally {
    holder.keenSpiralIsClosed = false;
  }
}

/** Ends the server's database: writes that were begun are finished, and what was written is put through to the file. */
export async function closeWell(): Promise<void> {
  const open = holder.keenSpiralDatabase;
  if (!open) return;
  await open.write(() => Promise.resolve()).catch(() => undefined);
  if (env.databaseUrl.startsWith('file:'))
    await open.client.execute('pragma wal_checkpoint(truncate)').catch(() => undefined);
  open.close();
}
