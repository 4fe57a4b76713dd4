import 'server-only';
import { answerView } from '@/core/plan/answer-view';
import { query } from '@/server/action';
import { findHead, listHeads } from '@/server/db/rows/heads';
import { findPlan, listOpenPlans } from '@/server/db/rows/plans';
import { listProducts, listTools } from '@/server/db/rows/shelf';

/** Everything the plan desk opens with, or null when the plan is gone. */
export const loadPlan = (id: string) =>
  query(async ({ actor, database, nowMs }) => {
    const studioId = actor.studio.id;
    const plan = await findPlan(database.db, studioId, id);
    const head = plan && (await findHead(database.db, studioId, plan.headId));
    if (!plan || !head) return null;
    return {
      plan,
      head,
      hasNewerMeasurement: head.measurement.id !== plan.measurementId,
      products: await listProducts(database.db, studioId),
      tools: await listTools(database.db, studioId),
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
