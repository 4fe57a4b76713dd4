import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { exportStudio, importStudio, isEmptyStudio, readArchive } from '@/server/archive/studio-archive';
import { TABLE_IDS } from '@/core/tables/table';
import { tableAsCsv } from '@/server/archive/tables-as-csv';
import { migrateDatabase, openDatabase, type Database } from '@/server/db/client';
import { createStudio, currentStudio } from '@/server/db/rows/studios';
import { env } from '@/server/env';
import type { Command } from './command';
import { refuse, refuseAll } from './refuse';

async function withDatabase(run: (database: Database) => Promise<number>): Promise<number> {
  const database = openDatabase(env.databaseUrl);
  try {
    await migrateDatabase(database, env.databaseUrl, Date.now());
    return await run(database);
  } finally {
    database.close();
  }
}

/** `keen export`: the whole studio as JSON, and its sets and wear days as CSV. */
export const exportCommand: Command = {
  help: `keen export DIR   write studio.json and sets, wear days and checks as CSV into a folder`,
  run: async (args) => {
    if (args.length !== 1) return refuse('name one folder');
    const folder = args[0]!;
    return withDatabase(async ({ db }) => {
      const studio = await currentStudio(db);
      if (!studio) return refuse('there is no studio yet: nothing to export');
      const archive = await exportStudio(db, studio.id);
      mkdirSync(folder, { recursive: true });
      const files: Record<string, string> = { 'studio.json': `${JSON.stringify(archive)}\n` };
      for (const table of TABLE_IDS) files[`${table}.csv`] = await tableAsCsv(db, studio, table);
      for (const [name, text] of Object.entries(files)) writeFileSync(join(folder, name), text);
      console.log(JSON.stringify({ written: Object.keys(files).map((name) => join(folder, name)) }));
      return 0;
    });
  },
};

/** `keen import`: a studio archive into a database that has no heads yet. */
export const importCommand: Command = {
  help: `keen import STUDIO.json   take an exported studio into a database that has no heads yet`,
  run: async (args) => {
    if (args.length !== 1) return refuse('name one studio.json');
    const [file] = args as [string];
    let raw: unknown;
    try {
      raw = JSON.parse(readFileSync(file, 'utf8'));
    } catch {
      return refuse(`“${file}” cannot be read as JSON`);
    }
    const archive = readArchive(raw);
    if (!archive.ok) return refuseAll(archive.errors);
    return withDatabase(async (database) => {
      const studio = await currentStudio(database.db);
      if (studio && !(await isEmptyStudio(database, studio.id))) {
        return refuse('this database has heads already; import into a new one (set DATABASE_URL)');
      }
      await database.write(async (tx) => {
        const target = studio ?? (await createStudio(tx, archive.value.studio, Date.now()));
        await importStudio(tx, target.id, archive.value);
      });
      console.log(JSON.stringify({ imported: archive.value.tables.heads.length, of: 'heads' }));
      return 0;
    });
  },
};
