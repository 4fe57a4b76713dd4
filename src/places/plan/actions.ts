'use server';
import { revalidatePath } from 'next/cache';
import { briefOfFile } from '@/core/formats/brief-of-file';
import { onClockOf } from '@/core/draft/edits';
import { MODEL_VERSION } from '@/core/plan/forecast';
import { checkShelf, gramsByProduct } from '@/core/shelf/shelf-check';
import { action } from '@/server/action';
import { linkPath } from '@/server/cookies';
import type { Reader } from '@/server/db/client';
import { linksOf, makeLink, revokeLink } from '@/server/db/rows/client-links';
import { phoneOrigin } from '@/server/phone-origin';
import { digestOf, newToken } from '@/server/secrets';
import { chooseSchool, findHead } from '@/server/db/rows/heads';
import {
  createPlan,
  findPlan,
  keepPlan,
  listOpenPlans,
  renamePlan as renamePlanRow,
  setPlanStatus,
  type PlanRow,
} from '@/server/db/rows/plans';
import { saveOwnWays } from '@/server/db/rows/people';
import { findSet, setOfPlan } from '@/server/db/rows/sets';
import { startSet as startSetRow } from '@/server/db/rows/set-commands';
import { listProducts, countAsUsed } from '@/server/db/rows/shelf';
import { saveHandUnits as saveHandUnitsRow } from '@/server/db/rows/studios';
import { AppError, invalid } from '@/server/errors';
import { knownPlan } from '@/server/learning';
import { inPool } from '@/server/pool';
import type { Tx } from '@/server/db/client';
import type { BegunForecast } from '@/workers/pool';
import { copyTitle } from './copy-title';
import {
  asidePlanInput,
  bookPlanInput,
  handUnitsInput,
  likeSetInput,
  newPlanInput,
  openFileInput,
  planIdInput,
  planLinkInput,
  planLinksInput,
  renamePlanInput,
  savePlanInput,
  schoolInput,
  takeDraftInput,
} from './plan-input';
import { tomorrowMorning, usualPlan } from './usual-plan';

