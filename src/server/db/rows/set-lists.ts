import { z } from 'zod';
import { and, asc, count, desc, eq, isNotNull, isNull, sql } from 'drizzle-orm';
import type { BriefInput } from '@/core/formats/brief';
import { planFile, type PlanFile } from '@/core/formats/plan-file';
import type { Reader } from '../client';
import { heads, outcomes, sets } from '../schema';
import { readJsonText } from './json';
import { setOfBrief } from './kept-brief';
import { matching, pageOf, PAGE_SIZE, type ListAsked, type Paged } from './paging';

export type DaysForecast = PlanFile['daysPresentable'];

/** A set in a list. */
export interface SetListing {
  readonly id: string;
  readonly title: string;
  /** The plan it was begun from; null where that is gone. */
  readonly planId: string | null;
  readonly headId: string;
  readonly headName: string;
  readonly skinTone: string;
  readonly hairTone: string;
  /** What was set; null where the row cannot be read. */
  readonly set: BriefInput['set'] | null;
  readonly daysPresentable: DaysForecast | null;
  readonly startedAtMs: number;
  readonly installedAtMs: number | null;
  readonly takenDownAtMs: number | null;
  readonly endedAtMs: number | null;
  readonly cancelledAtMs: number | null;
  readonly isEnteredLater: boolean;
  /** Last day it was still good; null while it is worn. */
  readonly lastGoodDay: number | null;
  /** Why it was given up; null while it is worn. */
  readonly reason: string | null;
  readonly wouldHaveGoneOn: boolean | null;
  /** Price of its products when it was begun, minor units; null where none was known. */
  readonly costMinor: number | null;
}

const dryingOfBrief = z.array(z.object({ method: z.string() }));
/** What a list shows of a kept forecast. The whole is read with the set itself. */
const { daysPresentable: daysOfForecast } = planFile.shape;
/** The end of a set as a whole; halves of a trial have ends of their own beside it. */
export const wholeOutcome = and(eq(outcomes.setId, sets.id), eq(outcomes.half, 'whole'));

/** What every row of a set tells, alone or in a list. */
export const facts = {
  id: sets.id,
  title: sets.title,
  planId: sets.planId,
  headId: sets.headId,
  headName: heads.name,
  skinTone: heads.skinTone,
  hairTone: heads.hairTone,
  startedAtMs: sets.startedAtMs,
  installedAtMs: sets.installedAtMs,
  takenDownAtMs: sets.takenDownAtMs,
  endedAtMs: sets.endedAtMs,
  cancelledAtMs: sets.cancelledAtMs,
  isEnteredLater: sets.isEnteredLater,
  lastGoodDay: outcomes.lastGoodDay,
  reason: outcomes.reason,
  wouldHaveGoneOn: outcomes.wouldHaveGoneOn,
  costMinor: sets.costMinor,
};

const partOf = (column: typeof sets.brief | typeof sets.forecast | typeof sets.asTakenDown, path: string) =>
  sql<string | null>`case when json_valid(${column}) then json_extract(${column}, ${path}) end`;

/** Where a set stands. */
export const SET_STAGES = ['chair', 'worn', 'ended', 'cancelled', 'all'] as const;
export type SetStage = (typeof SET_STAGES)[number];

/** Sets that were not begun by mistake. */
export const standing = isNull(sets.cancelledAtMs);
const AT_STAGE = {
  chair: and(standing, isNull(sets.takenDownAtMs), isNull(sets.endedAtMs)),
  worn: and(standing, isNotNull(sets.takenDownAtMs), isNull(sets.endedAtMs)),
  ended: and(standing, isNotNull(sets.endedAtMs)),
  cancelled: isNotNull(sets.cancelledAtMs),
  all: standing,
} as const satisfies Readonly<Record<SetStage, unknown>>;

/** How a list of sets may be put in order. */
export const SET_ORDERS = ['newest', 'oldest', 'head', 'lasted'] as const;
export type SetOrder = (typeof SET_ORDERS)[number];
const ORDERS = {
  newest: [desc(sets.startedAtMs)],
  oldest: [asc(sets.startedAtMs)],
  head: [sql`${heads.name} collate nocase`, desc(sets.startedAtMs)],
  lasted: [sql`${outcomes.lastGoodDay} desc nulls last`, desc(sets.startedAtMs)],
} as const;

