import { describe, expect, it } from 'vitest';
import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { z } from 'zod';
import { seedDemo } from '../../../scripts/demo/seed';
import { NOON } from '../../../tests/support/studio';
import { migrateDatabase, openDatabase } from '../db/client';
import { createStudio, firstStudio } from '../db/rows/studios';
import { exportStudio, importStudio, isEmptyStudio, readArchive, studioArchive } from './studio-archive';
import { tablesAsCsv } from './tables-as-csv';

const aDatabase = async () => {
  const database = openDatabase(':memory:');
  await migrateDatabase(database, ':memory:', NOON);
  return database;
};

describe('a whole studio as one file', () => {
  it('comes back the same from an export, an import and an export', async () => {
    const from = await aDatabase();
    await seedDemo(from, NOON);
    const archive = await exportStudio(from.db, (await firstStudio(from.db))!.id);
    expect(archive.tables.heads.length).toBeGreaterThan(3);
    expect(archive.tables.wearDays.length).toBeGreaterThan(10);

    const read = readArchive(JSON.parse(JSON.stringify(archive)));
    expect(read.ok).toBe(true);
    const to = await aDatabase();
    const studio = await to.write((tx) => createStudio(tx, { name: 'New', timeZone: 'UTC' }, NOON));
    expect(await isEmptyStudio(to, studio.id)).toBe(true);
    if (read.ok) await to.write((tx) => importStudio(tx, studio.id, read.value));
    expect(await isEmptyStudio(to, studio.id)).toBe(false);
    expect(await exportStudio(to.db, studio.id)).toEqual(archive);

    const { 'wear-days.csv': csv } = tablesAsCsv(archive) as { 'wear-days.csv': string };
    const back = Papa.parse<Record<string, string>>(csv, { header: true });
    expect(back.errors).toEqual([]);
    expect(back.data).toHaveLength(archive.tables.wearDays.length);
    expect(back.data[0]!.id).toBe(archive.tables.wearDays[0]!.id);
  });

  it('is read from before there were mixes, prices and schools', async () => {
    const from = await aDatabase();
    await seedDemo(from, NOON);
    const archive = structuredClone(
      await exportStudio(from.db, (await firstStudio(from.db))!.id),
    ) as unknown as {
      studio: Record<string, unknown>;
      tables: Record<string, Record<string, unknown>[]>;
    };
    delete archive.studio.currency;
    delete archive.tables.mixes;
    for (const [table, columns] of Object.entries({
      products: ['usedSinceG', 'weighedAtMs', 'priceMinor', 'mixId', 'notes', 'revision'],
      sets: ['costMinor'],
      heads: ['schools'],
      tools: ['revision'],
    }))
      for (const row of archive.tables[table]!) for (const column of columns) delete row[column];
    const read = readArchive(archive);
    expect(read.ok ? [] : read.errors).toEqual([]);
    const to = await aDatabase();
    const studio = await to.write((tx) => createStudio(tx, { name: 'New', timeZone: 'UTC' }, NOON));
    if (read.ok) await to.write((tx) => importStudio(tx, studio.id, read.value));
    const again = await exportStudio(to.db, studio.id);
    expect(again.tables.products[0]).toMatchObject({ priceMinor: null, usedSinceG: 0, revision: 1 });
    expect(again.tables.heads[0]).toMatchObject({ schools: {} });
    expect(again.tables.mixes).toEqual([]);
    expect(again.studio.currency).toBe('EUR');
  });

  it('has its JSON Schema in docs', () => {
    const schema: unknown = JSON.parse(JSON.stringify(z.toJSONSchema(studioArchive, { io: 'input' })));
    expect(
      JSON.parse(readFileSync('docs/schema/studio.v1.schema.json', 'utf8')),
      'run npm run schemas',
    ).toEqual(schema);
  });

  it('says what is wrong with an archive', () => {
    const errorsOf = (raw: unknown) => {
      const read = readArchive(raw);
      return read.ok ? [] : read.errors.map((error) => error.path);
    };
    const empty = {
      format: 'keen-spiral/studio',
      version: 1,
      studio: { name: 'A', timeZone: 'UTC', handUnits: {} },
    };
    expect(errorsOf({ ...empty, version: 2, tables: {} })).toContain('version');
    expect(errorsOf({ ...empty, tables: { heads: [{ id: 3 }] } })).toContain('tables.heads.0.id');
    expect(errorsOf({ ...empty, colour: 1, tables: {} })).toContain('colour');
  });
});
