import { and, count, desc, eq, inArray, sql, type SQL } from 'drizzle-orm';
import { isDeepStrictEqual } from 'node:util';
import { z } from 'zod';
import { carriedTo } from '@/core/draft/edits';
import type { BriefInput } from '@/core/formats/brief';
import { AppError } from '../../errors';
import type { Reader, Tx } from '../client';
import { newId } from '../id';
import { heads, plans } from '../schema';
import { findHead, sameMeasure } from './heads';
import { briefShape, setOfBrief } from './kept-brief';
import { readJson, readJsonText, requireJson } from './json';
import { matching, pageOf, PAGE_SIZE, type ListAsked, type Paged } from './paging';

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
  /** What is to be set; null where the row cannot be read. */
  readonly set: BriefInput['set'] | null;
  /** When it must be ready, as the brief writes it. */
  readonly wearBy: string | null;
  readonly updatedAtMs: number;
}

/** What a stylist decides about a plan. */
export interface PlanContent {
  readonly title: string;
  readonly brief: BriefInput;
  readonly layerProductIds: (string | null)[];
}

const partOf = (path: string) =>
  sql<string | null>`case when json_valid(${plans.brief}) then json_extract(${plans.brief}, ${path}) end`;

async function listed(
  reader: Reader,
  where: SQL | undefined,
  order: readonly SQL[],
  limit: number,
  offset: number,
): Promise<PlanListing[]> {
  const rows = await reader
    .select({
      id: plans.id,
      title: plans.title,
      status: plans.status,
      headId: plans.headId,
      headName: heads.name,
      set: partOf('$.set'),
      wearBy: partOf('$.wearBy'),
      updatedAtMs: plans.updatedAtMs,
    })
    .from(plans)
    .innerJoin(heads, eq(heads.id, plans.headId))
    .where(where)
    .orderBy(...order, desc(plans.id))
    .limit(limit)
    .offset(offset);
  return rows.map((row) => ({
    ...row,
    status: row.status as PlanStatus,
    set: readJsonText(setOfBrief, row.set) as BriefInput['set'] | null,
  }));
}

/** Rows that a list without pages holds at most. */
const MOST_LISTED = 200;
const OPEN = ['draft', 'chosen'] as const satisfies PlanStatus[];

/** Plans still ahead, of one head or of all, or those put aside; newest first. */
export const listOpenPlans = (
  reader: Reader,
  studioId: string,
  headId?: string,
  statuses: readonly PlanStatus[] = OPEN,
): Promise<PlanListing[]> =>
  listed(
    reader,
    and(
      eq(plans.studioId, studioId),
      inArray(plans.status, [...statuses]),
      headId ? eq(plans.headId, headId) : undefined,
    ),
    [desc(plans.updatedAtMs)],
    MOST_LISTED,
    0,
  );

/** Which plans a list shows. */
export const PLAN_LISTS = { open: OPEN, aside: ['aside'], done: ['done'] } as const satisfies Readonly<
  Record<string, readonly PlanStatus[]>
>;
export type PlanList = keyof typeof PLAN_LISTS;

/** How a list of plans may be put in order. */
export const PLAN_ORDERS = ['changed', 'ready', 'head', 'title'] as const;
export type PlanOrder = (typeof PLAN_ORDERS)[number];
const ORDERS: Readonly<Record<PlanOrder, readonly SQL[]>> = {
  changed: [desc(plans.updatedAtMs)],
  ready: [sql`${partOf('$.wearBy')} asc nulls last`],
  head: [sql`${heads.name} collate nocase`, desc(plans.updatedAtMs)],
  title: [sql`${plans.title} collate nocase`],
};

/** One page of plans, searched by head, name and technique. */
export async function pageOfPlans(
  reader: Reader,
  studioId: string,
  asked: ListAsked & { readonly list: PlanList; readonly order: PlanOrder },
): Promise<Paged<PlanListing>> {
  const where = and(
    eq(plans.studioId, studioId),
    inArray(plans.status, [...PLAN_LISTS[asked.list]]),
    ...matching(asked.search, [
      heads.name,
      plans.title,
      sql`replace(${partOf('$.set.technique')}, '-', ' ')`,
    ]),
  );
  const [sum] = await reader
    .select({ total: count() })
    .from(plans)
    .innerJoin(heads, eq(heads.id, plans.headId))
    .where(where);
  const total = sum?.total ?? 0;
  const { page, offset } = pageOf(asked.page, total);
  return { rows: await listed(reader, where, ORDERS[asked.order], PAGE_SIZE, offset), total, page };
}

