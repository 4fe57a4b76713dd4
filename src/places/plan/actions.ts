'use server';
import { revalidatePath } from 'next/cache';
import { briefOfFile } from '@/core/formats/brief-of-file';
import { readBrief } from '@/core/formats/read-brief';
import { SETTLED_DRAWS } from '@/core/plan/answer-view';
import { forecast, MODEL_VERSION } from '@/core/plan/forecast';
import { layoutFor } from '@/core/plan/layout-for';
import { checkShelf, gramsByProduct } from '@/core/shelf/shelf-check';
import { action } from '@/server/action';
import { chooseSchool, findHead, sameMeasure } from '@/server/db/rows/heads';
import {
  createPlan,
  findPlan,
  listOpenPlans,
  renamePlan as renamePlanRow,
  savePlan as savePlanRow,
  setPlanStatus,
} from '@/server/db/rows/plans';
import { findSet, startSet as startSetRow } from '@/server/db/rows/sets';
import { listProducts, countAsUsed } from '@/server/db/rows/shelf';
import { saveHandUnits as saveHandUnitsRow } from '@/server/db/rows/studios';
import { AppError } from '@/server/errors';
import { copyTitle } from './copy-title';
import {
  asidePlanInput,
  bookPlanInput,
  handUnitsInput,
  likeSetInput,
  newPlanInput,
  openFileInput,
  planIdInput,
  renamePlanInput,
  savePlanInput,
  schoolInput,
} from './plan-input';
import { tomorrowMorning, usualPlan } from './usual-plan';

/** Makes a plan for a head from what is usual, and answers its id. */
export const newPlan = action(newPlanInput, async ({ input, actor, database, nowMs }) => {
  const studioId = actor.studio.id;
  const head = await findHead(database.db, studioId, input.headId);
  if (!head) throw new AppError('not-found');
  const content = usualPlan(head.name, head.measurement.head, head.schools, actor.studio.timeZone, nowMs);
  const id = await database.write((tx) =>
    createPlan(
      tx,
      studioId,
      { ...content, headId: head.id, measurementId: head.measurement.id, status: 'draft' },
      nowMs,
    ),
  );
  revalidatePath('/plan');
  return { id };
});

/** Opens a brief, or a plan that carries its brief, as a new plan for a head. */
export const openFile = action(openFileInput, async ({ input, actor, database, nowMs }) => {
  const told = briefOfFile(input.text);
  if (!told.ok) throw new AppError('invalid', told.errors);
  const studioId = actor.studio.id;
  const head = await findHead(database.db, studioId, input.headId);
  if (!head) throw new AppError('not-found');
  const brief = { timeZone: actor.studio.timeZone, ...told.value };
  const id = await database.write((tx) =>
    createPlan(
      tx,
      studioId,
      {
        title: input.title,
        brief,
        layerProductIds: (brief.set.layers ?? []).map(() => null),
        headId: head.id,
        measurementId: head.measurement.id,
        status: 'draft',
      },
      nowMs,
    ),
  );
  revalidatePath('/plan');
  return { id };
});

/** Makes another draft just like a plan, and answers its id. */
export const copyPlan = action(planIdInput, async ({ input, actor, database, nowMs }) => {
  const studioId = actor.studio.id;
  const id = await database.write(async (tx) => {
    const plan = await findPlan(tx, studioId, input.id);
    if (!plan) throw new AppError('not-found');
    const { brief, layerProductIds, headId, measurementId } = plan;
    const title = copyTitle(
      plan.title,
      (await listOpenPlans(tx, studioId, headId)).map((own) => own.title),
    );
    const copy = { title, brief, layerProductIds, headId, measurementId, status: 'draft' } as const;
    return createPlan(tx, studioId, copy, nowMs);
  });
  revalidatePath('/plan');
  return { id };
});

/** Makes a draft like a set that was done before, on the head as it is measured now. */
export const planLikeSet = action(likeSetInput, async ({ input, actor, database, nowMs }) => {
  const studioId = actor.studio.id;
  const { timeZone } = actor.studio;
  const id = await database.write(async (tx) => {
    const set = await findSet(tx, studioId, input.setId);
    const head = set && (await findHead(tx, studioId, set.headId));
    if (!set || !head) throw new AppError('not-found');
    const { startAt: _, ...brief } = set.brief;
    return createPlan(
      tx,
      studioId,
      {
        title: `Like ${set.title}`.slice(0, 80),
        brief: {
          ...brief,
          head: head.measurement.head,
          wearBy: tomorrowMorning(nowMs, timeZone),
          timeZone,
        },
        layerProductIds: (set.brief.set.layers ?? []).map(() => null),
        headId: head.id,
        measurementId: head.measurement.id,
        status: 'draft',
      },
      nowMs,
    );
  });
  revalidatePath('/plan');
  return { id };
});

