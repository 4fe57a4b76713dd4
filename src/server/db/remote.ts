import { setTimeout as sleep } from 'node:timers/promises';
import type { Client } from '@libsql/client';
import { sql } from 'drizzle-orm';
import { AppError } from '../errors';
import type { Db, Tx } from './handle';
import { newId } from './id';

/** Whether a database is a server, reached over the network. */
export const isRemote = (url: string): boolean => /^(libsql|https?|wss?):/.test(url);

/** How often something is tried whose answer was lost, and how long is waited in between at first, ms. */
const MOST_TRIES = 8;
const FIRST_WAIT_MS = 60;
const LONGEST_WAIT_MS = 2000;
/** How long it is remembered that a transaction was carried out, s: far longer than it is repeated. */
const MARKS_LAST_S = 86_400;

/** Codes by which a server says that a transaction is over that it gave up waiting for. */
const GIVEN_UP = [
  'STREAM_EXPIRED',
  'STREAM_CLOSED',
  'TRANSACTION_CLOSED',
  'SQLITE_BUSY',
  'HRANA_WEBSOCKET_ERROR',
];
/** Codes of a connection that broke. */
const BROKEN = [
  'ECONNRESET',
  'ECONNREFUSED',
  'EPIPE',
  'ETIMEDOUT',
  'UND_ERR_SOCKET',
  'UND_ERR_CONNECT_TIMEOUT',
];

/** Everything that something thrown was caused by, itself first. */
function* causes(
  thrown: unknown,
): Generator<{ readonly name?: string; readonly code?: unknown; readonly message?: string }> {
  for (let cause = thrown, depth = 0; cause instanceof Error && depth < 6; cause = cause.cause, depth++)
    yield cause;
}

/** Whether it is not known what became of something, or the server gave it up: to be tried again. */
export function isLost(thrown: unknown): boolean {
  if (thrown instanceof AppError) return false;
  return [...causes(thrown)].some(
    ({ name, code, message }) =>
      (typeof code === 'string' && [...GIVEN_UP, ...BROKEN].includes(code)) ||
      // What `fetch` says of a connection that broke.
      (name === 'TypeError' && message === 'fetch failed') ||
      name === 'FetchError' ||
      name === 'ClosedError',
  );
}

/** Tries something until its answer arrives. */
async function untilAnswered<T>(attempt: () => Promise<T>): Promise<T> {
  for (let tries = 1, waitMs = FIRST_WAIT_MS; ; tries++, waitMs = Math.min(2 * waitMs, LONGEST_WAIT_MS))
    try {
      return await attempt();
    } catch (thrown) {
      if (tries >= MOST_TRIES || !isLost(thrown)) throw thrown;
      // Not all at once again.
      await sleep(waitMs * (0.5 + Math.random()));
    }
}

/** A client whose reads outside transactions are asked again where an answer was lost: reading twice changes nothing. */
export function withRepeatedReads(client: Client): Client {
  const isReading = (statement: unknown) => {
    const text = typeof statement === 'string' ? statement : (statement as { sql?: string } | null)?.sql;
    return /^\s*(select|with|pragma|explain)\b/i.test(text ?? '');
  };
  return new Proxy(client, {
    get(target, name, receiver) {
      const own: unknown = Reflect.get(target, name, receiver);
      if (name !== 'execute') return typeof own === 'function' ? own.bind(target) : own;
      return (...given: Parameters<Client['execute']>) =>
        isReading(given[0]) ? untilAnswered(() => target.execute(...given)) : target.execute(...given);
    },
  });
}

/**
 * Carries out a transaction once, however often its answer is lost: what was written leaves a mark, and who tries again
 * looks for it first, under the lock of the writer, so that what is still on its way cannot arrive in between.
 *
 * @param work is begun anew for each try; what it answers must be all that comes of it
 */
export async function writeOnce<T>(db: Db, work: (tx: Tx) => Promise<T>): Promise<T> {
  const mark = newId();
  let done: { readonly value: T } | null = null;
  return untilAnswered(() =>
    db.transaction(async (tx) => {
      if (done !== null) {
        const kept = await tx.all(sql`select 1 from write_marks where id = ${mark}`);
        if (kept.length > 0) return done.value;
      }
      done = null;
      const value = await work(tx);
      await tx.run(sql`delete from write_marks where at_s < unixepoch() - ${MARKS_LAST_S}`);
      await tx.run(sql`insert into write_marks (id, at_s) values (${mark}, unixepoch())`);
      done = { value };
      return value;
    }),
  );
}

/** How long a lease holds, s: a process that died holds nobody up for longer. */
const LEASE_S = 60;
const ASK_AGAIN_MS = 300;
/** Longest that is waited for others to be done, ms. */
const PATIENCE_MS = 180_000;

/**
 * Does something that one process at a time may do, such as bringing tables up to date. By the clock of the server, and
 * renewed while it lasts.
 */
export async function underLease<T>(client: Client, name: string, work: () => Promise<T>): Promise<T> {
  const holder = newId();
  const run = (statement: string, args: string[] = []) =>
    untilAnswered(() => client.execute({ sql: statement, args }));
  await run(
    'create table if not exists leases (name text primary key, holder text not null, until_s integer not null)',
  );
  await run('create table if not exists write_marks (id text primary key, at_s integer not null)');
  const take = async () =>
    (
      await run(
        `insert into leases (name, holder, until_s) values (?1, ?2, unixepoch() + ${LEASE_S})
         on conflict (name) do update set holder = excluded.holder, until_s = excluded.until_s
         where leases.until_s <= unixepoch() or leases.holder = excluded.holder
         returning holder`,
        [name, holder],
      )
    ).rows.length > 0;
  for (let waitedMs = 0; !(await take()); waitedMs += ASK_AGAIN_MS) {
    if (waitedMs > PATIENCE_MS) throw new AppError('closing');
    await sleep(ASK_AGAIN_MS);
  }
  const renewing = setInterval(() => void take().catch(() => undefined), (LEASE_S * 1000) / 3);
  try {
    // What was done before its answer was lost is seen when it is looked at again.
    return await untilAnswered(work);
  } finally {
    clearInterval(renewing);
    await run('delete from leases where name = ?1 and holder = ?2', [name, holder]).catch(() => undefined);
  }
}
