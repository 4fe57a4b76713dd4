import 'server-only';
import { readBrief } from '@/core/formats/read-brief';
import { answerDraft, answerView, SETTLED_DRAWS } from '@/core/plan/answer-view';
import { query } from '@/server/action';
import { findHead, listHeads } from '@/server/db/rows/heads';
import { findPlan, listOpenPlans } from '@/server/db/rows/plans';
import { listSets } from '@/server/db/rows/sets';
import { listProducts, listTools } from '@/server/db/rows/shelf';
import { reservedFor } from '@/core/shelf/reserved';
import { bookedPlans } from '../shelf/queries';

/** No more drafts than this are put beside each other. */
const MOST_BESIDE = 3;

/** Everything the plan desk opens with, or null when the plan is gone. */
export const loadPlan = (id: string) =>
  query(async ({ actor, database, nowMs }) => {
    const studioId = actor.studio.id;
    const plan = await findPlan(database.db, studioId, id);
    const head = plan && (await findHead(database.db, studioId, plan.headId));
    if (!plan || !head) return null;
    const read = readBrief(plan.brief);
    return {
      plan,
      head,
      hasNewerMeasurement: head.measurement.id !== plan.measurementId,
      products: await listProducts(database.db, studioId),
      tools: await listTools(database.db, studioId),
      reserved: [
        ...reservedFor(
          { id, readyMs: read.ok ? read.value.wearByMs : null },
          await bookedPlans(database.db, studioId),
        ),
      ],
      currency: actor.studio.currency,
      handUnits: actor.studio.handUnits,
      timeZone: actor.studio.timeZone,
      first: answerView(plan.brief),
      nowMs,
    };
  });

/** Open plans, and the heads a new one can be made for. */
export const loadPlans = () =>
  query(async ({ actor, database, nowMs }) => ({
    plans: await listOpenPlans(database.db, actor.studio.id),
    heads: await listHeads(database.db, actor.studio.id),
    timeZone: actor.studio.timeZone,
    nowMs,
  }));

/** A plan and the other open drafts of its head, each worked out, with what an earlier set on it gave. */
export const loadBeside = (id: string) =>
  query(async ({ actor, database, nowMs }) => {
    const studioId = actor.studio.id;
    const plan = await findPlan(database.db, studioId, id);
    const head = plan && (await findHead(database.db, studioId, plan.headId));
    if (!plan || !head) return null;
    const open = await listOpenPlans(database.db, studioId, head.id);
    const first = open.filter((own) => own.id === id);
    const drafts = [...first, ...open.filter((own) => own.id !== id)].slice(0, MOST_BESIDE);
    return {
      head,
      drafts: await Promise.all(
        drafts.map(async (draft) => ({
          ...draft,
          layerProductIds: (await findPlan(database.db, studioId, draft.id))?.layerProductIds ?? [],
          answer: answerView(draft.brief),
        })),
      ),
      others: open.length - drafts.length,
      earlier: (await listSets(database.db, studioId, 'ended', head.id)).map(
        ({ id: setId, title, brief, startedAtMs, lastGoodDay }) => ({
          setId,
          title,
          set: brief.set,
          startedAtMs,
          lastGoodDay,
        }),
      ),
      products: await listProducts(database.db, studioId),
      tools: await listTools(database.db, studioId),
      handUnits: actor.studio.handUnits,
      timeZone: actor.studio.timeZone,
      nowMs,
    };
  });

/** A plan worked out to be printed or handed out; what is wrong with it where it does not add up; null when it is gone. */
export const loadPrinted = (id: string) =>
  query(async ({ actor, database, nowMs }) => {
    const { studio } = actor;
    const plan = await findPlan(database.db, studio.id, id);
    const head = plan && (await findHead(database.db, studio.id, plan.headId));
    if (!plan || !head) return null;
    const draft = answerDraft(plan.brief, null);
    if (draft.ok) draft.value.drawTo(SETTLED_DRAWS);
    return {
      content: { title: plan.title, brief: plan.brief, layerProductIds: plan.layerProductIds },
      answer: draft.ok ? { ok: true as const, value: draft.value.view(SETTLED_DRAWS) } : draft,
      head,
      schools: head.schools,
      products: await listProducts(database.db, studio.id),
      handUnits: studio.handUnits,
      timeZone: studio.timeZone,
      printedAtMs: nowMs,
    };
  });

/** Where a plan leads now: to its set once it was begun, else to the plan; null when both are gone. */
export const whereToOpen = (id: string) =>
  query(async ({ actor, database }) => {
    const begun = (await listSets(database.db, actor.studio.id, 'all')).filter((set) => set.planId === id);
    const set = begun[0];
    if (set) return set.takenDownAtMs === null ? `/chair/${set.id}` : `/sets/${set.id}`;
    return (await findPlan(database.db, actor.studio.id, id)) ? `/plan/${id}` : null;
  });
