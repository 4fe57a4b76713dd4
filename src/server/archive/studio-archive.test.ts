import { describe, expect, it } from 'vitest';
import { aDay, aHead, ALL_DONE, aSet, aStudio, NOON, sent, tap } from '../../../tests/support/studio';
import type { PartingEdit } from '@/core/run/parting-edit';
import { findSet } from '../db/rows/sets';
import { saveWearDay } from '../db/rows/wear';
import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { z } from 'zod';
import { seedDemo } from '../../../scripts/demo/seed';
import { migrateDatabase, openDatabase } from '../db/client';
import { createStudio, currentStudio } from '../db/rows/studios';
import { exportStudio, importStudio, isEmptyStudio, readArchive, studioArchive } from './studio-archive';
import { tableAsCsv } from './tables-as-csv';

const aDatabase = async () => {
  const database = openDatabase(':memory:');
  await migrateDatabase(database, ':memory:', NOON);
  return database;
};

describe('a whole studio as one file', () => {
  it('comes back the same from an export, an import and an export', async () => {
    const from = await aDatabase();
    await seedDemo(from, NOON);
    const archive = await exportStudio(from.db, (await currentStudio(from.db))!.id);
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

    const csv = await tableAsCsv(to.db, { id: studio.id, timeZone: 'UTC' }, 'wear-days');
    const back = Papa.parse<Record<string, string>>(csv, { header: true, skipEmptyLines: 'greedy' });
    expect(back.errors).toEqual([]);
    expect(back.data).toHaveLength(archive.tables.wearDays.length);
    expect(archive.tables.sets.map(({ id }) => id)).toContain(back.data[0]!.set);
  });

  it('holds all that was tapped and seen, and reads it back as it was', async () => {
    const { database: from, studioId } = await aStudio();
    const setId = await aSet(from, studioId, await aHead(from, studioId));
    const parting: PartingEdit = { edit: 'split', section: 2 };
    await tap(from, studioId, setId, [
      sent('room', 'room', 0, { room: { temperatureC: 24, relativeHumidity: 0.4 } }),
      sent('split', 'parted', 1, { parting }),
      ...ALL_DONE,
      sent('child', 'section-done', 5, 1002),
      sent('down', 'taken-down', 600),
      sent('m', 'measured', 610, {
        measured: { ratings: { frizz: 2 }, visibleCm: { crown: 9 }, curlMm: {} },
      }),
    ]);
    const seen = aDay({
      marks: { frizz: [1, 1002] },
      done: { deeds: ['misted'], redone: { as: 'twists', count: 4 }, worn: 'loose' },
      weather: { temperatureC: 9, dewPointC: 8 },
      visibleCm: { nape: 8 },
    });
    await from.write((tx) => saveWearDay(tx, studioId, setId, seen, NOON));
    await from.write((tx) => saveWearDay(tx, studioId, setId, aDay({ revision: 1, ratings: {} }), NOON));
    const archive = await exportStudio(from.db, studioId);
    expect(archive.tables.setEvents).toHaveLength(9);
    expect(archive.tables.wearDayHistory).toHaveLength(1);
    const read = readArchive(JSON.parse(JSON.stringify(archive)));
    expect(read.ok ? [] : read.errors).toEqual([]);
    const to = await aDatabase();
    const studio = await to.write((tx) => createStudio(tx, { name: 'New', timeZone: 'UTC' }, NOON));
    if (read.ok) await to.write((tx) => importStudio(tx, studio.id, read.value));
    const [before, after] = await Promise.all([
      findSet(from.db, studioId, setId),
      findSet(to.db, studio.id, setId),
    ]);
    expect(after!.run).toEqual(before!.run);
    expect(after!.run.doneAtMs.has(1002)).toBe(true);
    expect(after!.wearDays).toEqual(before!.wearDays);
    expect((await exportStudio(to.db, studio.id)).tables.wearDayHistory).toEqual(
      archive.tables.wearDayHistory,
    );
    from.close();
  });

  it('is read from before there were mixes, prices and schools', async () => {
    const from = await aDatabase();
    await seedDemo(from, NOON);
    const archive = structuredClone(
      await exportStudio(from.db, (await currentStudio(from.db))!.id),
    ) as unknown as {
      studio: Record<string, unknown>;
      tables: Record<string, Record<string, unknown>[]>;
    };
    delete archive.studio.currency;
    delete archive.tables.mixes;
    for (const [table, columns] of Object.entries({
      products: ['usedSinceG', 'weighedAtMs', 'priceMinor', 'mixId', 'notes', 'revision'],
      sets: ['costMinor', 'takenG'],
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

  it('that does not hang together is refused naming the entry, and nothing of it is written', async () => {
    const from = await aDatabase();
    await seedDemo(from, NOON);
    const whole = await exportStudio(from.db, (await currentStudio(from.db))!.id);
    type Rows = Record<string, Record<string, unknown>[]>;
    const refused = (spoil: (archive: { studio: Record<string, unknown>; tables: Rows }) => void) => {
      const archive = structuredClone(whole) as unknown as { studio: Record<string, unknown>; tables: Rows };
      spoil(archive);
      const read = readArchive(archive);
      return read.ok ? [] : read.errors.map(({ path, message }) => `${path}: ${message}`);
    };
    expect(refused(() => undefined)).toEqual([]);
    expect(refused(({ studio }) => (studio.timeZone = 'Mars/Olympus'))[0]).toContain('“Mars/Olympus”');
    const head = String(whole.tables.heads[0]!.id);
    expect(
      refused(({ tables }) => {
        tables.headMeasurements = tables.headMeasurements!.filter((row) => row.headId !== head);
      }).join('\n'),
    ).toContain(`“${String(whole.tables.heads[0]!.name)}” has no measurements`);
    expect(refused(({ tables }) => (tables.sets![0]!.headId = 'nobody'))[0]).toContain('not in this file');
    for (const spoil of [
      { startedAtMs: 9_007_199_254_740_991 },
      { startedAtMs: -1 },
      { brief: { format: 'keen-spiral/brief', version: 1 } },
      { forecast: {} },
      { title: 'x'.repeat(20_001) },
    ])
      expect(refused(({ tables }) => Object.assign(tables.sets![0]!, spoil)).length).toBeGreaterThan(0);
    expect(refused(({ tables }) => (tables.wearDays![0]!.definition = 10.5))[0]).toContain('0 to 10');
    expect(refused(({ tables }) => (tables.wearDays![0]!.definition = 10))).toEqual([]);
    expect(refused(({ tables }) => (tables.setEvents![0]!.kind = 'danced'))[0]).toContain('setEvents.0');
  });

  it('whose entries another studio of the database has already is refused, naming them', async () => {
    const database = await aDatabase();
    await seedDemo(database, NOON);
    const archive = await exportStudio(database.db, (await currentStudio(database.db))!.id);
    const read = readArchive(JSON.parse(JSON.stringify(archive)));
    const other = await database.write((tx) =>
      createStudio(tx, { name: 'Other', timeZone: 'UTC' }, NOON + 1),
    );
    if (!read.ok) throw new Error('the export is refused');
    await expect(database.write((tx) => importStudio(tx, other.id, read.value))).rejects.toMatchObject({
      code: 'invalid',
      errors: expect.arrayContaining([
        expect.objectContaining({
          message: expect.stringContaining('“Amara” is in another studio') as string,
        }),
      ]) as unknown[],
    });
    expect(await isEmptyStudio(database, other.id)).toBe(true);
  });

  it('writes no cell that a spreadsheet would run', async () => {
    const from = await aDatabase();
    await seedDemo(from, NOON);
    const studio = (await currentStudio(from.db))!;
    const hostile = ['=1+1', '+1', '-1', '@SUM(A1)', '\tx', '\rx'];
    const { rows } = await from.client.execute('select id from wear_days limit 6');
    for (const [i, { id }] of rows.entries())
      await from.client.execute({
        sql: 'update wear_days set note = ? where id = ?',
        args: [hostile[i]!, id!],
      });
    const csv = await tableAsCsv(from.db, studio, 'wear-days');
    const found = Papa.parse<{ note: string; definition: string }>(csv, { header: true }).data;
    const notes = found.flatMap(({ note }) => (note ? [note] : []));
    for (const note of notes) if (note !== '-1') expect(note).not.toMatch(/^[=+\-@\t\r]/);
    expect(notes).toContain("'=1+1");
    expect(Number.isNaN(Number(found[0]!.definition))).toBe(false);
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