/** Gives a plan another name. */
export const renamePlan = action(renamePlanInput, async ({ input, actor, database, nowMs }) => {
  await database.write((tx) => renamePlanRow(tx, actor.studio.id, input.id, input.title, nowMs));
  revalidatePath('/plan');
  return { title: input.title };
});

/** Puts a draft aside, or takes it back. */
export const putAside = action(asidePlanInput, async ({ input, actor, database }) => {
  await database.write((tx) =>
    setPlanStatus(tx, actor.studio.id, input.id, input.isAside ? 'aside' : 'draft'),
  );
  revalidatePath('/plan');
  return { isAside: input.isAside };
});

/** Keeps a plan as it stands. */
export const savePlan = action(savePlanInput, async ({ input, actor, database, nowMs }) => {
  const { id, revision, ...content } = input;
  const studioId = actor.studio.id;
  const next = await database.write(async (tx) => {
    const before = await findPlan(tx, studioId, id);
    const head = before && (await findHead(tx, studioId, before.headId));
    if (!before || !head) throw new AppError('not-found');
    // A plan that took over the newest measurements belongs to them from now on.
    const isNewest = sameMeasure(head.measurement.head, content.brief.head);
    const measurementId = isNewest ? head.measurement.id : before.measurementId;
    return savePlanRow(tx, studioId, id, revision, { ...content, measurementId }, nowMs);
  });
  return { revision: next };
});

/** The plan as it stands now, for a tab that fell behind. */
export const readPlan = action(planIdInput, async ({ input, actor, database }) => {
  const plan = await findPlan(database.db, actor.studio.id, input.id);
  if (!plan) throw new AppError('not-found');
  const { title, brief, layerProductIds, revision } = plan;
  return { content: { title, brief, layerProductIds }, revision };
});

/** Puts today's measurements of the head into a plan made on older ones. */
export const readMeasurement = action(planIdInput, async ({ input, actor, database }) => {
  const plan = await findPlan(database.db, actor.studio.id, input.id);
  const head = plan && (await findHead(database.db, actor.studio.id, plan.headId));
  if (!head) throw new AppError('not-found');
  return { head: head.measurement.head };
});

/** Takes a plan to the chair: brief, forecast and sections are frozen as they are now. */
export const startSet = action(planIdInput, async ({ input, actor, database, nowMs }) => {
  const studioId = actor.studio.id;
  const plan = await findPlan(database.db, studioId, input.id);
  if (!plan) throw new AppError('not-found');
  const brief = readBrief(plan.brief);
  if (!brief.ok) throw new AppError('invalid', brief.errors);
  const given = forecast(brief.value, layoutFor(brief.value), SETTLED_DRAWS);
  const stop = given.plan.cautions.find((caution) => caution.severity === 'stop');
  if (stop) throw new AppError('invalid', [{ path: 'head.conditions', message: stop.text }]);
  const id = await database.write(async (tx) => {
    const shelf = await listProducts(tx, studioId);
    const { priceMinor } = checkShelf(given.plan, plan.layerProductIds, shelf, [], new Map(), null);
    await countAsUsed(tx, studioId, gramsByProduct(given.plan.doses, plan.layerProductIds));
    const setId = await startSetRow(
      tx,
      studioId,
      {
        headId: plan.headId,
        planId: plan.id,
        measurementId: plan.measurementId,
        title: plan.title,
        brief: plan.brief,
        forecast: given.plan,
        modelVersion: MODEL_VERSION,
        dryingBelief: given.drying.belief,
        costMinor: priceMinor === null ? null : Math.round(priceMinor),
        sections: given.sections.map(({ number, zone, side, areaCm2, hairCount, installMin }) => ({
          number,
          zone,
          side,
          areaCm2,
          hairCount,
          plannedMin: installMin,
        })),
      },
      nowMs,
    );
    await setPlanStatus(tx, studioId, plan.id, 'done');
    return setId;
  });
  revalidatePath('/');
  return { id };
});

/** Chooses a plan as the one to carry out, or puts it back among the drafts. */
export const bookPlan = action(bookPlanInput, async ({ input, actor, database }) => {
  const status = input.isBooked ? 'chosen' : 'draft';
  await database.write((tx) => setPlanStatus(tx, actor.studio.id, input.id, status));
  revalidatePath('/');
  return { isBooked: input.isBooked };
});

/** Remembers which school was taken on a head. */
export const rememberSchool = action(schoolInput, async ({ input, actor, database }) => {
  const { headId, question, school } = input;
  await database.write((tx) => chooseSchool(tx, actor.studio.id, headId, question, school));
  return {};
});

/** Keeps what one pump, dime or teaspoon weighs in this studio. */
export const saveHandUnits = action(handUnitsInput, async ({ input, actor, database }) => {
  await database.write((tx) => saveHandUnitsRow(tx, actor.studio.id, input.handUnits));
  return { handUnits: input.handUnits };
});
