import { and, asc, desc, eq, isNotNull, isNull } from 'drizzle-orm';
import type { BriefInput } from '@/core/formats/brief';
import type { PlanFile } from '@/core/formats/plan-file';
import type { RateBelief } from '@/core/drying/rate-belief';
import type { CheckFeel } from '@/core/drying/dryness-checks';
import type { Level } from '@/core/drying/nodes';
import { runState, type RunEvent, type RunEventKind } from '@/core/run/run-state';
import { AppError, invalid } from '../../errors';
import type { Reader, Tx } from '../client';
import { newId } from '../id';
import { drynessChecks, heads, outcomes, setEvents, sets, setSections, wearDays } from '../schema';

export interface CheckRow {
  readonly id: string;
  readonly sectionNumber: number;
  readonly level: Level;
  readonly feel: CheckFeel;
  readonly atMs: number;
}
export type WearDay = Omit<typeof wearDays.$inferSelect, 'studioId' | 'setId' | 'updatedAtMs'>;
export type Outcome = Omit<typeof outcomes.$inferSelect, 'studioId' | 'setId' | 'createdAtMs'>;
export type SetSection = Omit<typeof setSections.$inferSelect, 'studioId' | 'setId'>;

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
  readonly brief: BriefInput;
  readonly forecast: PlanFile;
  readonly startedAtMs: number;
  readonly installedAtMs: number | null;
  readonly takenDownAtMs: number | null;
  readonly endedAtMs: number | null;
  /** Last day it was still good; null while it is worn. */
  readonly lastGoodDay: number | null;
  /** Price of its products when it was begun, minor units; null where none was known. */
  readonly costMinor: number | null;
}

/** A set with everything that happened to it. */
export interface SetRecord extends SetListing {
  readonly modelVersion: string;
  readonly dryingBelief: RateBelief | null;
  readonly sections: readonly SetSection[];
  readonly events: readonly RunEvent[];
  readonly checks: readonly CheckRow[];
  readonly wearDays: readonly WearDay[];
  readonly outcome: Outcome | null;
}

const listing = {
  id: sets.id,
  title: sets.title,
  planId: sets.planId,
  headId: sets.headId,
  headName: heads.name,
  skinTone: heads.skinTone,
  hairTone: heads.hairTone,
  brief: sets.brief,
  forecast: sets.forecast,
  startedAtMs: sets.startedAtMs,
  installedAtMs: sets.installedAtMs,
  takenDownAtMs: sets.takenDownAtMs,
  endedAtMs: sets.endedAtMs,
  lastGoodDay: outcomes.lastGoodDay,
  costMinor: sets.costMinor,
};

/** Sets by where they stand: in the chair or drying, being worn, or over. Newest first. */
export function listSets(
  reader: Reader,
  studioId: string,
  stage: 'chair' | 'worn' | 'ended' | 'all',
  headId?: string,
): Promise<SetListing[]> {
  const at = {
    chair: and(isNull(sets.takenDownAtMs), isNull(sets.endedAtMs)),
    worn: and(isNotNull(sets.takenDownAtMs), isNull(sets.endedAtMs)),
    ended: isNotNull(sets.endedAtMs),
    all: undefined,
  }[stage];
  return reader
    .select(listing)
    .from(sets)
    .innerJoin(heads, eq(heads.id, sets.headId))
    .leftJoin(outcomes, eq(outcomes.setId, sets.id))
    .where(and(eq(sets.studioId, studioId), at, headId ? eq(sets.headId, headId) : undefined))
    .orderBy(desc(sets.startedAtMs));
}

async function eventsOf(reader: Reader, studioId: string, setId: string): Promise<RunEvent[]> {
  const rows = await reader
    .select()
    .from(setEvents)
    .where(and(eq(setEvents.studioId, studioId), eq(setEvents.setId, setId)))
    .orderBy(asc(setEvents.atMs));
  return rows.map(({ id, kind, atMs, sectionNumber, note }) => ({
    id,
    kind: kind as RunEventKind,
    atMs,
    sectionNumber,
    note,
  }));
}

/** One set with its whole record, or null. */
export async function findSet(reader: Reader, studioId: string, id: string): Promise<SetRecord | null> {
  const [row] = await reader
    .select({
      ...listing,
      modelVersion: sets.modelVersion,
      dryingBelief: sets.dryingBelief,
    })
    .from(sets)
    .innerJoin(heads, eq(heads.id, sets.headId))
    .leftJoin(outcomes, eq(outcomes.setId, sets.id))
    .where(and(eq(sets.studioId, studioId), eq(sets.id, id)));
  if (!row) return null;
  const [sections, events, checks, days, [outcome]] = await Promise.all([
    reader
      .select()
      .from(setSections)
      .where(and(eq(setSections.studioId, studioId), eq(setSections.setId, id)))
      .orderBy(asc(setSections.number)),
    eventsOf(reader, studioId, id),
    reader
      .select()
      .from(drynessChecks)
      .where(and(eq(drynessChecks.studioId, studioId), eq(drynessChecks.setId, id)))
      .orderBy(asc(drynessChecks.atMs)),
    reader
      .select()
      .from(wearDays)
      .where(and(eq(wearDays.studioId, studioId), eq(wearDays.setId, id)))
      .orderBy(asc(wearDays.day)),
    reader
      .select()
      .from(outcomes)
      .where(and(eq(outcomes.studioId, studioId), eq(outcomes.setId, id))),
  ]);
  return {
    ...row,
    sections,
    events,
    checks: checks.map((check) => ({ ...check, level: check.level as Level, feel: check.feel as CheckFeel })),
    wearDays: days,
    outcome: outcome ?? null,
  };
}

