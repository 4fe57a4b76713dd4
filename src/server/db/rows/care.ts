import { and, asc, desc, eq, inArray, isNull, sql } from 'drizzle-orm';
import { CARE_KIND_IDS, type CareKindId } from '@/core/care/due';
import { AppError } from '../../errors';
import type { Reader, Tx } from '../client';
import { newId } from '../id';
import { calendarEvents, careLog, headMeasurements, heads, sets, zoneMeasurements } from '../schema';

/** Something that was done to hair between sets. */
export interface CareEntry {
  readonly id: string;
  readonly headId: string;
  readonly kind: CareKindId;
  readonly date: string;
  readonly cutMm: number | null;
  readonly note: string;
}

const ofStudio = (studioId: string, headId?: string) =>
  and(eq(careLog.studioId, studioId), headId ? eq(careLog.headId, headId) : undefined);

/** What was done between sets, of one head or of all, newest first. */
export async function careOf(reader: Reader, studioId: string, headId?: string): Promise<CareEntry[]> {
  const rows = await reader
    .select()
    .from(careLog)
    .where(ofStudio(studioId, headId))
    .orderBy(desc(careLog.date), desc(careLog.id));
  return rows.flatMap((row) => {
    const kind = CARE_KIND_IDS.find((id) => id === row.kind);
    const { id, date, cutMm, note } = row;
    return kind ? [{ id, headId: row.headId, kind, date, cutMm, note }] : [];
  });
}

/**
 * Writes down what was done.
 *
 * @returns its id
 * @throws AppError not-found
 */
export async function addCare(
  tx: Tx,
  studioId: string,
  entry: Omit<CareEntry, 'id'>,
  nowMs: number,
): Promise<string> {
  const [head] = await tx
    .select({ id: heads.id })
    .from(heads)
    .where(and(eq(heads.studioId, studioId), eq(heads.id, entry.headId)));
  if (!head) throw new AppError('not-found');
  const id = newId(nowMs);
  await tx.insert(careLog).values({ ...entry, id, studioId, createdAtMs: nowMs });
  return id;
}

/**
 * Takes an entry out again.
 *
 * @throws AppError not-found
 */
export async function deleteCare(tx: Tx, studioId: string, id: string): Promise<void> {
  const gone = await tx
    .delete(careLog)
    .where(and(ofStudio(studioId), eq(careLog.id, id)))
    .returning({ id: careLog.id });
  if (gone.length === 0) throw new AppError('not-found');
}

/** What care needs to know of a set. */
export interface CareSet {
  readonly headId: string;
  readonly startedAtMs: number;
  readonly takenDownAtMs: number | null;
  readonly endedAtMs: number | null;
  readonly outgrownAtMs: number | null;
  /** Steps before it; null for the usual ones, a wash among them. */
  readonly prep: readonly string[] | null;
  /** Whether ends were noted open, bent or broken at its takedown. */
  readonly isEndsNoted: boolean;
  /** Last day of wear on which itch was marked; null for none. */
  readonly itchDay: number | null;
  /** When flakes were noted at the chair; null where they were not. */
  readonly flakesAtMs: number | null;
}

/** Sets of a head that care looks at: the rhythm of washing is that of the last few. */
const MOST_A_HEAD = 7;

/** The newest sets of a head, or of every head, since a moment, that were not begun by mistake; newest first. */
export async function careSets(
  reader: Reader,
  studioId: string,
  sinceMs: number,
  headId?: string,
): Promise<CareSet[]> {
  const rows = await reader
    .select({
      headId: sets.headId,
      startedAtMs: sets.startedAtMs,
      takenDownAtMs: sets.takenDownAtMs,
      endedAtMs: sets.endedAtMs,
      outgrownAtMs: sets.outgrownAtMs,
      prep: sql<
        string | null
      >`case when json_valid(${sets.brief}) then json_extract(${sets.brief}, '$.prep') end`,
      ends: sql<number>`exists (select 1 from set_events e where e.set_id = ${sets.id} and e.studio_id = ${sets.studioId}
        and e.kind = 'fault' and e.note in ('ends-open', 'bent-ends', 'broke'))`,
      itchDay: sql<
        number | null
      >`(select max(w.day) from wear_days w where w.set_id = ${sets.id} and w.studio_id = ${sets.studioId}
        and json_valid(w.marks) and json_array_length(w.marks, '$.itch') > 0)`,
      flakesAtMs: sql<number | null>`(select max(e.at_ms) from set_events e where e.set_id = ${sets.id}
        and e.studio_id = ${sets.studioId} and e.kind = 'fault' and e.note = 'flakes')`,
    })
    .from(heads)
    .innerJoin(
      sets,
      // Older ones tell nothing more, and each takes a look into its brief and its log.
      sql`${sets.id} in (select s.id from sets s where s.head_id = ${heads.id} and s.studio_id = ${studioId}
        and s.cancelled_at_ms is null and s.started_at_ms >= ${sinceMs}
        order by s.started_at_ms desc limit ${MOST_A_HEAD})`,
    )
    .where(and(eq(heads.studioId, studioId), headId ? eq(heads.id, headId) : undefined))
    .orderBy(desc(sets.startedAtMs));
  return rows.map(({ ends, prep, ...row }) => ({ ...row, prep: stepsOf(prep), isEndsNoted: ends === 1 }));
}

