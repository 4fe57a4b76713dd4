import 'server-only';
import { existsSync, statSync } from 'node:fs';
import { resolve } from 'node:path';
import { USUAL_DISPLAY } from '@/core/formats/display';
import { clockOf, readDisplay } from '@/core/formats/read-display';
import { DUE_WORDS } from '@/core/care/due';
import { localMs } from '@/core/schedule/local-time';
import { query } from '@/server/action';
import { asking } from '@/server/asking';
import { careOfHeads } from '@/server/care';
import { syncCalendar } from '@/server/db/rows/care';
import { listOpenPlans } from '@/server/db/rows/plans';
import { fileOf } from '@/server/db/backup';
import { asideStudio, findStudio } from '@/server/db/rows/studios';
import { copiesFolder, listCopies } from '@/server/db/scheduled-backups';
import { env } from '@/server/env';

/** How the studio shows things. A page that says what went wrong must not fail for want of it. */
export const loadShown = () =>
  query('shown-how', ({ actor }) =>
    Promise.resolve({
      name: actor.studio.name,
      timeZone: actor.studio.timeZone,
      display: readDisplay(actor.studio.display),
      role: actor.role,
      person: actor.person && { name: actor.person.name, colour: actor.person.colour },
    }),
  ).catch(() => ({ name: '', timeZone: 'UTC', display: USUAL_DISPLAY, role: null, person: null }));

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
  query('studio', async ({ actor, database }) => {
    // As it is kept: whoever signed in may see it with ways of her own.
    const studio = (await findStudio(database.db, actor.studio.id)) ?? actor.studio;
    const { name, timeZone, currency, display, hand, trimWeeks, isDemo, calendarKey } = studio;
    const isHere = asking().door === 'computer';
    const aside = isHere ? await asideStudio(database.db) : undefined;
    return {
      card: { name, timeZone, currency, display: readDisplay(display), hand, trimWeeks },
      calendarKey,
      isDemo,
      aside: aside ? { name: aside.name, isDemo: aside.isDemo } : null,
      isHere,
      file: isHere ? fileFacts() : null,
      copies: isHere ? listCopies() : [],
      clock: clockOf(actor.studio),
    };
  });

/** What is due and booked, as calendars are told it; null for an address that is not this studio’s. */
export const loadCalendar = (key: string) =>
  query('read', async ({ actor: { studio }, database, nowMs }) => {
    if (studio.calendarKey === null || studio.calendarKey !== key) return null;
    const heads = await careOfHeads(database.db, studio, nowMs);
    const care = heads.flatMap(({ headId, name, due }) =>
      due.flatMap(({ kind, date, why }) =>
        date === null
          ? []
          : [{ uid: `${kind}-${headId}@keen-spiral`, date, summary: `${name}: ${DUE_WORDS[kind]} (${why})` }],
      ),
    );
    const plans = await listOpenPlans(database.db, studio.id);
    const booked = plans.flatMap(({ id, status, wearBy, headName, title }) => {
      const ms = status === 'chosen' && wearBy !== null ? localMs(wearBy, studio.timeZone) : null;
      return ms === null
        ? []
        : [
            {
              uid: `plan-${id}@keen-spiral`,
              date: new Date(ms).toISOString(),
              summary: `${headName} is ready: ${title}`,
            },
          ];
    });
    const events = await database.write((tx) => syncCalendar(tx, studio.id, [...care, ...booked], nowMs));
    return { name: studio.name, events };
  });
