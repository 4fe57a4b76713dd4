import 'server-only';
import type { Clock } from '@/core/formats/display';
import { clockOf } from '@/core/formats/read-display';
import { readBrief } from '@/core/formats/read-brief';
import { reservedFor, type Booked } from '@/core/shelf/reserved';
import { checkShelf } from '@/core/shelf/shelf-check';
import { dateInZone } from '@/ui/format';
import { cache } from 'react';
import { query } from '@/server/action';
import { quickView } from '@/server/forecast-cache';
import type { Reader } from '@/server/db/client';
import {
  findDryer,
  findMix,
  findProduct,
  findTool,
  listDryers,
  listMixes,
  listProducts,
  listTools,
} from '@/server/db/rows/shelf';
import { findPlan, listOpenPlans } from '@/server/db/rows/plans';
import { listPricedSets } from '@/server/db/rows/set-lists';

/** Sets whose price is shown. */
const MOST_PRICED = 5;
/** Booked plans that are looked at: those to be ready first. */
const MOST_BOOKED = 40;

/** A booked plan with its head, for the words. */
export interface BookedPlan extends Booked {
  readonly title: string;
  readonly headName: string;
}

/** Every booked plan with what it takes. Plans that no longer add up take nothing. */
export async function bookedPlans(reader: Reader, studioId: string): Promise<BookedPlan[]> {
  const chosen = (await listOpenPlans(reader, studioId, undefined, ['chosen'])).sort((a, b) =>
    (a.wearBy ?? '9').localeCompare(b.wearBy ?? '9'),
  );
  const found = await Promise.all(
    chosen.slice(0, MOST_BOOKED).map(async ({ id, title, headName }) => {
      const plan = await findPlan(reader, studioId, id);
      const read = plan && readBrief(plan.brief);
      if (!plan || !read?.ok) return null;
      const answer = await quickView(plan);
      if (!answer.ok) return null;
      return {
        id,
        title,
        headName,
        readyMs: read.value.wearByMs,
        needs: answer.value.view.plan,
        layerProductIds: plan.layerProductIds,
      };
    }),
  );
  return found
    .filter((plan) => plan !== null)
    .sort((a, b) => (a.readyMs ?? Infinity) - (b.readyMs ?? Infinity));
}

/** What booked plans will find missing, in the order they are due. */
export async function bookedShortages(reader: Reader, studioId: string, clock: Clock) {
  const [booked, products, tools] = await Promise.all([
    bookedPlans(reader, studioId),
    listProducts(reader, studioId),
    listTools(reader, studioId),
  ]);
  return booked.map((plan) => ({
    id: plan.id,
    title: plan.title,
    headName: plan.headName,
    readyMs: plan.readyMs,
    sections: plan.needs.sections.length,
    check: checkShelf(
      plan.needs,
      plan.layerProductIds,
      products,
      tools,
      reservedFor(plan, booked),
      plan.readyMs === null ? null : dateInZone(plan.readyMs, clock.timeZone),
    ),
  }));
}

/** The whole shelf, with what is spoken for. */
export const loadShelf = () =>
  query('read', async ({ actor, database, nowMs }) => {
    const { studio } = actor;
    const booked = await bookedShortages(database.db, studio.id, clockOf(studio));
    return {
      products: await listProducts(database.db, studio.id),
      tools: await listTools(database.db, studio.id),
      dryers: await listDryers(database.db, studio.id),
      mixes: await listMixes(database.db, studio.id),
      booked,
      priced: (await listPricedSets(database.db, studio.id, MOST_PRICED)).map(
        ({ id, title, headName, startedAtMs, costMinor }) => ({
          id,
          title,
          headName,
          startedAtMs,
          costMinor: costMinor ?? 0,
        }),
      ),
      currency: studio.currency,
      today: dateInZone(nowMs, studio.timeZone),
      clock: clockOf(studio),
    };
  });

/** One product for its form, or null. */
export const loadProduct = cache((id: string) =>
  query('read', async ({ actor, database }) => {
    const product = await findProduct(database.db, actor.studio.id, id);
    return product && { product, currency: actor.studio.currency };
  }),
);

/** What a form of a new product must know. */
export const loadCurrency = () => query('read', ({ actor }) => Promise.resolve(actor.studio.currency));

/** One tool for its form, or null. */
export const loadTool = cache((id: string) =>
  query('read', ({ actor, database }) => findTool(database.db, actor.studio.id, id)),
);

/** One dryer for its form, or null. */
export const loadDryer = cache((id: string) =>
  query('read', ({ actor, database }) => findDryer(database.db, actor.studio.id, id)),
);

/** One mix, or null where it is gone; and what can go into it. */
export const loadMix = cache((id: string | null) =>
  query('read', async ({ actor, database }) => {
    const mix = id === null ? null : await findMix(database.db, actor.studio.id, id);
    if (id !== null && !mix) return null;
    const products = await listProducts(database.db, actor.studio.id);
    return { mix, products: products.filter((product) => product.mixId === null || product.mixId !== id) };
  }),
);
