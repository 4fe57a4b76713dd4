import 'server-only';
import { answerView } from '@/core/plan/answer-view';
import { withBelief } from '@/core/plan/forecast-view';
import { query } from '@/server/action';
import { findSet, listSets } from '@/server/db/rows/sets';

/** Sets in the chair or drying. */
export const loadChairs = () =>
  query(async ({ actor, database, nowMs }) => ({
    sets: await listSets(database.db, actor.studio.id, 'chair'),
    timeZone: actor.studio.timeZone,
    nowMs,
  }));

/** One set with its forecast worked out again for the chair, or null. */
export const loadChair = (id: string) =>
  query(async ({ actor, database, nowMs }) => {
    const set = await findSet(database.db, actor.studio.id, id);
    if (!set) return null;
    const answer = answerView(set.brief);
    if (!answer.ok) return null;
    const { drawn } = answer.value;
    const view = withBelief(answer.value.view, set.dryingBelief);
    return { set, view, drawn, partPath: answer.value.partPath, timeZone: actor.studio.timeZone, nowMs };
  });
