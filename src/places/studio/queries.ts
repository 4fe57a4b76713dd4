import 'server-only';
import { existsSync, statSync } from 'node:fs';
import { resolve } from 'node:path';
import { USUAL_DISPLAY } from '@/core/formats/display';
import { clockOf, readDisplay } from '@/core/formats/read-display';
import { query } from '@/server/action';
import { fileOf } from '@/server/db/backup';
import { asideStudio } from '@/server/db/rows/studios';
import { copiesFolder, listCopies } from '@/server/db/scheduled-backups';
import { env } from '@/server/env';

/** How the studio shows things. A page that says what went wrong must not fail for want of it. */
export const loadShown = () =>
  query(({ actor }) =>
    Promise.resolve({
      name: actor.studio.name,
      timeZone: actor.studio.timeZone,
      display: readDisplay(actor.studio.display),
    }),
  ).catch(() => ({ name: '', timeZone: 'UTC', display: USUAL_DISPLAY }));

function fileFacts() {
  const file = fileOf(env.databaseUrl);
  if (file === null) return null;
  const bytes = [file, `${file}-wal`].reduce(
    (sum, part) => sum + (existsSync(part) ? statSync(part).size : 0),
    0,
  );
  return { path: resolve(file), bytes, copies: resolve(copiesFolder()!) };
}

/** The studio, its data and the copies of it. */
export const loadStudio = () =>
  query(async ({ actor, database }) => {
    const { name, timeZone, currency, display, hand, isDemo } = actor.studio;
    const aside = await asideStudio(database.db);
    return {
      card: { name, timeZone, currency, display: readDisplay(display), hand },
      isDemo,
      aside: aside ? { name: aside.name, isDemo: aside.isDemo } : null,
      file: fileFacts(),
      copies: listCopies(),
      clock: clockOf(actor.studio),
    };
  });
