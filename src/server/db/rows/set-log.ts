import { and, asc, count, eq, gt, lte, max, sum } from 'drizzle-orm';
import { z } from 'zod';
import { fieldErrors } from '@/core/formats/field-error';
import { isDryingMethod } from '@/core/run/dry-log';
import { isFault } from '@/core/run/faults';
import { keptTimeMs } from '@/core/run/device-clock';
import { measured as measuredShape } from '@/core/run/measured';
import { roomAir } from '@/core/run/room-sensor';
import { partingEdit } from '@/core/run/parting-edit';
import { partingProblem } from '@/core/plan/chair-parting';
import type { BriefInput } from '@/core/formats/brief';
import { sectionName } from '@/core/parting/section-name';
import type { RunEvent } from '@/core/run/run-event';
import { deviceEventInput, runEventInput, type DeviceEvent } from '@/core/run/run-event-input';
import { runState, type RunState } from '@/core/run/run-state';
import { AppError, invalid } from '../../errors';
import { log } from '../../log';
import type { Reader, Tx } from '../client';
import { setEvents, sets, setSections } from '../schema';
import { readJson, requireJson } from './json';
import { briefShape } from './kept-brief';
import { moveWearDays } from './wear';

/** Where a batch of events comes from, and when it came. */
export interface Arrival {
  readonly deviceId: string;
  /** Whoever signed in on it, by name; left out where nobody has to. */
  readonly by?: string | undefined;
  /** How far the server's clock is ahead of the device's, ms. */
  readonly offsetMs: number;
  readonly nowMs: number;
  readonly timeZone: string;
}

/** What became of one event that was sent. */
export type Verdict =
  | { readonly id: string; readonly kept: true; readonly sequence: number; readonly atMs: number }
  | { readonly id: string; readonly kept: false; readonly message: string };

const eventIds = z.array(z.string());

/**
 * The log of a set in its own order, after a place in it. A row that cannot be read is left out and told to the log of the program: one
 * bad row must not take the others with it.
 */
export async function eventsOf(
  reader: Reader,
  studioId: string,
  setId: string,
  after = -1,
): Promise<RunEvent[]> {
  const rows = await reader
    .select()
    .from(setEvents)
    .where(and(eq(setEvents.studioId, studioId), eq(setEvents.setId, setId), gt(setEvents.sequence, after)))
    .orderBy(asc(setEvents.sequence));
  return rows.flatMap(
    ({
      of,
      measured,
      parting,
      room,
      sequence,
      deviceId,
      deviceNumber: _,
      studioId: __,
      setId: ___,
      ...row
    }) => {
      const read = runEventInput.safeParse({
        ...row,
        of: readJson(eventIds, of),
        measured: readJson(measuredShape, measured),
        parting: readJson(partingEdit, parting),
        room: readJson(roomAir, room),
        device: deviceId === '' ? null : deviceId,
      });
      if (!read.success) log.warn({ setId, sequence }, 'an event of a set cannot be read');
      return read.success ? [{ ...read.data, sequence }] : [];
    },
  );
}

/** A log as it was read last, with what tells whether its rows are still those. */
interface ReadLog {
  readonly print: string;
  /** The last place taken: rows that cannot be read hold theirs too. */
  readonly last: number;
  readonly events: readonly RunEvent[];
}

/** Logs kept in memory, those read last. */
const MOST_READ_LOGS = 40;
const readLogs = new Map<string, ReadLog>();

/**
 * The whole log of a set for a tap. Its rows never change, so that only what came since the last tap is read; a log
 * that is not the one it was, as when a copy was put back, is read anew.
 */
