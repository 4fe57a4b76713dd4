import { outgrownAtMs } from '@/core/care/rods';
import { and, eq, gt } from 'drizzle-orm';
import type { RateBelief } from '@/core/drying/rate-belief';
import type { BriefInput } from '@/core/formats/brief';
import type { TakenDown } from '@/core/plan/as-taken-down';
import type { PlanFile } from '@/core/formats/plan-file';
import type { WeighedUnits } from '@/core/products/hand-units';
import { gramsByProduct } from '@/core/shelf/shelf-check';
import { takenByProduct } from '@/core/shelf/taken';
import { AppError, invalid } from '../../errors';
import type { Tx } from '../client';
import { newId } from '../id';
import { plans, products, sets, setSections } from '../schema';
import { findSet, setOfPlan, type SetRecord, type SetSection } from './sets';
import { countAsUsed } from './shelf';

/** Begins a set: keeps brief, forecast and sections as they are now. Answers its id. */
export async function startSet(
  tx: Tx,
  studioId: string,
  set: {
    headId: string;
    planId: string | null;
    planStatusBefore?: string | null;
    measurementId: string;
    title: string;
    brief: BriefInput;
    forecast: PlanFile;
    layerProductIds: (string | null)[];
    modelVersion: string;
    dryingBelief: RateBelief | null;
    costMinor: number | null;
    isEnteredLater?: boolean;
    sections: readonly SetSection[];
  },
  startedAtMs: number,
): Promise<string> {
  const id = newId(startedAtMs);
  const { sections, ...row } = set;
  const { tool } = set.forecast;
  await tx.insert(sets).values({
    id,
    studioId,
    ...row,
    startedAtMs,
    outgrownAtMs: tool ? outgrownAtMs(startedAtMs, tool.monthsUntilOutgrown) : null,
  });
  // 8 columns a row: 600 sections stay well below SQLite's parameter limit.
  await tx.insert(setSections).values(sections.map((section) => ({ ...section, setId: id, studioId })));
  return id;
}

/** Keeps what comes of a set as it was taken down, unless its takedown has moved meanwhile. */
export const saveTakenDown = async (
  tx: Tx,
  studioId: string,
  setId: string,
  asTakenDown: TakenDown,
): Promise<void> => {
  await tx
    .update(sets)
    .set({ asTakenDown })
    .where(
      and(eq(sets.studioId, studioId), eq(sets.id, setId), eq(sets.takenDownAtMs, asTakenDown.takenDownAtMs)),
    );
};

/**
 * What a set took off tubs that were not weighed since it was begun: a weighing tells the truth whatever was
 * counted before it.
 */
async function takenBy(tx: Tx, set: SetRecord, studioId: string): Promise<Map<string, number>> {
  const grams = new Map(
    set.takenG ? Object.entries(set.takenG) : gramsByProduct(set.forecast.doses, set.layerProductIds),
  );
  const weighed = await tx
    .select({ id: products.id })
    .from(products)
    .where(and(eq(products.studioId, studioId), gt(products.weighedAtMs, set.startedAtMs)));
  for (const { id } of weighed) grams.delete(id);
  return grams;
}

const negated = (grams: ReadonlyMap<string, number>) => new Map([...grams].map(([id, g]) => [id, -g]));

/**
 * Counts on the shelf what a set that was taken down really used, where that was weighed or counted at the chair.
 *
 * @throws AppError not-found
 */
export async function countWhatWasUsed(
  tx: Tx,
  studioId: string,
  id: string,
  handUnits: WeighedUnits,
): Promise<void> {
  const set = await findSet(tx, studioId, id);
  if (!set) throw new AppError('not-found');
  if (set.takenDownAtMs === null || set.cancelledAtMs !== null || set.isEnteredLater) return;
  const before = await takenBy(tx, set, studioId);
  const { forecast, layerProductIds, sections, run } = set;
  const used = takenByProduct(forecast.doses, layerProductIds, sections, run, handUnits);
  const more = new Map(
    [...before].map(([product, grams]) => [product, (used.get(product) ?? grams) - grams]),
  );
  await countAsUsed(tx, studioId, more);
  await tx
    .update(sets)
    .set({ takenG: Object.fromEntries(used) })
    .where(and(eq(sets.studioId, studioId), eq(sets.id, id)));
}

/**
 * Takes back a set that was begun by mistake: its products go back on the shelf, its plan is what it was before.
 * What was tapped is kept, so that this can be undone.
 *
 * @throws AppError not-found
 */
export async function cancelSet(tx: Tx, studioId: string, id: string, nowMs: number): Promise<void> {
  const set = await findSet(tx, studioId, id);
  if (!set) throw new AppError('not-found');
  if (set.cancelledAtMs !== null) return;
  if (!set.isEnteredLater) await countAsUsed(tx, studioId, negated(await takenBy(tx, set, studioId)));
  const [kept] = await tx
    .update(sets)
    .set({ cancelledAtMs: nowMs })
    .where(and(eq(sets.studioId, studioId), eq(sets.id, id)))
    .returning({ before: sets.planStatusBefore });
  if (set.planId)
    await tx
      .update(plans)
      .set({ status: kept?.before ?? 'draft' })
      .where(and(eq(plans.studioId, studioId), eq(plans.id, set.planId)));
}

/**
 * Undoes a cancelling.
 *
 * @throws AppError not-found, or invalid when the plan was begun again meanwhile
 */
export async function restoreSet(tx: Tx, studioId: string, id: string): Promise<void> {
  const set = await findSet(tx, studioId, id);
  if (!set) throw new AppError('not-found');
  if (set.cancelledAtMs === null) return;
  if (set.planId && (await setOfPlan(tx, studioId, set.planId)))
    throw invalid('id', 'its plan was begun again meanwhile; cancel that set first');
  if (!set.isEnteredLater) await countAsUsed(tx, studioId, await takenBy(tx, set, studioId));
  await tx
    .update(sets)
    .set({ cancelledAtMs: null })
    .where(and(eq(sets.studioId, studioId), eq(sets.id, id)));
  if (set.planId)
    await tx
      .update(plans)
      .set({ status: 'done' })
      .where(and(eq(plans.studioId, studioId), eq(plans.id, set.planId)));
}
