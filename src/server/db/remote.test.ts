import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { serveLibsql, type LibsqlServer } from '../../../tests/support/libsql-server';
import { aDay, aHead, ALL_DONE, aSet, NOON, sent, tap } from '../../../tests/support/studio';
import { exportStudio, importStudio, readArchive } from '../archive/studio-archive';
import { invalid } from '../errors';
import { migrateDatabase, openDatabase, type Database } from './client';
import { isLost, isRemote, underLease } from './remote';
import { photoBytes, addPhoto } from './rows/photos';
import { eventsAfter } from './rows/set-log';
import { createStudio } from './rows/studios';
import { saveWearDay } from './rows/wear';

let folder: string;
let server: LibsqlServer;
let open: Database[];
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'keen-remote-'));
  server = await serveLibsql(join(folder, 'server.db'), 'none');
  open = [];
});
afterEach(async () => {
  open.forEach((database) => database.close());
  await server.close();
  rmSync(folder, { recursive: true, force: true });
});

/** What another process has: a client of its own. */
function another(): Database {
  const database = openDatabase(`${server.url}?authToken=none`);
  open.push(database);
  return database;
}
async function aStudio(database: Database) {
  await migrateDatabase(database, server.url, NOON);
  return (await database.write((tx) => createStudio(tx, { name: 'Far', timeZone: 'UTC' }, NOON))).id;
}
const tapped = (id: string) => [sent(id, 'note', 1, { note: id })];
const notesIn = async (database: Database, studioId: string, setId: string) =>
  (await eventsAfter(database.db, studioId, setId, 0)).filter(({ kind }) => kind === 'note');