async function wholeLog(tx: Tx, studioId: string, setId: string): Promise<ReadLog> {
  const ofSet = and(eq(setEvents.studioId, studioId), eq(setEvents.setId, setId));
  const printUpTo = async (sequence: number) => {
    const [row] = await tx
      .select({ rows: count(), last: max(setEvents.sequence), times: sum(setEvents.atMs) })
      .from(setEvents)
      .where(and(ofSet, lte(setEvents.sequence, sequence)));
    return { last: row!.last ?? 0, print: `${row!.rows}/${row!.last}/${row!.times}` };
  };
  const key = `${studioId}/${setId}`;
  const before = readLogs.get(key);
  const now = await printUpTo(Number.MAX_SAFE_INTEGER);
  const isAsItWas =
    before !== undefined &&
    (now.last === before.last ? now.print : (await printUpTo(before.last)).print) === before.print;
  const events = isAsItWas
    ? [...before.events, ...(now.last > before.last ? await eventsOf(tx, studioId, setId, before.last) : [])]
    : await eventsOf(tx, studioId, setId);
  const read = { ...now, events };
  readLogs.delete(key);
  readLogs.set(key, read);
  if (readLogs.size > MOST_READ_LOGS) readLogs.delete(readLogs.keys().next().value!);
  return read;
}

/**
 * What came into the log of a set after a place in it.
 *
 * @throws AppError not-found
 */
export async function eventsAfter(
  reader: Reader,
  studioId: string,
  setId: string,
  sequence: number,
): Promise<RunEvent[]> {
  await requireSet(reader, studioId, setId);
  return eventsOf(reader, studioId, setId, sequence);
}

/** Kinds that correct what is in the log already. */
const CORRECTIONS: readonly RunEvent['kind'][] = ['moved', 'taken-back'];

/** Where a set stands in its own row. */
interface Stage {
  readonly takenDownAtMs: number | null;
}

interface OpenSet extends Stage {
  readonly startedAtMs: number;
  readonly endedAtMs: number | null;
  readonly sectionCount: number;
}

/** The row of a set, as far as its log looks at it. */
async function requireSet(reader: Reader, studioId: string, setId: string) {
  const [set] = await reader
    .select({ startedAtMs: sets.startedAtMs, takenDownAtMs: sets.takenDownAtMs, endedAtMs: sets.endedAtMs })
    .from(sets)
    .where(and(eq(sets.studioId, studioId), eq(sets.id, setId)));
  if (!set) throw new AppError('not-found');
  return set;
}

async function openSet(tx: Tx, studioId: string, setId: string): Promise<OpenSet> {
  const set = await requireSet(tx, studioId, setId);
  const [sections] = await tx
    .select({ count: count() })
    .from(setSections)
    .where(and(eq(setSections.studioId, studioId), eq(setSections.setId, setId)));
  return { ...set, sectionCount: sections!.count };
}

/** Kinds that can only have happened once it was being taken down. */
const NEEDS_TAKEDOWN: readonly RunEvent['kind'][] = [
  'section-loosed',
  'section-separated',
  'fluffed',
  'measured',
];

const sentId = z.looseObject({ id: z.string().max(64) });

/** Why an event cannot have happened, in words for the hand that tapped; null when it can. */
function refusalOf(
  event: DeviceEvent,
  set: OpenSet,
  known: readonly RunEvent[],
  state: () => RunState,
  nowMs: number,
): string | null {
  const { kind, sectionNumber, of, toMs, step } = event;
  if (sectionNumber !== null && sectionNumber > set.sectionCount && !state().parting.ever.has(sectionNumber))
    return `this set has no section ${sectionName(sectionNumber)}; it was planned with ${set.sectionCount}`;
  if (kind === 'parted' && state().takenDownAtMs !== null) return 'this set is already taken down';
  if (kind === 'dry-begun' && !isDryingMethod(step)) return 'there is no such way of drying';
  if (kind === 'felt' && state().installedAtMs === null)
    return 'finish every section before feeling for dryness';
  if (kind === 'felt' && state().takenDownAtMs !== null) return 'this set is already taken down';
  if (NEEDS_TAKEDOWN.includes(kind) && state().takenDownAtMs === null)
    return 'this set is not taken down yet';
  if (kind === 'fault' && !isFault(step)) return 'there is no such fault';
  if (kind === 'taken-down' && state().doneOrder.length === 0 && state().installedAtMs === null)
    return 'nothing is set yet, so nothing can be taken down';
  if (kind !== 'moved' && kind !== 'taken-back') return null;
  const about = known.filter(({ id }) => of?.includes(id));
  if (about.length !== of?.length) return 'what this corrects is not in the log of this set';
  if (
    kind === 'taken-back' &&
    set.endedAtMs !== null &&
    about.some((earlier) => earlier.kind === 'taken-down')
  )
    return 'this style is given up; take the giving up back first';
  if (kind === 'moved' && (toMs! < set.startedAtMs || toMs! > nowMs))
    return 'the corrected time must lie between the start of the set and now';
  return null;
}

