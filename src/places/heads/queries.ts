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
import { fiveLines } from '@/core/evidence/five-lines';
import { studioKnowledge } from '@/server/learning';
import { careOfHeads, growthOfHead } from '@/server/care';
import { careOf } from '@/server/db/rows/care';
import { photosOfHead } from '@/server/db/rows/photos';
import { driedWith, listSets } from '@/server/db/rows/set-lists';
import { findSet } from '@/server/db/rows/sets';
import { ratedDays } from '@/server/db/rows/wear';
import { askedList } from '@/ui/shell/list-asked';

/** A page of heads, as its address asks for it. */
export const loadHeads = (params: Parameters<typeof askedList>[0]) =>
  query('read', async ({ actor, database }) => {
    const asked = askedList(params, ['present', 'archived'], HEAD_ORDERS);
    const studioId = actor.studio.id;
    return {
      heads: await pageOfHeads(database.db, studioId, { ...asked, isArchived: asked.list === 'archived' }),
      counts: await countHeads(database.db, studioId),
      asked: { ...asked, size: PAGE_SIZE },
    };
  });

/** The newest pictures that a head’s page shows; all of them are with their sets. */
const MOST_PICTURES = 60;

/** One head with its measurements, plans and sets, or null. */
export const loadHead = cache((id: string) =>
  query('read', async ({ actor, database, nowMs }) => {
    const studioId = actor.studio.id;
    const head = await findHead(database.db, studioId, id);
    if (!head) return null;
    const sets = await listSets(database.db, studioId, 'all', id);
    const onRods = sets.find(({ set }) => set?.tool);
    const rodSet = onRods ? await findSet(database.db, studioId, onRods.id) : null;
    const [care] = await careOfHeads(database.db, actor.studio, nowMs, id);
    const { learning } = await studioKnowledge(database, actor.studio);
    return {
      head,
      known: fiveLines(learning, id, head.likes, nowMs),
      days: [
        ...(await ratedDays(
          database.db,
          studioId,
          sets.map((set) => set.id),
        )),
      ],
      dried: await driedWith(database.db, studioId, id),
      pictures: await photosOfHead(database.db, studioId, id, MOST_PICTURES),
      care: care?.due ?? [],
      careLog: await careOf(database.db, studioId, id),
      growth: await growthOfHead(database.db, actor.studio, id),
      rods:
        rodSet?.forecast.tool?.monthsUntilOutgrown !== undefined && onRods
          ? {
              setAtMs: onRods.startedAtMs,
              months: rodSet.forecast.tool.monthsUntilOutgrown,
              mm: onRods.set!.tool!.diameterMm,
            }
          : null,
      measurements: await listMeasurements(database.db, studioId, id),
      sets,
      plans: await listOpenPlans(database.db, studioId, id),
      merges: await listMerges(database.db, studioId, id),
      others: (await listHeadNames(database.db, studioId)).filter((other) => other.id !== id),
      clock: clockOf(actor.studio),
      nowMs,
    };
  }),
);
