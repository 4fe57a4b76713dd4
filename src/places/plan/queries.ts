import 'server-only';
import { clockOf, readDisplay } from '@/core/formats/read-display';
import { readBrief } from '@/core/formats/read-brief';
import { query } from '@/server/action';
import { quickView, settledView } from '@/server/forecast-cache';
import { knownOfHead, knownPlan } from '@/server/learning';
import { findHead, listHeadNames } from '@/server/db/rows/heads';
import { PAGE_SIZE } from '@/server/db/rows/paging';
import { countPlans, findPlan, listOpenPlans, pageOfPlans, PLAN_ORDERS } from '@/server/db/rows/plans';
import { listSets } from '@/server/db/rows/set-lists';
import { setOfPlan } from '@/server/db/rows/sets';
import { listDryers, listProducts, listTools } from '@/server/db/rows/shelf';
import type { PastSet } from '@/core/suggest/record';
import { techniques } from '@/core/techniques';
import { hasEnded } from '@/core/wear/end-reasons';
import type { Reader } from '@/server/db/client';
import { reservedFor } from '@/core/shelf/reserved';
import { askedList } from '@/ui/shell/list-asked';
import { cache } from 'react';
import { bookedPlans } from '../shelf/queries';

/** No more drafts than this are put beside each other. */
const MOST_BESIDE = 3;

/** Sets on a head that are over, as a suggestion weighs them; what cannot be read tells nothing. */
async function pastOf(reader: Reader, studioId: string, headId: string): Promise<PastSet[]> {
  const over = await listSets(reader, studioId, 'ended', headId);
  return over.flatMap(({ set, daysPresentable, lastGoodDay, reason, wouldHaveGoneOn }): PastSet[] =>
    set && set.technique in techniques && daysPresentable && lastGoodDay !== null
      ? [
          {
            technique: set.technique,
            daysLasted: lastGoodDay,
            daysForecast: daysPresentable.p50,
            hasEnded: hasEnded(reason ?? '', wouldHaveGoneOn),
          },
        ]
      : [],
  );
}

/** Everything the plan desk opens with, or null when the plan is gone. */
export const loadPlan = cache((id: string) =>
  query('read', async ({ actor, database, nowMs }) => {
    const studioId = actor.studio.id;
    const written = await findPlan(database.db, studioId, id);
    const head = written && (await findHead(database.db, studioId, written.headId));
    if (!written || !head) return null;
    const plan = await knownPlan(database, actor.studio, written);
    const read = readBrief(plan.brief);
    return {
      plan,
      head,
      past: await pastOf(database.db, studioId, head.id),
      hasNewerMeasurement: head.measurement.id !== plan.measurementId,
      products: await listProducts(database.db, studioId),
      tools: await listTools(database.db, studioId),
      dryers: await listDryers(database.db, studioId),
      reserved: [
        ...reservedFor(
          { id, readyMs: read.ok ? read.value.wearByMs : null },
          await bookedPlans(database.db, studioId),
        ),
      ],
      currency: actor.studio.currency,
      handUnits: actor.studio.handUnits,
      clock: clockOf(actor.studio),
      first: await quickView(plan),
      setId: (await setOfPlan(database.db, studioId, id))?.id ?? null,
      nowMs,
    };
  }),
);

/** What a first draft for a head is made with, or null when she is gone. */
export const loadFirst = cache((headId: string) =>
  query('read', async ({ actor, database, nowMs }) => {
    const { studio } = actor;
    const head = await findHead(database.db, studio.id, headId);
    return (
      head && {
        head,
        past: await pastOf(database.db, studio.id, head.id),
        known: await knownOfHead(database, studio, head.id),
        products: await listProducts(database.db, studio.id),
        tools: await listTools(database.db, studio.id),
        dryers: await listDryers(database.db, studio.id),
        hand: studio.hand,
        clock: clockOf(studio),
        nowMs,
      }
    );
  }),
);