async function requireSet(tx: Tx, studioId: string, id: string): Promise<SetRecord> {
  const found = await findSet(tx, studioId, id);
  if (!found) throw new AppError('not-found');
  return found;
}

/** Begins a set: keeps brief, forecast and sections as they are now. Answers its id. */
export async function startSet(
  tx: Tx,
  studioId: string,
  set: {
    headId: string;
    planId: string | null;
    measurementId: string;
    title: string;
    brief: BriefInput;
    forecast: PlanFile;
    modelVersion: string;
    dryingBelief: RateBelief | null;
    costMinor: number | null;
    sections: readonly SetSection[];
  },
  startedAtMs: number,
): Promise<string> {
  const id = newId(startedAtMs);
  const { sections, ...row } = set;
  await tx.insert(sets).values({ id, studioId, ...row, startedAtMs });
  // 8 columns a row: 600 sections stay well below SQLite's parameter limit.
  await tx.insert(setSections).values(sections.map((section) => ({ setId: id, studioId, ...section })));
  return id;
}

/**
 * Adds what happened at the chair. An event already known by its id is left alone, so that a device may send
 * again after a lost connection.
 *
 * @throws AppError not-found, or invalid for a section the set does not have or a time before the start
 */
export async function addEvents(
  tx: Tx,
  studioId: string,
  setId: string,
  events: readonly RunEvent[],
): Promise<void> {
  const set = await requireSet(tx, studioId, setId);
  for (const event of events) {
    if (event.atMs < set.startedAtMs) throw invalid('atMs', 'this happened before the set was started');
    if (event.sectionNumber !== null && !set.sections.some((s) => s.number === event.sectionNumber)) {
      throw invalid('sectionNumber', `this set has no section ${event.sectionNumber}`);
    }
    await tx
      .insert(setEvents)
      .values({ ...event, studioId, setId })
      .onConflictDoNothing();
  }
  const state = runState(await eventsOf(tx, studioId, setId), set.sections.length);
  await tx
    .update(sets)
    .set({ installedAtMs: state.installedAtMs, takenDownAtMs: state.takenDownAtMs })
    .where(and(eq(sets.studioId, studioId), eq(sets.id, setId)));
}

/**
 * Records a dryness check.
 *
 * @throws AppError not-found, or invalid while the set is still going in or after takedown
 */
export async function addCheck(tx: Tx, studioId: string, setId: string, check: CheckRow): Promise<void> {
  const set = await requireSet(tx, studioId, setId);
  if (set.installedAtMs === null) throw invalid('setId', 'finish every section before feeling for dryness');
  if (check.atMs < set.installedAtMs) throw invalid('atMs', 'this check is from before the set was finished');
  if (set.takenDownAtMs !== null) throw invalid('setId', 'this set is already taken down');
  if (!set.sections.some((s) => s.number === check.sectionNumber)) {
    throw invalid('sectionNumber', `this set has no section ${check.sectionNumber}`);
  }
  await tx
    .insert(drynessChecks)
    .values({ ...check, studioId, setId })
    .onConflictDoNothing();
}

/**
 * Saves one day of wear; a day already entered is replaced over the revision the writer saw.
 *
 * @throws AppError not-found, conflict, or invalid for a day the style was not worn
 */
export async function saveWearDay(
  tx: Tx,
  studioId: string,
  setId: string,
  entry: Omit<WearDay, 'id'>,
  nowMs: number,
): Promise<void> {
  const set = await requireSet(tx, studioId, setId);
  if (set.takenDownAtMs === null) throw invalid('date', 'this set has not been taken down yet');
  if (entry.day < 0)
    throw invalid('date', 'that day is before the takedown; choose the takedown day or later');
  if (entry.day > 90) throw invalid('date', 'that day is more than 90 days after the takedown');
  const before = set.wearDays.find((day) => day.day === entry.day);
  if ((before?.revision ?? 0) !== entry.revision) throw new AppError('conflict');
  const row = { ...entry, revision: entry.revision + 1, updatedAtMs: nowMs };
  await tx
    .insert(wearDays)
    .values({ id: newId(nowMs), studioId, setId, ...row })
    .onConflictDoUpdate({ target: [wearDays.setId, wearDays.day], set: row });
}

/**
 * Records why and when a style was given up.
 *
 * @throws AppError not-found, or invalid before takedown or twice
 */
export async function endSet(
  tx: Tx,
  studioId: string,
  setId: string,
  outcome: Outcome,
  nowMs: number,
): Promise<void> {
  const set = await requireSet(tx, studioId, setId);
  if (set.takenDownAtMs === null) throw invalid('lastGoodDay', 'this set has not been taken down yet');
  if (set.endedAtMs !== null) throw invalid('lastGoodDay', 'this style is already given up');
  if (outcome.lastGoodDay < 0)
    throw invalid('lastGoodDay', 'the last good day cannot be before the takedown');
  await tx.insert(outcomes).values({ ...outcome, studioId, setId, createdAtMs: nowMs });
  await tx
    .update(sets)
    .set({ endedAtMs: nowMs })
    .where(and(eq(sets.studioId, studioId), eq(sets.id, setId)));
}