describe('a database on a server', () => {
  it('is told from a file', () => {
    for (const url of ['libsql://x.example', 'https://x.example', 'http://127.0.0.1:8080', 'ws://x'])
      expect(isRemote(url)).toBe(true);
    for (const url of ['file:./data/x.db', ':memory:', 'file:http']) expect(isRemote(url)).toBe(false);
  });

  it('is brought up to date once, whoever comes first of five', async () => {
    const all = Array.from({ length: 5 }, another);
    await Promise.all(all.map((database) => migrateDatabase(database, server.url, NOON)));
    const { rows } = await all[0]!.client.execute(
      'select count(*) n, count(distinct created_at) m from __drizzle_migrations',
    );
    expect(rows[0]!.n).toBe(rows[0]!.m);
    expect((await all[0]!.client.execute('select * from leases')).rows).toEqual([]);
  });

  it('a lease that its holder let run out is taken by the next, and one that stands is waited for', async () => {
    const [one, two] = [another(), another()];
    let isBusy = false;
    const work = async () => {
      expect(isBusy).toBe(false);
      isBusy = true;
      await new Promise((wait) => setTimeout(wait, 50));
      isBusy = false;
    };
    await Promise.all([underLease(one.client, 'x', work), underLease(two.client, 'x', work)]);
    await one.client.execute("insert into leases values ('x', 'dead', unixepoch() - 1)");
    await underLease(two.client, 'x', work);
  });

  it('holds whole sets, days and pictures as they were', async () => {
    const database = another();
    const studioId = await aStudio(database);
    const setId = await aSet(database, studioId, await aHead(database, studioId));
    await tap(database, studioId, setId, [...ALL_DONE, sent('down', 'taken-down', 600)]);
    await database.write((tx) => saveWearDay(tx, studioId, setId, aDay({ note: 'fine' }), NOON));
    const jpeg = Buffer.from(Array.from({ length: 300_000 }, (_, i) => (i * 7919) % 256));
    const photo = {
      day: 0,
      view: 'front',
      width: 3,
      height: 2,
      focal35Mm: null,
      jpeg,
      thumb: Buffer.from('t'),
    } as const;
    const photoId = await database.write((tx) => addPhoto(tx, studioId, setId, photo, NOON));
    const kept = await photoBytes(database.db, studioId, photoId, 'jpeg');
    expect(Buffer.compare(Buffer.from(kept!), jpeg)).toBe(0);
    // Backup is by export: it comes back the same from a file.
    const archive = await exportStudio(database.db, studioId);
    const read = readArchive(JSON.parse(JSON.stringify(archive)));
    const file = openDatabase(`file:${join(folder, 'back.db')}`);
    open.push(file);
    await migrateDatabase(file, `file:${join(folder, 'back.db')}`, NOON);
    const back = await file.write((tx) => createStudio(tx, { name: 'Back', timeZone: 'UTC' }, NOON));
    expect(read.ok).toBe(true);
    if (read.ok) await file.write((tx) => importStudio(tx, back.id, read.value));
    expect((await exportStudio(file.db, back.id)).tables).toEqual(archive.tables);
  });

  it('two processes of four writers each keep every tap, each once, in one order', async () => {
    const [one, two] = [another(), another()];
    const studioId = await aStudio(one);
    const setId = await aSet(one, studioId, await aHead(one, studioId));
    await Promise.all(
      [one, two].flatMap((database, process) =>
        Array.from({ length: 4 }, async (_, writer) => {
          for (let i = 0; i < 12; i++)
            await tap(database, studioId, setId, tapped(`${process}-${writer}-${i}`));
        }),
      ),
    );
    const [seen, alike] = [await notesIn(one, studioId, setId), await notesIn(two, studioId, setId)];
    expect(seen).toHaveLength(96);
    expect(new Set(seen.map(({ id }) => id)).size).toBe(96);
    const places = seen.map(({ sequence }) => sequence!);
    expect(places).toEqual([...places].sort((a, b) => a - b));
    expect(alike).toEqual(seen);
  });

  it('with every 37th answer and 53rd request cut, and 20 ms on the way, nothing is lost or doubled', async () => {
    const [one, two] = [another(), another()];
    const studioId = await aStudio(one);
    const setId = await aSet(one, studioId, await aHead(one, studioId));
    let cuts = 0;
    const cut = (every: number) => (number: number) => {
      const isCut = number % every === 0;
      cuts += Number(isCut);
      return isCut;
    };
    Object.assign(server.weather, { latencyMs: 20, losesAnswer: cut(37), losesRequest: cut(53) });
    await Promise.all(
      [one, two].flatMap((database, process) =>
        Array.from({ length: 4 }, async (_, writer) => {
          for (let i = 0; i < 5; i++)
            await database.write(async (tx) => {
              // Numbers of the server's own: what tells a tap sent twice from two taps does not help here.
              await createStudio(tx, { name: `${process}-${writer}-${i}`, timeZone: 'UTC' }, NOON);
            });
          await tap(database, studioId, setId, tapped(`${process}-${writer}`));
        }),
      ),
    );
    expect(cuts).toBeGreaterThan(3);
    Object.assign(server.weather, { latencyMs: 0, losesAnswer: () => false, losesRequest: () => false });
    const made = await one.db.all<{ name: string }>(sql`select name from studios where name != 'Far'`);
    expect(made).toHaveLength(40);
    expect(new Set(made.map(({ name }) => name)).size).toBe(40);
    expect(await notesIn(one, studioId, setId)).toHaveLength(8);
  });

  it('carries a transaction out once whose answers are all lost in turn', async () => {
    const database = another();
    await aStudio(database);
    for (let cutAt = 1; cutAt <= 12; cutAt++) {
      const from = server.requests();
      server.weather.losesAnswer = (number) => number === from + cutAt;
      await database.write((tx) => createStudio(tx, { name: `Cut ${cutAt}`, timeZone: 'UTC' }, NOON));
    }
    server.weather.losesAnswer = () => false;
    const made = await database.db.all<{ name: string }>(
      sql`select name from studios where name like 'Cut%'`,
    );
    expect(made).toHaveLength(12);
  });

  it('a refusal is not tried again, and leaves nothing', async () => {
    const database = another();
    await aStudio(database);
    let tries = 0;
    const refused = database.write(async (tx) => {
      tries += 1;
      await createStudio(tx, { name: 'Half', timeZone: 'UTC' }, NOON);
      throw invalid('name', 'taken');
    });
    await expect(refused).rejects.toThrow('taken');
    expect(tries).toBe(1);
    expect(await database.db.all(sql`select 1 from studios where name = 'Half'`)).toEqual([]);
    expect(isLost(invalid('', 'fetch failed'))).toBe(false);
    expect(isLost(new Error('x', { cause: new TypeError('fetch failed') }))).toBe(true);
    expect(isLost(new TypeError('undefined is not a function'))).toBe(false);
  });
});