async function listed(
  reader: Reader,
  where: ReturnType<typeof and>,
  order: SetOrder,
  limit: number,
  offset: number,
): Promise<SetListing[]> {
  const rows = await reader
    .select({
      ...facts,
      set: partOf(sets.brief, '$.set'),
      daysPresentable: sql<
        string | null
      >`coalesce(${partOf(sets.asTakenDown, '$.daysPresentable')}, ${partOf(sets.forecast, '$.daysPresentable')})`,
    })
    .from(sets)
    .innerJoin(heads, eq(heads.id, sets.headId))
    .leftJoin(outcomes, wholeOutcome)
    .where(where)
    .orderBy(...ORDERS[order], desc(sets.id))
    .limit(limit)
    .offset(offset);
  return rows.map((row) => ({
    ...row,
    set: readJsonText(setOfBrief, row.set) as BriefInput['set'] | null,
    daysPresentable: readJsonText(daysOfForecast, row.daysPresentable),
  }));
}

/** Rows that a list without pages holds at most. */
const MOST_LISTED = 500;

/** Sets by where they stand: in the chair or drying, being worn, over, or begun by mistake. Newest first. */
export const listSets = (
  reader: Reader,
  studioId: string,
  stage: SetStage,
  headId?: string,
): Promise<SetListing[]> =>
  listed(
    reader,
    and(eq(sets.studioId, studioId), AT_STAGE[stage], headId ? eq(sets.headId, headId) : undefined),
    'newest',
    MOST_LISTED,
    0,
  );

/** Every set that was not begun by mistake, newest first: for what is written out whole. */
export const everySet = (reader: Reader, studioId: string): Promise<SetListing[]> =>
  listed(reader, and(eq(sets.studioId, studioId), standing), 'newest', -1, 0);

/** One page of the sets of a studio, searched by head, name and technique. */
export async function pageOfSets(
  reader: Reader,
  studioId: string,
  asked: ListAsked & { readonly stage: SetStage; readonly order: SetOrder },
): Promise<Paged<SetListing>> {
  const technique = sql`replace(${partOf(sets.brief, '$.set.technique')}, '-', ' ')`;
  const where = and(
    eq(sets.studioId, studioId),
    AT_STAGE[asked.stage],
    ...matching(asked.search, [heads.name, sets.title, technique]),
  );
  const [sum] = await reader
    .select({ total: count() })
    .from(sets)
    .innerJoin(heads, eq(heads.id, sets.headId))
    .where(where);
  const total = sum?.total ?? 0;
  const { page, offset } = pageOf(asked.page, total);
  return { rows: await listed(reader, where, asked.order, PAGE_SIZE, offset), total, page };
}

/** How many sets stand at each stage. */
export async function countSets(reader: Reader, studioId: string): Promise<Record<SetStage, number>> {
  const at = async (stage: SetStage) => {
    const [row] = await reader
      .select({ n: count() })
      .from(sets)
      .where(and(eq(sets.studioId, studioId), AT_STAGE[stage]));
    return row?.n ?? 0;
  };
  const [all, chair, worn, cancelled] = await Promise.all([
    at('all'),
    at('chair'),
    at('worn'),
    at('cancelled'),
  ]);
  return { chair, worn, ended: all - chair - worn, cancelled, all };
}

/** The newest sets whose products had a price. */
export const listPricedSets = (reader: Reader, studioId: string, most: number): Promise<SetListing[]> =>
  listed(reader, and(eq(sets.studioId, studioId), standing, isNotNull(sets.costMinor)), 'newest', most, 0);

/** By what the sets of a head were to be dried, in the order of the plan, by set. */
export async function driedWith(
  reader: Reader,
  studioId: string,
  headId: string,
): Promise<Record<string, readonly string[]>> {
  const rows = await reader
    .select({ id: sets.id, drying: partOf(sets.brief, '$.drying') })
    .from(sets)
    .where(and(eq(sets.studioId, studioId), eq(sets.headId, headId)));
  return Object.fromEntries(
    rows.map(({ id, drying }) => [
      id,
      (readJsonText(dryingOfBrief, drying) ?? []).map(({ method }) => method),
    ]),
  );
}
