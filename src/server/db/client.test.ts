import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, describe, expect, it } from 'vitest';
import { migrateDatabase, openDatabase } from './client';
import { createStudio, currentStudio } from './rows/studios';
import { studios } from './schema';

const folders: string[] = [];
const fileUrl = () => {
  const folder = mkdtempSync(join(tmpdir(), 'keen-db-'));
  folders.push(folder);
  return `file:${join(folder, 'data', 'studio.db')}`;
};
afterEach(() => folders.splice(0).forEach((folder) => rmSync(folder, { recursive: true, force: true })));

describe('the database file', () => {
  it('is made with its folder, in WAL, with foreign keys on', async () => {
    const url = fileUrl();
    const database = openDatabase(url);
    await migrateDatabase(database, url, 1);
    expect((await database.client.execute('pragma journal_mode')).rows[0]?.journal_mode).toBe('wal');
    expect((await database.client.execute('pragma foreign_keys')).rows[0]?.foreign_keys).toBe(1);
    await expect(
      database.client.execute("insert into tools values ('t','nobody','rod',10,70,3,'#000')"),
    ).rejects.toThrow();
    database.close();
  });

  it('migrates twice without harm and keeps what is in it', async () => {
    const url = fileUrl();
    const first = openDatabase(url);
    await migrateDatabase(first, url, 1);
    await first.write((tx) => createStudio(tx, { name: 'Kept', timeZone: 'UTC' }, 1));
    first.close();
    const second = openDatabase(url);
    expect(await migrateDatabase(second, url, 2)).toBeNull();
    expect((await currentStudio(second.db))?.name).toBe('Kept');
    second.close();
  });

  it('copies a file beside itself before a migration changes it', async () => {
    const url = fileUrl();
    const database = openDatabase(url);
    await migrateDatabase(database, url, 1);
    // As if the newest migration had not been applied yet: it will fail on the tables that are there.
    await database.client.execute('update __drizzle_migrations set created_at = 1');
    await expect(migrateDatabase(database, url, 77)).rejects.toThrow();
    expect(existsSync(`${url.slice('file:'.length)}.before-77`)).toBe(true);
    database.close();
  });

  it('takes forty writers at once through the one queue', async () => {
    const url = fileUrl();
    const database = openDatabase(url);
    await migrateDatabase(database, url, 1);
    await Promise.all(
      Array.from({ length: 40 }, (_, i) =>
        database.write((tx) => createStudio(tx, { name: `S${i}`, timeZone: 'UTC' }, i)),
      ),
    );
    expect(await database.db.select().from(studios)).toHaveLength(40);
    database.close();
  });

  it('a failed write does not block the next, and leaves nothing behind', async () => {
    const database = openDatabase(':memory:');
    await migrateDatabase(database, ':memory:', 1);
    const failing = database.write(async (tx) => {
      await createStudio(tx, { name: 'Half', timeZone: 'UTC' }, 1);
      throw new Error('stop');
    });
    await expect(failing).rejects.toThrow('stop');
    await database.write((tx) => createStudio(tx, { name: 'Whole', timeZone: 'UTC' }, 2));
    expect((await database.db.select().from(studios)).map((studio) => studio.name)).toEqual(['Whole']);
    database.close();
  });

  it('begins a write anew that another process did not let begin, and carries it out once', async () => {
    const url = fileUrl();
    const [own, other] = [openDatabase(url), openDatabase(url)];
    await migrateDatabase(own, url, 1);
    const pen = await other.client.transaction('write');
    let times = 0;
    const written = own.write((tx) => {
      times += 1;
      return createStudio(tx, { name: 'Late', timeZone: 'UTC' }, 1);
    });
    // The other holds the pen until the first try has given up.
    setTimeout(() => void pen.commit(), 0);
    await written;
    expect(times).toBe(1);
    expect((await currentStudio(own.db))?.name).toBe('Late');
    own.close();
    other.close();
  });

  it('does not repeat what was begun: a refusal in the middle is told at once', async () => {
    const database = openDatabase(':memory:');
    await migrateDatabase(database, ':memory:', 1);
    let times = 0;
    const busy = Object.assign(new Error('busy'), { code: 'SQLITE_BUSY' });
    await expect(
      database.write(() => {
        times += 1;
        return Promise.reject(busy);
      }),
    ).rejects.toBe(busy);
    expect(times).toBe(1);
    database.close();
  });
});
