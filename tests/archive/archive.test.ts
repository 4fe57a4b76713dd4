import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import { importStudio, readArchive } from '@/server/archive/studio-archive';
import { migrateDatabase, openDatabase, type Database } from '@/server/db/client';
import { findSet } from '@/server/db/rows/sets';
import { listSets } from '@/server/db/rows/set-lists';
import { listProducts } from '@/server/db/rows/shelf';
import { createStudio, currentStudio } from '@/server/db/rows/studios';
import { MINUTE_MS } from '@/core/units/time';

const NOON = Date.UTC(2027, 2, 13, 12);
const file = (name: string) => join(import.meta.dirname, name);

/** What both files of the old studio tell. */
async function tellsTheOldSet(database: Database) {
  const studioId = (await currentStudio(database.db))!.id;
  const all = await listSets(database.db, studioId, 'all');
  expect(all.map(({ title }) => title).sort()).toEqual(['A set', 'Begun twice by mistake']);
  const set = (await findSet(database.db, studioId, all.find(({ title }) => title === 'A set')!.id))!;
  expect(set.events.map(({ sequence, kind }) => `${sequence} ${kind}`)).toEqual([
    '1 section-done', '2 section-done', '3 section-done', '4 section-done', '5 felt', '6 felt', '7 taken-down',
  ]); // prettier-ignore
  expect(set.run.checks.map(({ feel }) => feel)).toEqual(['damp', 'dry']);
  expect(set.run.takenDownAtMs).toBe(NOON + 520 * MINUTE_MS);
  expect(set.installedAtMs).toBe(NOON + 4 * MINUTE_MS);
  expect(set.wearDays).toHaveLength(1);
  expect(set.outcome).toMatchObject({ lastGoodDay: 3, reason: 'frizz' });
  return { set, studioId };
}

describe('data of an older version', () => {
  it('a database from before the log had an order is brought up to date with nothing lost', async () => {
    const path = join(mkdtempSync(join(tmpdir(), 'keen-old-')), 'old.db');
    writeFileSync(path, gunzipSync(readFileSync(file('before-log.db.gz'))));
    const database = openDatabase(`file:${path}`);
    expect(await migrateDatabase(database, `file:${path}`, NOON)).toBe(`${path}.before-${NOON}`);
    const { set, studioId } = await tellsTheOldSet(database);
    const products = await listProducts(database.db, studioId);
    expect(set.layerProductIds).toEqual([products.find(({ name }) => name === 'Foam')!.id]);
    expect(products.find(({ name }) => name === 'Own mix')).toMatchObject({ leftG: 0, role: 'mousse' });
    expect(set.isEnteredLater).toBe(false);
    database.close();
  });

  it('a studio file from then is read, its checks become events', async () => {
    const read = readArchive(JSON.parse(readFileSync(file('before-log.json'), 'utf8')));
    expect(read.ok ? [] : read.errors).toEqual([]);
    const database = openDatabase(':memory:');
    await migrateDatabase(database, ':memory:', NOON);
    await database.write(async (tx) => {
      const studio = await createStudio(tx, { name: 'New', timeZone: 'UTC' }, NOON);
      if (read.ok) await importStudio(tx, studio.id, read.value);
    });
    await tellsTheOldSet(database);
    expect((await currentStudio(database.db))!.timeZone).toBe('Europe/Lisbon');
    database.close();
  });
});
