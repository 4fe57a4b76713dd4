import 'server-only';
import { clockOf } from '@/core/formats/read-display';
import { query } from '@/server/action';
import { listSets } from '@/server/db/rows/set-lists';

/** Styles being worn. */
export const loadWorn = () =>
  query(async ({ actor, database, nowMs }) => ({
    sets: await listSets(database.db, actor.studio.id, 'worn'),
    clock: clockOf(actor.studio),
    nowMs,
  }));
