import 'server-only';
import { query } from '@/server/action';
import { findHead, listHeads, listMeasurements } from '@/server/db/rows/heads';
import { listSets } from '@/server/db/rows/sets';

/** Every head. */
export const loadHeads = () =>
  query(async ({ actor, database }) => ({ heads: await listHeads(database.db, actor.studio.id) }));

/** One head with its measurements and sets, or null. */
export const loadHead = (id: string) =>
  query(async ({ actor, database, nowMs }) => {
    const head = await findHead(database.db, actor.studio.id, id);
    if (!head) return null;
    return {
      head,
      measurements: await listMeasurements(database.db, actor.studio.id, id),
      sets: await listSets(database.db, actor.studio.id, 'all', id),
      timeZone: actor.studio.timeZone,
      nowMs,
    };
  });
