import { and, desc, eq, inArray } from 'drizzle-orm';
import type { BriefInput } from '@/core/formats/brief';
import { AppError } from '../../errors';
import type { Reader, Tx } from '../client';
import { newId } from '../id';
import { heads, plans } from '../schema';

/** A draft, the one chosen, carried out, or put aside. */
export type PlanStatus = 'draft' | 'chosen' | 'done' | 'aside';
export type PlanRow = Omit<typeof plans.$inferSelect, 'studioId' | 'status'> & { status: PlanStatus };

/** A plan in a list. */
export interface PlanListing {
  readonly id: string;
  readonly title: string;
  readonly status: PlanStatus;
  readonly headId: string;
  readonly headName: string;
  readonly brief: BriefInput;
  readonly updatedAtMs: number;
}

/** What a stylist decides about a plan. */
export interface PlanContent {
  readonly title: string;
  readonly brief: BriefInput;
  readonly layerProductIds: (string | null)[];
}

/** Plans still ahead, of one head or of all, newest first. */
export async function listOpenPlans(
  reader: Reader,
  studioId: string,
  headId?: string,
): Promise<PlanListing[]> {
  const rows = await reader
    .select({
      id: plans.id,
      title: plans.title,
      status: plans.status,
      headId: plans.headId,
      headName: heads.name,
      brief: plans.brief,
      updatedAtMs: plans.updatedAtMs,
    })
    .from(plans)
    .innerJoin(heads, eq(heads.id, plans.headId))
    .where(
      and(
        eq(plans.studioId, studioId),
        inArray(plans.status, ['draft', 'chosen'] satisfies PlanStatus[]),
        headId ? eq(plans.headId, headId) : undefined,
      ),
    )
    .orderBy(desc(plans.updatedAtMs));
  return rows.map((row) => ({ ...row, status: row.status as PlanStatus }));
}

/** One plan, or null. */
export async function findPlan(reader: Reader, studioId: string, id: string): Promise<PlanRow | null> {
  const [row] = await reader
    .select()
    .from(plans)
    .where(and(eq(plans.studioId, studioId), eq(plans.id, id)));
  return row ? { ...row, status: row.status as PlanStatus } : null;
}

/** Makes a plan and answers its id. */
export async function createPlan(
  tx: Tx,
  studioId: string,
  plan: PlanContent & { headId: string; measurementId: string; status: PlanStatus },
  nowMs: number,
): Promise<string> {
  const id = newId(nowMs);
  await tx
    .insert(plans)
    .values({ id, studioId, ...plan, revision: 1, createdAtMs: nowMs, updatedAtMs: nowMs });
  return id;
}

/**
 * Saves a plan over the revision the writer saw.
 *
 * @throws AppError conflict when another tab saved since; not-found
 */
export async function savePlan(
  tx: Tx,
  studioId: string,
  id: string,
  revision: number,
  content: PlanContent & { measurementId: string },
  nowMs: number,
): Promise<number> {
  const before = await findPlan(tx, studioId, id);
  if (!before) throw new AppError('not-found');
  if (before.revision !== revision) throw new AppError('conflict');
  await tx
    .update(plans)
    .set({ ...content, revision: revision + 1, updatedAtMs: nowMs })
    .where(and(eq(plans.studioId, studioId), eq(plans.id, id)));
  return revision + 1;
}

/**
 * Gives a plan another name. A tab that edits it meanwhile is told.
 *
 * @throws AppError not-found
 */
export async function renamePlan(
  tx: Tx,
  studioId: string,
  id: string,
  title: string,
  nowMs: number,
): Promise<void> {
  const before = await findPlan(tx, studioId, id);
  if (!before) throw new AppError('not-found');
  await tx
    .update(plans)
    .set({ title, revision: before.revision + 1, updatedAtMs: nowMs })
    .where(and(eq(plans.studioId, studioId), eq(plans.id, id)));
}

/** Marks a plan as a draft, as the one chosen, as carried out, or as put aside. */
export const setPlanStatus = async (
  tx: Tx,
  studioId: string,
  id: string,
  status: PlanStatus,
): Promise<void> => {
  await tx
    .update(plans)
    .set({ status })
    .where(and(eq(plans.studioId, studioId), eq(plans.id, id)));
};