/** How many plans each list has. */
export async function countPlans(reader: Reader, studioId: string): Promise<Record<PlanList, number>> {
  const rows = await reader
    .select({ status: plans.status, n: count() })
    .from(plans)
    .where(eq(plans.studioId, studioId))
    .groupBy(plans.status);
  const of = (statuses: readonly string[]) =>
    rows.reduce((sum, row) => sum + (statuses.includes(row.status) ? row.n : 0), 0);
  return { open: of(PLAN_LISTS.open), aside: of(PLAN_LISTS.aside), done: of(PLAN_LISTS.done) };
}

const layerIds = z.array(z.string().nullable());

/**
 * One plan, or null.
 *
 * @throws AppError unreadable when the kept brief is damaged
 */
export async function findPlan(reader: Reader, studioId: string, id: string): Promise<PlanRow | null> {
  const [row] = await reader
    .select()
    .from(plans)
    .where(and(eq(plans.studioId, studioId), eq(plans.id, id)));
  if (!row) return null;
  return {
    ...row,
    status: row.status as PlanStatus,
    brief: requireJson(briefShape, row.brief) as BriefInput,
    layerProductIds: readJson(layerIds, row.layerProductIds) ?? [],
  };
}

/** A plan's content as it is kept: what is known of its head is asked for anew each time it is read. */
const withoutKnown = <C extends { readonly brief: BriefInput }>(content: C): C => {
  const { learnt: _, corrections: __, ...brief } = content.brief;
  return { ...content, brief };
};

/** Makes a plan and answers its id. */
export async function createPlan(
  tx: Tx,
  studioId: string,
  plan: PlanContent & { headId: string; measurementId: string; status: PlanStatus },
  nowMs: number,
  id = newId(nowMs),
): Promise<string> {
  await tx
    .insert(plans)
    .values({ id, studioId, ...withoutKnown(plan), revision: 1, createdAtMs: nowMs, updatedAtMs: nowMs });
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
 * Keeps what a plan desk sends. A plan that took over the newest measurements belongs to them from then on; what is
 * there already in the very same words is no conflict, as when the last change of a page that was left came twice.
 *
 * @throws AppError conflict when another tab saved since; not-found
 */
export async function keepPlan(
  tx: Tx,
  studioId: string,
  id: string,
  revision: number,
  sent: PlanContent,
  nowMs: number,
): Promise<number> {
  const before = await findPlan(tx, studioId, id);
  const head = before && (await findHead(tx, studioId, before.headId));
  if (!before || !head) throw new AppError('not-found');
  const content = withoutKnown(sent);
  const { title, brief, layerProductIds } = before;
  if (before.revision !== revision && isDeepStrictEqual({ title, brief, layerProductIds }, asKept(content)))
    return before.revision;
  const measurementId = sameMeasure(head.measurement.head, content.brief.head)
    ? head.measurement.id
    : before.measurementId;
  return savePlan(tx, studioId, id, revision, { ...content, measurementId }, nowMs);
}

/** Content as it comes back from the file: fields that are not there are not there. */
const asKept = (content: PlanContent): unknown => JSON.parse(JSON.stringify(content));

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

/**
 * Marks a plan as a draft, as the one chosen, as carried out, or as put aside.
 *
 * @throws AppError not-found
 */
export async function setPlanStatus(tx: Tx, studioId: string, id: string, status: PlanStatus): Promise<void> {
  const changed = await tx
    .update(plans)
    .set({ status })
    .where(and(eq(plans.studioId, studioId), eq(plans.id, id)))
    .returning({ id: plans.id });
  if (changed.length === 0) throw new AppError('not-found');
}

/**
 * Takes plans that are not begun along to another zone: what was planned for nine is planned for nine there. Plans on
 * the clock of some other place stay there. A tab that edits one meanwhile is told.
 */
export async function carryPlans(
  tx: Tx,
  studioId: string,
  fromZone: string,
  toZone: string,
  nowMs: number,
): Promise<void> {
  const rows = await tx
    .select({ id: plans.id, brief: plans.brief, revision: plans.revision })
    .from(plans)
    .where(and(eq(plans.studioId, studioId), inArray(plans.status, [...OPEN, 'aside'])));
  for (const { id, brief: kept, revision } of rows) {
    const brief = readJson(briefShape, kept) as BriefInput | null;
    if (brief === null || (brief.timeZone ?? fromZone) !== fromZone) continue;
    await tx
      .update(plans)
      .set({ brief: carriedTo(brief, fromZone, toZone), revision: revision + 1, updatedAtMs: nowMs })
      .where(and(eq(plans.studioId, studioId), eq(plans.id, id)));
  }
}