/** Why a set cannot be parted as an event, or taking one back, would have it; null where it can, or nothing is parted. */
async function partingRefusal(
  tx: Tx,
  studioId: string,
  setId: string,
  event: RunEvent,
  known: readonly RunEvent[],
  { sectionCount }: OpenSet,
): Promise<string | null> {
  const isAbout =
    event.kind === 'parted' ||
    (event.kind === 'taken-back' &&
      known.some(({ id, kind }) => kind === 'parted' && event.of?.includes(id)));
  if (!isAbout) return null;
  const { edits } = runState([...known, event], sectionCount).parting;
  if (event.kind === 'parted' && !edits.some(({ id }) => id === event.id))
    return 'other hands changed that section meanwhile; look at the map and part it as it is now';
  const [row] = await tx
    .select({ brief: sets.brief })
    .from(sets)
    .where(and(eq(sets.studioId, studioId), eq(sets.id, setId)));
  const brief = requireJson(briefShape, row!.brief) as BriefInput;
  const problem = partingProblem(
    brief,
    edits.map(({ edit }) => edit),
  );
  return problem !== null && event.kind === 'taken-back'
    ? 'what was parted after it builds on it: take that back first'
    : problem;
}

/**
 * Adds what happened at the chair and says of each event whether it is kept. An event already known by its id is
 * left alone, so that a device may send again after a lost answer; one that cannot have happened is refused in
 * words and takes no other with it. Times come to the server's clock, between the start of the set and now.
 *
 * @param raw events as they were sent, not yet parsed
 * @throws AppError not-found
 */
export async function addEvents(
  tx: Tx,
  studioId: string,
  setId: string,
  raw: readonly unknown[],
  arrival: Arrival,
): Promise<Verdict[]> {
  const set = await openSet(tx, studioId, setId);
  const whole = await wholeLog(tx, studioId, setId);
  const known = [...whole.events];
  let stage: Stage = set;
  let state: RunState | null = null;
  const stateNow = () => (state ??= runState(known, set.sectionCount));
  let sequence = whole.last;
  const verdicts: Verdict[] = [];
  for (const one of raw) {
    const parsed = deviceEventInput.safeParse(one, { reportInput: true });
    if (!parsed.success) {
      const named = sentId.safeParse(one);
      const message = fieldErrors(parsed.error)
        .map((error) => (error.path ? `${error.path}: ${error.message}` : error.message))
        .join('; ');
      verdicts.push({ id: named.success ? named.data.id : '', kept: false, message });
      continue;
    }
    // Taps that waited are those of who tapped, not of who signed in since.
    const event = { ...parsed.data, by: parsed.data.by ?? arrival.by ?? null };
    const before = known.find(({ id }) => id === event.id);
    if (before) {
      verdicts.push({ id: event.id, kept: true, sequence: before.sequence ?? 0, atMs: before.atMs });
      continue;
    }
    const { number, ...told } = event;
    const atMs = keptTimeMs(told.atMs, arrival.offsetMs, set.startedAtMs, arrival.nowMs);
    const inLog = { ...told, atMs, sequence: sequence + 1, device: arrival.deviceId };
    const refusal =
      refusalOf(event, set, known, stateNow, arrival.nowMs) ??
      (await partingRefusal(tx, studioId, setId, inLog, known, set));
    if (refusal !== null) {
      verdicts.push({ id: event.id, kept: false, message: refusal });
      continue;
    }
    const row = {
      ...told,
      of: told.of === null ? null : [...told.of],
      atMs,
      studioId,
      setId,
      sequence: inLog.sequence,
      deviceId: arrival.deviceId,
      deviceNumber: number,
    };
    const next = [...known, inLog];
    const message = await insertOne(tx, row, () =>
      CORRECTIONS.includes(event.kind)
        ? keepStage(tx, studioId, setId, stage, runState(next, set.sectionCount), arrival.timeZone)
        : Promise.resolve(stage),
    );
    if (typeof message === 'string') {
      verdicts.push({ id: event.id, kept: false, message });
      continue;
    }
    stage = message;
    sequence += 1;
    known.push(inLog);
    state = null;
    verdicts.push({ id: event.id, kept: true, sequence, atMs });
  }
  await keepStage(tx, studioId, setId, stage, stateNow(), arrival.timeZone);
  return verdicts;
}

