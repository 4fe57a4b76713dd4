import 'server-only';
import { clockOf } from '@/core/formats/read-display';
import { cache } from 'react';
import { query } from '@/server/action';
import {
  countHeads,
  findHead,
  HEAD_ORDERS,
  listHeadNames,
  listMeasurements,
  listMerges,
  pageOfHeads,
} from '@/server/db/rows/heads';
import { PAGE_SIZE } from '@/server/db/rows/paging';
import { listOpenPlans } from '@/server/db/rows/plans';
import { listSets } from '@/server/db/rows/set-lists';
import { askedList } from '@/ui/shell/list-asked';

/** A page of heads, as its address asks for it. */
export const loadHeads = (params: Parameters<typeof askedList>[0]) =>
  query(async ({ actor, database }) => {
    const asked = askedList(params, ['present', 'archived'], HEAD_ORDERS);
    const studioId = actor.studio.id;
    return {
      heads: await pageOfHeads(database.db, studioId, { ...asked, isArchived: asked.list === 'archived' }),
      counts: await countHeads(database.db, studioId),
      asked: { ...asked, size: PAGE_SIZE },
    };
  });

/** One head with its measurements, plans and sets, or null. */
export const loadHead = cache((id: string) =>
  query(async ({ actor, database, nowMs }) => {
    const studioId = actor.studio.id;
    const head = await findHead(database.db, studioId, id);
    if (!head) return null;
    return {
      head,
      measurements: await listMeasurements(database.db, studioId, id),
      sets: await listSets(database.db, studioId, 'all', id),
      plans: await listOpenPlans(database.db, studioId, id),
      merges: await listMerges(database.db, studioId, id),
      others: (await listHeadNames(database.db, studioId)).filter((other) => other.id !== id),
      clock: clockOf(actor.studio),
      nowMs,
    };
  }),
);