function stepsOf(text: string | null): string[] | null {
  try {
    const steps: unknown = text === null ? null : JSON.parse(text);
    return Array.isArray(steps) ? steps.map((one) => String((one as { step?: unknown }).step)) : null;
  } catch {
    return null;
  }
}

/** A stretched length as it was measured. */
export interface MeasuredLength {
  readonly headId: string;
  readonly zone: string;
  readonly measuredAtMs: number;
  readonly cm: number;
}

/** Stretched lengths of a head, or of every head, in the order they were measured. */
export const lengthsOf = (reader: Reader, studioId: string, headId?: string): Promise<MeasuredLength[]> =>
  reader
    .select({
      headId: headMeasurements.headId,
      zone: zoneMeasurements.zone,
      measuredAtMs: headMeasurements.measuredAtMs,
      cm: zoneMeasurements.stretchedLengthCm,
    })
    .from(zoneMeasurements)
    .innerJoin(headMeasurements, eq(headMeasurements.id, zoneMeasurements.measurementId))
    .where(
      and(eq(headMeasurements.studioId, studioId), headId ? eq(headMeasurements.headId, headId) : undefined),
    )
    .orderBy(asc(headMeasurements.measuredAtMs));

/** What care needs to know of the heads that are there. */
export const careHeads = (reader: Reader, studioId: string, headId?: string) =>
  reader
    .select({ id: heads.id, name: heads.name, schools: heads.schools })
    .from(heads)
    .where(
      and(
        eq(heads.studioId, studioId),
        isNull(heads.archivedAtMs),
        headId ? eq(heads.id, headId) : undefined,
      ),
    );

/** Conditions of the newest measurement of heads, by head. */
export async function conditionsOf(
  reader: Reader,
  studioId: string,
  headId?: string,
): Promise<Map<string, readonly string[]>> {
  const rows = await reader
    .select({ headId: headMeasurements.headId, conditions: headMeasurements.conditions })
    .from(headMeasurements)
    .where(
      and(eq(headMeasurements.studioId, studioId), headId ? eq(headMeasurements.headId, headId) : undefined),
    )
    .orderBy(asc(headMeasurements.measuredAtMs), asc(headMeasurements.id));
  return new Map(rows.map((row) => [row.headId, Array.isArray(row.conditions) ? row.conditions : []]));
}

/** An event as calendars are given it. */
export interface CalendarEvent {
  readonly uid: string;
  readonly date: string;
  readonly summary: string;
  readonly sequence: number;
  readonly isCancelled: boolean;
  readonly changedAtMs: number;
}

/** Events that fell away are told so long, so that every calendar hears of it. */
const CANCELLED_FOR_MS = 60 * 86_400_000;

/**
 * Brings the events that calendars were given up to date: new ones, those that moved, and those that fell away.
 *
 * @returns all that calendars are to be told
 */
export async function syncCalendar(
  tx: Tx,
  studioId: string,
  due: readonly Pick<CalendarEvent, 'uid' | 'date' | 'summary'>[],
  nowMs: number,
): Promise<CalendarEvent[]> {
  const ofCalendar = eq(calendarEvents.studioId, studioId);
  const known = await tx.select().from(calendarEvents).where(ofCalendar);
  const wanted = new Map(due.map((event) => [event.uid, event]));
  for (const event of due) {
    const before = known.find(({ uid }) => uid === event.uid);
    if (!before) {
      await tx
        .insert(calendarEvents)
        .values({ ...event, studioId, sequence: 0, isCancelled: false, changedAtMs: nowMs });
    } else if (before.date !== event.date || before.summary !== event.summary || before.isCancelled) {
      await tx
        .update(calendarEvents)
        .set({ ...event, sequence: before.sequence + 1, isCancelled: false, changedAtMs: nowMs })
        .where(and(ofCalendar, eq(calendarEvents.uid, event.uid)));
    }
  }
  const fallen = known.filter(({ uid, isCancelled }) => !isCancelled && !wanted.has(uid));
  for (const { uid, sequence } of fallen)
    await tx
      .update(calendarEvents)
      .set({ isCancelled: true, sequence: sequence + 1, changedAtMs: nowMs })
      .where(and(ofCalendar, eq(calendarEvents.uid, uid)));
  const old = known
    .filter(({ isCancelled, changedAtMs }) => isCancelled && nowMs - changedAtMs > CANCELLED_FOR_MS)
    .map(({ uid }) => uid);
  if (old.length > 0)
    await tx.delete(calendarEvents).where(and(ofCalendar, inArray(calendarEvents.uid, old.slice(0, 500))));
  return tx
    .select()
    .from(calendarEvents)
    .where(ofCalendar)
    .orderBy(asc(calendarEvents.date), asc(calendarEvents.uid));
}
