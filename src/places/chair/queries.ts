import 'server-only';
import { clockOf } from '@/core/formats/display';
import { cache } from 'react';
import { withBelief } from '@/core/plan/forecast-view';
import { query } from '@/server/action';
import { setView } from '@/server/forecast-cache';
import { listDryers, listProducts, listTools } from '@/server/db/rows/shelf';
import { findHead } from '@/server/db/rows/heads';
import { findSet } from '@/server/db/rows/sets';
import { listSets } from '@/server/db/rows/set-lists';

/** Sets in the chair or drying. */
export const loadChairs = () =>
  query(async ({ actor, database, nowMs }) => ({
    sets: await listSets(database.db, actor.studio.id, 'chair'),
    clock: clockOf(actor.studio),
    nowMs,
  }));

/** One set with its forecast worked out again for the chair, or null. */
export const loadChair = cache((id: string) =>
  query(async ({ actor, database, nowMs }) => {
    const set = await findSet(database.db, actor.studio.id, id);
    if (!set) return null;
    const answer = await setView(set, nowMs);
    if (!answer.ok) return null;
    const { drawn, dryCourse, planned } = answer.value;
    const view = withBelief(answer.value.view, set, planned);
    return {
      set,
      view,
      drawn,
      dryCourse,
      partPath: answer.value.partPath,
      products: await listProducts(database.db, actor.studio.id),
      schools: (await findHead(database.db, actor.studio.id, set.headId))?.schools ?? {},
      dryers: await listDryers(database.db, actor.studio.id),
      tools: await listTools(database.db, actor.studio.id),
      handUnits: actor.studio.handUnits,
      clock: clockOf(actor.studio),
      nowMs,
    };
  }),
);
