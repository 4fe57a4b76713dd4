import { database, migrateDatabase } from './db/client';
import { createStudio, firstStudio } from './db/rows/studios';
import { env } from './env';
import { log } from './log';

/** Brings the database up to date and makes a first studio where there is none. */
export async function prepareDatabase(): Promise<void> {
  const copy = await migrateDatabase(database(), env.databaseUrl, Date.now());
  if (copy) log.info({ copy }, 'database copied before migrating');
  await database().write(async (tx) => {
    if (await firstStudio(tx)) return;
    const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
    await createStudio(tx, { name: 'My studio', timeZone }, Date.now());
  });
}
