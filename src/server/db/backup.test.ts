import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { aHead, NOON } from '../../../tests/support/studio';
import { DAY_MS } from '@/core/units/time';
import { backUp, requireWhole, restore, whatIsWrong } from './backup';
import { migrateDatabase, openDatabase, type Database } from './client';
import { copiesToKeep, copyName, timeOfCopy } from './copy-rotation';
import { hold, holderOf } from './file-holder';
import { listHeadNames } from './rows/heads';
import { createStudio } from './rows/studios';

let folder: string;
let file: string;
let url: string;
let open: Database[];

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'keen-backup-'));
  file = join(folder, 'studio.db');
  url = `file:${file}`;
  open = [];
});
afterEach(() => open.forEach((database) => database.close()));

async function aDatabase(at: string, heads: number) {
  const database = openDatabase(`file:${at}`);
  open.push(database);
  await migrateDatabase(database, `file:${at}`, NOON);
  const studio = await database.write((tx) => createStudio(tx, { name: 'Test', timeZone: 'UTC' }, NOON));
  for (let i = 0; i < heads; i++) await aHead(database, studio.id);
  return { database, studioId: studio.id };
}
const headsIn = async (at: string) => {
  const database = openDatabase(`file:${at}`);
  try {
    const [studio] = (await database.client.execute('select id from studios')).rows;
    return (await listHeadNames(database.db, String(studio!.id))).length;
  } finally {
    database.close();
  }
};
const digest = (path: string) => createHash('sha256').update(readFileSync(path)).digest('hex');
const aCopy = async (heads: number) => {
  const { database } = await aDatabase(join(folder, 'source.db'), heads);
  const copy = join(folder, 'copy.db');
  await backUp(`file:${join(folder, 'source.db')}`, copy);
  database.close();
  open = open.filter((own) => own !== database);
  return copy;
};

describe('a copy of the database', () => {
  it('is whole, taken while it is written to, and no half one is left', async () => {
    const copy = await aCopy(3);
    expect(await whatIsWrong(copy)).toBeNull();
    expect(await headsIn(copy)).toBe(3);
    expect(readdirSync(folder).filter((name) => name.includes('half'))).toEqual([]);
    await expect(backUp(url, copy)).rejects.toThrow('there is no database yet');
    await aDatabase(file, 1);
    await expect(backUp(url, copy)).rejects.toThrow('is there already');
  });

  it('comes back over a well, a damaged, an empty and a foreign file; what was there is kept byte for byte', async () => {
    const copy = await aCopy(3);
    const healthy = await aDatabase(file, 1);
    // What is not written through yet lies in the part beside the file.
    expect(existsSync(`${file}-wal`)).toBe(true);
    const [main, wal] = [digest(file), digest(`${file}-wal`)];
    const aside = await restore(url, copy, NOON);
    expect(digest(aside!)).toBe(main);
    expect(digest(`${aside}-wal`)).toBe(wal);
    expect(await headsIn(aside!)).toBe(1);
    expect(await headsIn(file)).toBe(3);
    healthy.database.close();

    for (const [i, bytes] of [
      Buffer.concat([readFileSync(file).subarray(0, 5000), Buffer.alloc(9000, 7)]),
      Buffer.alloc(0),
      Buffer.from('not a database at all, but somebody’s letter'.repeat(50)),
    ].entries()) {
      writeFileSync(file, bytes);
      const kept = await restore(url, copy, NOON + 1 + i);
      expect(readFileSync(kept!)).toEqual(bytes);
      expect(await headsIn(file)).toBe(3);
    }
  });

  it('that is damaged, empty, foreign or newer than the program is refused, and nothing is touched', async () => {
    const copy = await aCopy(2);
    await aDatabase(file, 1);
    const newer = join(folder, 'newer.db');
    await backUp(`file:${copy}`, newer);
    const database = openDatabase(`file:${newer}`);
    await database.client.execute(
      `insert into __drizzle_migrations (hash, created_at) values ('x', ${Date.UTC(2190, 0, 1)})`,
    );
    database.close();
    const files: Record<string, Buffer | null> = {
      'damaged.db': Buffer.concat([readFileSync(copy).subarray(0, 8192), Buffer.alloc(30_000, 3)]),
      'empty.db': Buffer.alloc(0),
      'letter.db': Buffer.from('dear all'),
    };
    for (const [name, bytes] of Object.entries(files)) {
      writeFileSync(join(folder, name), bytes!);
      await expect(restore(url, join(folder, name), NOON)).rejects.toThrow('cannot be put back');
    }
    await expect(restore(url, newer, NOON)).rejects.toThrow('newer version');
    await expect(restore(url, join(folder, 'none.db'), NOON)).rejects.toThrow('cannot be read');
    expect(await headsIn(file)).toBe(1);
    expect(readdirSync(folder).filter((name) => name.includes('before'))).toEqual([]);
  });

  it('is refused while a running process holds the database, and taken once that was killed', async () => {
    const copy = await aCopy(2);
    await aDatabase(file, 1);
    const server = spawn(process.execPath, ['-e', 'setInterval(() => {}, 1000)']);
    await new Promise((ready) => server.once('spawn', ready));
    const stat = readFileSync(`/proc/${server.pid}/stat`, 'utf8');
    const startedAt = stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19];
    writeFileSync(`${file}.held`, JSON.stringify({ pid: server.pid, startedAt, file }));
    expect(holderOf(file)).toBe(server.pid);
    expect(hold(file)).toBe(server.pid);
    await expect(restore(url, copy, NOON)).rejects.toThrow(`process ${server.pid}`);
    const gone = new Promise((exit) => server.once('exit', exit));
    server.kill('SIGKILL');
    await gone;
    expect(holderOf(file)).toBeNull();
    await restore(url, copy, NOON);
    expect(await headsIn(file)).toBe(2);
    const letGo = hold(file);
    expect(holderOf(file)).toBe(process.pid);
    if (typeof letGo === 'function') letGo();
    expect(holderOf(file)).toBeNull();
  });
});