/** Makes a plan for a head from what is usual, and answers its id. */
export const newPlan = action('write-plans', newPlanInput, async ({ input, actor, database, nowMs }) => {
  const studioId = actor.studio.id;
  const head = await findHead(database.db, studioId, input.headId);
  if (!head) throw new AppError('not-found');
  const content = usualPlan(head.name, head.measurement.head, head.schools, actor.studio, nowMs);
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

/** Makes a plan of a draft that was suggested for a head, once however often it is sent, and answers its id. */
export const takeDraft = action('write-plans', takeDraftInput, async ({ input, actor, database, nowMs }) => {
  const studioId = actor.studio.id;
  const { id: taken, headId, ...content } = input;
  const id = await database.write(async (tx) => {
    if (await findPlan(tx, studioId, taken)) return taken;
    const head = await findHead(tx, studioId, headId);
    if (!head) throw new AppError('not-found');
    const onShelf = new Set((await listProducts(tx, studioId)).map((product) => product.id));
    return createPlan(
      tx,
      studioId,
      {
        ...content,
        brief: onClockOf(content.brief, actor.studio.timeZone),
        layerProductIds: content.layerProductIds.map((product) =>
          product && onShelf.has(product) ? product : null,
        ),
        headId,
        measurementId: head.measurement.id,
        status: 'draft',
      },
      nowMs,
      taken,
    );
  });
  revalidatePath('/plan');
  return { id };
});

/** Opens a brief, or a plan that carries its brief, as a new plan for a head. */
export const openFile = action('write-plans', openFileInput, async ({ input, actor, database, nowMs }) => {
  const told = briefOfFile(input.text);
  if (!told.ok) throw new AppError('invalid', told.errors);
  const studioId = actor.studio.id;
  const head = await findHead(database.db, studioId, input.headId);
  if (!head) throw new AppError('not-found');
  const brief = onClockOf(told.value, actor.studio.timeZone);
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
export const copyPlan = action('write-plans', planIdInput, async ({ input, actor, database, nowMs }) => {
  const studioId = actor.studio.id;
  const id = await database.write(async (tx) => {
    const plan = await findPlan(tx, studioId, input.id);
    if (!plan) throw new AppError('not-found');
    const { brief, layerProductIds, headId, measurementId } = plan;
    const title = copyTitle(
      plan.title,
      (await listOpenPlans(tx, studioId, headId)).map((other) => other.title),
    );
    const copy = { title, brief, layerProductIds, headId, measurementId, status: 'draft' } as const;
    return createPlan(tx, studioId, copy, nowMs);
  });
  revalidatePath('/plan');
  return { id };
});

/** Makes a draft like a set that was done before: its choices, products and parting, on the head as it is measured now. */
export const planLikeSet = action('write-plans', likeSetInput, async ({ input, actor, database, nowMs }) => {
  const studioId = actor.studio.id;
  const { timeZone } = actor.studio;
  const id = await database.write(async (tx) => {
    const set = await findSet(tx, studioId, input.setId);
    const head = set && (await findHead(tx, studioId, set.headId));
    if (!set || !head) throw new AppError('not-found');
    const { startAt: _, ...brief } = set.brief;
    const onShelf = new Set((await listProducts(tx, studioId)).map((product) => product.id));
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
        layerProductIds: (set.brief.set.layers ?? []).map((_, i) => {
          const product = set.layerProductIds[i];
          return product && onShelf.has(product) ? product : null;
        }),
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
export const renamePlan = action(
  'write-plans',
  renamePlanInput,
  async ({ input, actor, database, nowMs }) => {
    await database.write((tx) => renamePlanRow(tx, actor.studio.id, input.id, input.title, nowMs));
    revalidatePath('/plan');
    return { title: input.title };
  },
);

/** Puts a draft aside, or takes it back. */
export const putAside = action('write-plans', asidePlanInput, async ({ input, actor, database }) => {
  await database.write((tx) =>
    setPlanStatus(tx, actor.studio.id, input.id, input.isAside ? 'aside' : 'draft'),
  );
  revalidatePath('/plan');
  return { isAside: input.isAside };
});

/** Keeps a plan as it stands. */
export const savePlan = action('write-plans', savePlanInput, async ({ input, actor, database, nowMs }) => {
  const { id, revision, ...content } = input;
  const next = await database.write((tx) => keepPlan(tx, actor.studio.id, id, revision, content, nowMs));
  return { revision: next };
});

/** The plan as it stands now, for a tab that fell behind. */
export const readPlan = action('read', planIdInput, async ({ input, actor, database }) => {
  const written = await findPlan(database.db, actor.studio.id, input.id);
  if (!written) throw new AppError('not-found');
  const plan = await knownPlan(database, actor.studio, written);
  const { title, brief, layerProductIds, revision } = plan;
  return { content: { title, brief, layerProductIds }, revision };
});

/** Puts today's measurements of the head into a plan made on older ones. */
export const readMeasurement = action('read', planIdInput, async ({ input, actor, database }) => {
  const plan = await findPlan(database.db, actor.studio.id, input.id);
  const head = plan && (await findHead(database.db, actor.studio.id, plan.headId));
  if (!head) throw new AppError('not-found');
  return { head: head.measurement.head };
});

/** How often a plan may change under the hands of another while it is begun. */
const MOST_ATTEMPTS = 3;

/**
 * Takes a plan to the chair: brief, forecast and sections are frozen as they are now. A plan that was begun already,
 * in another tab or before Back was pressed, answers with its set.
 */
export const startSet = action('write-plans', planIdInput, async ({ input, actor, database, nowMs }) => {
  const studioId = actor.studio.id;
  for (let attempt = 0; attempt < MOST_ATTEMPTS; attempt++) {
    const written = await findPlan(database.db, studioId, input.id);
    if (!written) throw new AppError('not-found');
    const plan = await knownPlan(database, actor.studio, written);
    const begun = await setOfPlan(database.db, studioId, plan.id);
    if (begun) return { id: begun.id };
    const given = await inPool('begin', plan.brief);
    if (!given.ok) throw new AppError('invalid', given.errors);
    const stop = given.value.plan.cautions.find((caution) => caution.severity === 'stop');
    if (stop) throw new AppError('invalid', [{ path: 'head.conditions', message: stop.text }]);
    const id = await database.write((tx) => begin(tx, studioId, plan, given.value, nowMs));
    if (id !== null) {
      revalidatePath('/');
      return { id };
    }
  }
  throw new AppError('conflict');
});

/** Writes a set that is begun; null when the plan was changed since its forecast was worked out. */
async function begin(
  tx: Tx,
  studioId: string,
  { id: planId, revision, brief }: PlanRow,
  given: BegunForecast,
  nowMs: number,
): Promise<string | null> {
  const plan = await findPlan(tx, studioId, planId);
  if (!plan) throw new AppError('not-found');
  const begun = await setOfPlan(tx, studioId, planId);
  if (begun) return begun.id;
  if (plan.revision !== revision) return null;
  const shelf = await listProducts(tx, studioId);
  const { priceMinor } = checkShelf(given.plan, plan.layerProductIds, shelf, [], new Map(), null);
  await countAsUsed(tx, studioId, gramsByProduct(given.plan.doses, plan.layerProductIds));
  const setId = await startSetRow(
    tx,
    studioId,
    {
      headId: plan.headId,
      planId,
      planStatusBefore: plan.status,
      measurementId: plan.measurementId,
      title: plan.title,
      brief,
      forecast: given.plan,
      layerProductIds: plan.layerProductIds,
      modelVersion: MODEL_VERSION,
      dryingBelief: given.belief,
      costMinor: priceMinor === null ? null : Math.round(priceMinor),
      sections: given.sections,
    },
    nowMs,
  );
  await setPlanStatus(tx, studioId, planId, 'done');
  return setId;
}

/** Chooses a plan as the one to carry out, or puts it back among the drafts. */
export const bookPlan = action('write-plans', bookPlanInput, async ({ input, actor, database }) => {
  const status = input.isBooked ? 'chosen' : 'draft';
  await database.write((tx) => setPlanStatus(tx, actor.studio.id, input.id, status));
  revalidatePath('/');
  return { isBooked: input.isBooked };
});

/** Remembers which school was taken on a head. */
export const rememberSchool = action('write-heads', schoolInput, async ({ input, actor, database }) => {
  const { headId, question, school } = input;
  await database.write((tx) => chooseSchool(tx, actor.studio.id, headId, question, school));
  return {};
});

/** Keeps what one pump, dime or teaspoon weighs in this studio. */
export const saveHandUnits = action('write-shelf', handUnitsInput, async ({ input, actor, database }) => {
  const { studio, person } = actor;
  const { handUnits } = input;
  await database.write((tx) =>
    person
      ? saveOwnWays(tx, studio.id, person.id, { handUnits })
      : saveHandUnitsRow(tx, studio.id, handUnits),
  );
  return { handUnits: input.handUnits };
});

const givenLinks = async (reader: Reader, studioId: string, planId: string, nowMs: number) =>
  (await linksOf(reader, studioId, planId, nowMs)).map(({ id, expiresAtMs, lastSeenMs }) => ({
    id,
    untilMs: expiresAtMs,
    lastSeenMs,
  }));

/** Links to a plan that still open. */
export const linksOfPlan = action('read', planLinksInput, ({ input, actor, database, nowMs }) =>
  givenLinks(database.db, actor.studio.id, input.planId, nowMs),
);

/** Makes a link by which a client reads one plan. Its secret is told once. */
export const makeClientLink = action(
  'write-plans',
  planLinksInput,
  async ({ input, actor, database, nowMs }) => {
    const origin = phoneOrigin();
    if (origin === null) throw invalid('', 'let phones in first: Studio, Phones and people');
    const token = newToken();
    const { id: studioId } = actor.studio;
    const link = await database.write((tx) => makeLink(tx, studioId, input.planId, digestOf(token), nowMs));
    return {
      link: `${origin}${linkPath(link.id)}#${token}`,
      given: await givenLinks(database.db, studioId, input.planId, nowMs),
    };
  },
);

/** Takes a link back: it opens nothing any more. */
export const revokeClientLink = action(
  'write-plans',
  planLinkInput,
  async ({ input, actor, database, nowMs }) => {
    const { id: studioId } = actor.studio;
    await database.write((tx) => revokeLink(tx, studioId, input.linkId, nowMs));
    return givenLinks(database.db, studioId, input.planId, nowMs);
  },
);
