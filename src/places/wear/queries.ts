import 'server-only';
import { answerView } from '@/core/plan/answer-view';
import { query } from '@/server/action';
import { findSet, listSets } from '@/server/db/rows/sets';

/** Styles being worn. */
export const loadWorn = () =>
  query(async ({ actor, database, nowMs }) => ({
    sets: await listSets(database.db, actor.studio.id, 'worn'),
    timeZone: actor.studio.timeZone,
    nowMs,
  }));

/** One style with its days and forecast, or null. */
export const loadWear = (id: string) =>
  query(async ({ actor, database, nowMs }) => {
    const set = await findSet(database.db, actor.studio.id, id);
    if (!set) return null;
    const answer = answerView(set.brief);
    return {
      set,
      view: answer.ok ? answer.value.view : null,
      drawn: answer.ok ? answer.value.drawn : [],
      partPath: answer.ok ? answer.value.partPath : null,
      timeZone: actor.studio.timeZone,
      nowMs,
    };
  });
