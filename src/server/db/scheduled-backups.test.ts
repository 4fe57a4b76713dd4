import { readdirSync, rmSync, statSync, utimesSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, afterEach, beforeAll, describe, expect, it, vi } from 'vitest';
import { aDatabase } from '../../../tests/support/server';
import { DAY_MS, HOUR_MS, MINUTE_MS } from '@/core/units/time';
import { env } from '../env';
import { log } from '../log';
import { whatIsWrong } from './backup';
import type { Database } from './client';
import { copiesToKeep, copyName, timeOfCopy } from './copy-rotation';
import { copiesFolder, listCopies, scheduleCopies, takeCopy } from './scheduled-backups';

const NOW = Date.now();
const usual = { ...env };
let own: { folder: string; url: string; database: Database };

beforeAll(async () => {
  own = await aDatabase('empty', NOW);
  Object.assign(env, { databaseUrl: own.url, copyEveryMin: 60 });
});
afterEach(() => {
  vi.useRealTimers();
  rmSync(join(own.folder, 'copies'), { recursive: true, force: true });
  Object.assign(env, { databaseUrl: own.url, copyEveryMin: 60 });
});
afterAll(() => {
  Object.assign(env, usual);
  own.database.close();
  rmSync(own.folder, { recursive: true, force: true });
});

const files = () => readdirSync(copiesFolder()!).sort();

describe('a copy that is taken now', () => {
  it('is whole, stands beside the database, and is listed with its size', async () => {
    expect(listCopies()).toEqual([]);
    const copy = await takeCopy(NOW);
    const file = join(own.folder, 'copies', copy.name);
    expect(await whatIsWrong(file)).toBeNull();
    expect(listCopies()).toEqual([copy]);
    expect(copy.bytes).toBe(statSync(file).size);
    // A name says when it was, to the second.
    expect(Math.abs(copy.takenAtMs - NOW)).toBeLessThan(1000);
  });

  it('removes those that are too many, and nothing that is no copy', async () => {
    await takeCopy(NOW - 90 * DAY_MS);
    for (let hours = 1; hours <= 24 * 30; hours += 3)
      writeFileSync(join(copiesFolder()!, copyName(NOW - hours * HOUR_MS)), 'x');
    writeFileSync(join(copiesFolder()!, 'notes of mine.txt'), 'mine');
    const before = listCopies().map(({ takenAtMs }) => takenAtMs);
    const { takenAtMs } = await takeCopy(NOW);
    const after = listCopies().map((copy) => copy.takenAtMs);
    expect(after).toEqual([...copiesToKeep([takenAtMs, ...before])].sort((a, b) => b - a));
    // Six last, fourteen daily, eight weekly; some are both.
    expect(after.length).toBeLessThanOrEqual(6 + 14 + 8);
    expect(after[0]).toBe(takenAtMs);
    expect(files().filter((name) => timeOfCopy(name) === null)).toEqual(['notes of mine.txt']);
  });

  it('says why there is none, and leaves those of before', async () => {
    const before = await takeCopy(NOW);
    const damaged = join(own.folder, 'damaged.db');
    writeFileSync(damaged, 'no database at all, and long enough to be looked at as one'.repeat(100));
    env.databaseUrl = `file:${damaged}`;
    await expect(takeCopy(NOW + HOUR_MS)).rejects.toThrow('is there room on the disk?');
    expect(files()).toEqual([before.name]);
    env.databaseUrl = 'libsql://data.example.org';
    expect(copiesFolder()).toBeNull();
    expect(listCopies()).toEqual([]);
    await expect(takeCopy(NOW)).rejects.toThrow('only a database in a file can be copied this way');
  });
});

describe('copies while the server runs', () => {
  /** Copies once so many minutes went by, and what was begun meanwhile had its time. */
  async function after(minutes: number, expected: number) {
    await vi.advanceTimersByTimeAsync(minutes * MINUTE_MS);
    for (let tries = 0; listCopies().length < expected && tries < 600; tries++) {
      await new Promise((wait) => setTimeout(wait, 50));
      // What came while the process of the one before was still ending is looked at a minute later.
      await vi.advanceTimersByTimeAsync(200);
    }
    await new Promise((wait) => setTimeout(wait, 500));
    return listCopies().length;
  }
  const changed = (atMs: number) => utimesSync(join(own.folder, 'test.db'), new Date(atMs), new Date(atMs));

  it('are taken about every hour in which something changed', async () => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'Date'], now: NOW });
    scheduleCopies();
    expect(await after(1, 1)).toBe(1);
    // Nothing was written since.
    expect(await after(180, 1)).toBe(1);
    changed(Date.now());
    expect(await after(1, 2)).toBe(2);
    // Written again at once: the hour is not over.
    changed(Date.now() + MINUTE_MS);
    expect(await after(57, 2)).toBe(2);
    expect(await after(3, 3)).toBe(3);
    for (const { name } of listCopies()) expect(await whatIsWrong(join(copiesFolder()!, name))).toBeNull();
  });

  it('are none where none are wanted; one that cannot be taken is in the log, and tried again', async () => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'Date'], now: NOW });
    env.copyEveryMin = 0;
    scheduleCopies();
    expect(vi.getTimerCount()).toBe(0);
    Object.assign(env, { copyEveryMin: 60, databaseUrl: 'libsql://data.example.org' });
    scheduleCopies();
    expect(vi.getTimerCount()).toBe(0);
    const error = vi.spyOn(log, 'error').mockImplementation(() => undefined);
    env.databaseUrl = `file:${join(own.folder, 'damaged.db')}`;
    scheduleCopies();
    for (const times of [1, 2]) {
      await vi.advanceTimersByTimeAsync(MINUTE_MS);
      await vi.waitFor(() => expect(error).toHaveBeenCalledTimes(times), { timeout: 60_000 });
      await new Promise((wait) => setTimeout(wait, 50));
    }
    expect(error).toHaveBeenLastCalledWith({ code: 'copy-failed' }, 'a scheduled copy could not be taken');
    error.mockRestore();
  });
});