/**
 * Inserts one event and what follows from it, or neither.
 *
 * @returns where the set stands then, or why the event is refused
 */
async function insertOne(
  tx: Tx,
  row: typeof setEvents.$inferInsert,
  follow: () => Promise<Stage>,
): Promise<Stage | string> {
  try {
    return await tx.transaction(async (inner) => {
      const inserted = await inner
        .insert(setEvents)
        .values(row)
        .onConflictDoNothing({ target: setEvents.id })
        .returning({ sequence: setEvents.sequence });
      if (inserted.length === 0) throw invalid('id', 'this tap belongs to another set');
      return follow();
    });
  } catch (thrown) {
    if (thrown instanceof AppError && thrown.code === 'invalid') return thrown.message;
    throw thrown;
  }
}

/** Keeps where the log says the set stands. Days of wear keep their dates when the takedown moves. */
async function keepStage(
  tx: Tx,
  studioId: string,
  setId: string,
  before: Stage,
  { installedAtMs, takenDownAtMs }: RunState,
  timeZone: string,
): Promise<Stage> {
  if (before.takenDownAtMs !== null && takenDownAtMs !== null && before.takenDownAtMs !== takenDownAtMs)
    await moveWearDays(tx, studioId, setId, before.takenDownAtMs, takenDownAtMs, timeZone);
  await tx
    .update(sets)
    .set({
      installedAtMs,
      takenDownAtMs,
      // What came of another moment comes of this one no more.
      ...(before.takenDownAtMs !== takenDownAtMs && { asTakenDown: null }),
    })
    .where(and(eq(sets.studioId, studioId), eq(sets.id, setId)));
  return { takenDownAtMs };
}

/**
 * Corrects when a set was begun.
 *
 * @throws AppError not-found, or invalid for a time after its first event or still to come
 */
export async function correctStart(
  tx: Tx,
  studioId: string,
  setId: string,
  startedAtMs: number,
  nowMs: number,
): Promise<void> {
  const set = await openSet(tx, studioId, setId);
  const { standing } = runState(await eventsOf(tx, studioId, setId), set.sectionCount);
  const first = Math.min(nowMs, ...standing.map(({ atMs }) => atMs));
  if (startedAtMs > first)
    throw invalid('startedAt', 'the set must have begun before the first thing that happened in it');
  await tx
    .update(sets)
    .set({ startedAtMs })
    .where(and(eq(sets.studioId, studioId), eq(sets.id, setId)));
}

/** The last place in the log of a set; 0 while nothing is in it. */
export async function lastPlace(reader: Reader, studioId: string, setId: string): Promise<number> {
  const [row] = await reader
    .select({ last: max(setEvents.sequence) })
    .from(setEvents)
    .where(and(eq(setEvents.studioId, studioId), eq(setEvents.setId, setId)));
  return row?.last ?? 0;
}
