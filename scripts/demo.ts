import { existsSync, renameSync } from 'node:fs';
import { migrateDatabase, openDatabase } from '@/server/db/client';
import { countHeads } from '@/server/db/rows/heads';
import { currentStudio } from '@/server/db/rows/studios';
import { env } from '@/server/env';
import { growDemo, seedDemo } from './demo/seed';

/** Fills an empty database with the demo studio; `--fresh` first puts an existing file aside. */
async function main() {
  const nowMs = Date.now();
  const file = env.databaseUrl.startsWith('file:') ? env.databaseUrl.slice('file:'.length) : null;
  if (process.argv.includes('--fresh') && file && existsSync(file)) {
    const aside = `${file}.aside-${nowMs}`;
    for (const suffix of ['', '-wal', '-shm']) {
      if (existsSync(file + suffix)) renameSync(file + suffix, aside + suffix);
    }
    console.log(`The old data was put aside as ${aside}`);
  }
  const database = openDatabase(env.databaseUrl);
  await migrateDatabase(database, env.databaseUrl, nowMs);
  const studio = await currentStudio(database.db);
  if (studio && (await countHeads(database.db, studio.id)).present > 0) {
    console.log('The database already holds heads: it is kept as it is.');
  } else {
    await seedDemo(database, nowMs);
    await growDemo(database, nowMs);
    console.log('Fernhollow Studio is ready.');
  }
  database.close();
}

await main();