describe('the database at start', () => {
  it('is looked at, and what to do is said when it is not well', async () => {
    await aDatabase(file, 1);
    await expect(requireWhole(url, [])).resolves.toBeUndefined();
    await expect(requireWhole(`file:${join(folder, 'new.db')}`, [])).resolves.toBeUndefined();
    const bad = join(folder, 'bad.db');
    writeFileSync(bad, 'x'.repeat(5000));
    await expect(requireWhole(`file:${bad}`, ['copies/a.db'])).rejects.toThrow('restore copies/a.db');
    const foreign = openDatabase(`file:${join(folder, 'foreign.db')}`);
    await foreign.client.execute('create table other (id)');
    foreign.close();
    await expect(requireWhole(`file:${join(folder, 'foreign.db')}`, [])).rejects.toThrow('another program');
    await open[0]!.client.execute(
      `insert into __drizzle_migrations (hash, created_at) values ('x', ${Date.UTC(2190, 0, 1)})`,
    );
    await expect(requireWhole(url, [])).rejects.toThrow('newer version');
  });
});

describe('which copies are kept', () => {
  it('names carry their time', () => {
    expect(copyName(NOON)).toBe('keen-spiral-2027-03-13T12-00-00.db');
    expect(timeOfCopy(copyName(NOON))).toBe(NOON);
    for (const name of ['x.db', 'keen-spiral-2027-99-13T12-00-00.db', `${copyName(NOON)}.half`])
      expect(timeOfCopy(name)).toBeNull();
  });

  it('six last, fourteen daily, eight weekly', () => {
    const hourly = Array.from({ length: 24 * 100 }, (_, i) => NOON - i * 3_600_000);
    const kept = copiesToKeep(hourly);
    expect(kept.slice(0, 6)).toEqual(hourly.slice(0, 6));
    const days = new Set(kept.map((ms) => Math.floor(ms / DAY_MS)));
    for (let day = 0; day < 14; day++) expect(days.has(Math.floor(NOON / DAY_MS) - day)).toBe(true);
    expect((NOON - kept.at(-1)!) / DAY_MS).toBeGreaterThan(7 * 6);
    expect((NOON - kept.at(-1)!) / DAY_MS).toBeLessThanOrEqual(7 * 8);
    expect(kept.length).toBeLessThanOrEqual(6 + 14 + 8);
  });

  it('never more than all together, always the newest, and keeping again keeps the same', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 400 * DAY_MS })), (times) => {
        const kept = copiesToKeep(times);
        expect(kept.length).toBeLessThanOrEqual(28);
        if (times.length > 0) expect(kept[0]).toBe(Math.max(...times));
        expect(copiesToKeep(kept)).toEqual(kept);
      }),
    );
  });
});
