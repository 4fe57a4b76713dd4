import 'server-only';
import { clockOf } from '@/core/formats/read-display';
import { cache } from 'react';
import type { BriefInput } from '@/core/formats/brief';
import { query } from '@/server/action';
import { setView } from '@/server/forecast-cache';
import { inPool } from '@/server/pool';
import { listHeadNames } from '@/server/db/rows/heads';
import { PAGE_SIZE } from '@/server/db/rows/paging';
import { countSets, pageOfSets, SET_ORDERS } from '@/server/db/rows/set-lists';
import { listProducts } from '@/server/db/rows/shelf';
import { measuresOf, photosOf } from '@/server/db/rows/photos';
import { findSet } from '@/server/db/rows/sets';
import { askedList } from '@/ui/shell/list-asked';

/** A page of sets, as its address asks for it. */
export const loadSets = (params: Parameters<typeof askedList>[0]) =>
  query('read', async ({ actor, database, nowMs }) => {
    const asked = askedList(params, ['all', 'chair', 'worn', 'ended', 'cancelled'], SET_ORDERS);
    const studioId = actor.studio.id;
    return {
      sets: await pageOfSets(database.db, studioId, { ...asked, stage: asked.list }),
      counts: await countSets(database.db, studioId),
      asked: { ...asked, size: PAGE_SIZE },
      clock: clockOf(actor.studio),
      nowMs,
    };
  });

/** How the set was laid out from the moment it was really begun; nothing where it had no time to be ready by then. */
async function laidOut(brief: BriefInput, startedAtMs: number) {
  if (!brief.wearBy) return [];
  const { prep: _, ...rest } = brief;
  const from = { ...rest, prep: [], startAt: new Date(startedAtMs).toISOString() };
  const answer = await inPool('view', { brief: from, draws: 0 });
  return answer.ok ? answer.value.view.blocks : [];
}

/** One set with its forecast, everything that happened to it and its days of wear, or null. */
export const loadSetView = cache((id: string) =>
  query('read', async ({ actor, database, nowMs }) => {
    const set = await findSet(database.db, actor.studio.id, id);
    if (!set) return null;
    const answer = await setView(set, nowMs);
    return {
      set,
      view: answer.ok ? answer.value.view : null,
      drawn: answer.ok ? answer.value.drawn : [],
      partPath: answer.ok ? answer.value.partPath : null,
      photos: await photosOf(database.db, actor.studio.id, id),
      measures: await measuresOf(database.db, actor.studio.id, id),
      clock: clockOf(actor.studio),
      nowMs,
    };
  }),
);

/** The same with the set laid out from when it was begun. */
export const loadSet = cache(async (id: string) => {
  const loaded = await loadSetView(id);
  if (!loaded) return null;
  const { brief, startedAtMs, isEnteredLater, layerProductIds } = loaded.set;
  return {
    ...loaded,
    productNames: await query('read', async ({ actor, database }) =>
      Object.fromEntries(
        (await listProducts(database.db, actor.studio.id)).flatMap(({ id: productId, name }) =>
          layerProductIds.includes(productId) ? [[productId, name]] : [],
        ),
      ),
    ),
    blocks: isEnteredLater ? [] : await laidOut(brief, startedAtMs),
  };
});

/** The heads that a set done elsewhere can be written down for. */
export const loadEnterSet = () =>
  query('read', async ({ actor, database, nowMs }) => ({
    heads: await listHeadNames(database.db, actor.studio.id),
    clock: clockOf(actor.studio),
    nowMs,
  }));