/** What a set guide is made with: what the studio has. */
export const loadGuide = () =>
  query('read', async ({ actor, database, nowMs }) => {
    const { studio } = actor;
    return {
      products: await listProducts(database.db, studio.id),
      tools: await listTools(database.db, studio.id),
      dryers: await listDryers(database.db, studio.id),
      studioName: studio.name,
      hand: studio.hand,
      timeZone: studio.timeZone,
      nowMs,
    };
  });

/** A page of plans, as its address asks for it, and the heads a new one can be made for. */
export const loadPlans = (params: Parameters<typeof askedList>[0]) =>
  query('read', async ({ actor, database }) => {
    const asked = askedList(params, ['open', 'aside', 'done'], PLAN_ORDERS);
    const studioId = actor.studio.id;
    return {
      plans: await pageOfPlans(database.db, studioId, asked),
      counts: await countPlans(database.db, studioId),
      heads: await listHeadNames(database.db, studioId),
      asked: { ...asked, size: PAGE_SIZE },
      clock: clockOf(actor.studio),
    };
  });

/**
 * A plan and other open drafts of its head, each worked out, with what an earlier set on it gave.
 *
 * @param beside ids of the drafts to stand beside it, by comma; empty takes the newest
 */
export const loadBeside = cache((id: string, beside: string) =>
  query('read', async ({ actor, database, nowMs }) => {
    const studioId = actor.studio.id;
    const plan = await findPlan(database.db, studioId, id);
    const head = plan && (await findHead(database.db, studioId, plan.headId));
    if (!plan || !head) return null;
    const open = await listOpenPlans(database.db, studioId, head.id);
    const first = open.filter((other) => other.id === id);
    const wanted = beside.split(',').filter(Boolean);
    const rest = open.filter((other) => other.id !== id);
    const chosen = wanted.length === 0 ? rest : rest.filter((other) => wanted.includes(other.id));
    const drafts = [...first, ...chosen].slice(0, MOST_BESIDE);
    return {
      head,
      drafts: await Promise.all(
        drafts.map(async (draft) => {
          const written = (await findPlan(database.db, studioId, draft.id))!;
          const beside = await knownPlan(database, actor.studio, written);
          return {
            ...draft,
            brief: beside.brief,
            layerProductIds: beside.layerProductIds,
            answer: await settledView(beside),
          };
        }),
      ),
      open: rest.map((other) => ({ id: other.id, title: other.title })),
      earlier: (await listSets(database.db, studioId, 'ended', head.id)).map(
        ({ id: setId, title, set, startedAtMs, lastGoodDay }) => ({
          setId,
          title,
          set,
          startedAtMs,
          lastGoodDay,
        }),
      ),
      products: await listProducts(database.db, studioId),
      tools: await listTools(database.db, studioId),
      handUnits: actor.studio.handUnits,
      clock: clockOf(actor.studio),
      nowMs,
    };
  }),
);

/** A plan worked out to be printed or handed out; what is wrong with it where it does not add up; null when it is gone. */
export const loadPrinted = (id: string) =>
  query('read', async ({ actor, database, nowMs }) => {
    const { studio } = actor;
    const written = await findPlan(database.db, studio.id, id);
    const head = written && (await findHead(database.db, studio.id, written.headId));
    if (!written || !head) return null;
    const plan = await knownPlan(database, studio, written);
    return {
      content: { title: plan.title, brief: plan.brief, layerProductIds: plan.layerProductIds },
      answer: await settledView(plan),
      head,
      schools: head.schools,
      products: await listProducts(database.db, studio.id),
      handUnits: studio.handUnits,
      clock: clockOf(studio),
      units: readDisplay(studio.display),
      printedAtMs: nowMs,
    };
  });

/** Where a plan leads now: to its set once it was begun, else to the plan; null when both are gone. */
export const whereToOpen = (id: string) =>
  query('chair', async ({ actor, database }) => {
    const set = await setOfPlan(database.db, actor.studio.id, id);
    if (set) return set.takenDownAtMs === null ? `/chair/${set.id}` : `/sets/${set.id}`;
    return (await findPlan(database.db, actor.studio.id, id)) ? `/plan/${id}` : null;
  });
