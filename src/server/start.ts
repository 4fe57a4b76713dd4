import { requireWhole, fileOf } from './db/backup';
import { database, migrateDatabase } from './db/client';
import { hold } from './db/file-holder';
import { createStudio, currentStudio } from './db/rows/studios';
import { copiesFolder, listCopies, scheduleCopies } from './db/scheduled-backups';
import { env } from './env';
import { AppError } from './errors';
import { findOutBeforehand } from './findings';
import { log } from './log';
import { warmUp } from './pool';

/** Brings the database up to date and makes a first studio where there is none. */
export async function prepareDatabase(): Promise<void> {
  const copy = await migrateDatabase(database(), env.databaseUrl, Date.now());
  if (copy) log.info({ copy }, 'database copied before migrating');
  await database().write(async (tx) => {
    if (await currentStudio(tx)) return;
    const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
    await createStudio(tx, { name: 'My studio', timeZone }, Date.now());
  });
}

/**
 * What the server does before it answers anybody: sees that the database is whole and nobody else's, holds it, brings
 * it up to date, and has it copied from time to time.
 *
 * @throws AppError invalid with what to do
 */
export async function startServer(): Promise<void> {
  const file = fileOf(env.databaseUrl);
  if (file !== null) {
    const held = hold(file);
    if (typeof held === 'number')
      throw new AppError('invalid', [
        {
          path: 'DATABASE_URL',
          message: `another Keen Spiral runs on “${file}” (process ${held}); stop it, or name another file in DATABASE_URL`,
        },
      ]);
  }
  const folder = copiesFolder();
  await requireWhole(
    env.databaseUrl,
    listCopies().map(({ name }) => `${folder}/${name}`),
  );
  await prepareDatabase();
  scheduleCopies();
  warmUp();
  const studio = await currentStudio(database().db);
  if (studio)
    findOutBeforehand(database(), studio).catch((thrown: unknown) =>
      log.warn({ err: thrown }, 'findings could not be worked out beforehand'),
    );
}
