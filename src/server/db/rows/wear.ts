import { and, asc, eq, inArray, sql } from 'drizzle-orm';
import type { z } from 'zod';
import { NIGHT_CARE_IDS } from '@/core/coefficients/night-care';
import { WEAR_DAYS } from '@/core/formats/ranges';
import {
  dayDone,
  dayEntry,
  dayMarks,
  dayWeather,
  EMPTY_DAY,
  ENTRY_SOURCES,
  visibleLengths,
  type DayEntry,
  type EntrySource,
} from '@/core/diary/day-entry';
import { HALVES, type Half } from '@/core/hair/half';
import { recalled as recalledShape, type HalfOutcome, type Outcome } from '@/core/diary/outcome';
import { END_REASON_IDS } from '@/core/wear/end-reasons';
import { RATING_IDS, type RatingId } from '@/core/wear/rating-scales';
import { dayOfWear } from '@/core/wear/wear-day-number';
import { AppError, invalid } from '../../errors';
import type { Reader, Tx } from '../client';
import { newId } from '../id';
import { outcomes, photoMeasures, photos, sets, wearDayHistory, wearDays } from '../schema';
import { measuresOf, photosOf } from './photos';
import { readJson } from './json';

/** One day of wear as it is kept. */
export interface WearDay extends DayEntry {
  readonly id: string;
  /** Days since the takedown. */
  readonly day: number;
  readonly half: Half;
  /** Who rated it; null where nobody said. */
  readonly ratedBy: string | null;
  readonly source: EntrySource;
  readonly revision: number;
  /** When it was entered. */
  readonly atMs: number;
}

/** A day of wear to be kept: over the revision that its writer saw, 0 for a new one. */
export type WearDayToKeep = Omit<WearDay, 'id' | 'atMs'>;

type WearRow = typeof wearDays.$inferSelect;

/** The days of wear of a set, in order; what cannot be read of one is left out. */
export async function wearDaysOf(reader: Reader, studioId: string, setId: string): Promise<WearDay[]> {
  const rows = await reader
    .select()
    .from(wearDays)
    .where(and(eq(wearDays.studioId, studioId), eq(wearDays.setId, setId)))
    .orderBy(asc(wearDays.day), asc(wearDays.half));
  return rows.map(readWearDay);
}

/** One day of wear of a half, or null. */
export async function findWearDay(
  reader: Reader,
  studioId: string,
  setId: string,
  day: number,
  half: Half,
): Promise<WearDay | null> {
  const [row] = await reader
    .select()
    .from(wearDays)
    .where(
      and(
        eq(wearDays.studioId, studioId),
        eq(wearDays.setId, setId),
        eq(wearDays.day, day),
        eq(wearDays.half, half),
      ),
    );
  return row ? readWearDay(row) : null;
}

/** A row as it is told. */
export function readWearDay({
  id,
  day,
  half,
  ratedBy,
  source,
  revision,
  updatedAtMs,
  ...row
}: WearRow): WearDay {
  const rated = RATING_IDS.filter((scale) => row[scale] !== null).map((scale) => [scale, row[scale]]);
  const read = <T>(shape: z.ZodType<T>, value: unknown, otherwise: T): T =>
    readJson(shape, value) ?? otherwise;
  return {
    id,
    day,
    half: HALVES.find((own) => own === half) ?? 'whole',
    ratedBy,
    source: ENTRY_SOURCES.find((own) => own === source) ?? 'studio',
    revision,
    atMs: updatedAtMs,
    ratings: read(dayEntry.shape.ratings.unwrap(), Object.fromEntries(rated), {}),
    marks: read(dayMarks, row.marks, {}),
    night: NIGHT_CARE_IDS.find((own) => own === row.night) ?? null,
    done: read(dayDone, row.done, EMPTY_DAY.done),
    weather: readJson(dayWeather, row.weather),
    visibleCm: read(visibleLengths, row.visibleCm, {}),
    note: row.note,
  };
}

/** The columns of what an entry says. */
export const columnsOf = ({ ratings, marks, night, done, weather, visibleCm, note }: DayEntry) => ({
  ...(Object.fromEntries(RATING_IDS.map((scale) => [scale, ratings[scale] ?? null])) as Record<
    RatingId,
    number | null
  >),
  marks,
  night,
  done,
  weather,
  visibleCm,
  note,
});

async function wornSet(tx: Tx, studioId: string, setId: string) {
  const [set] = await tx
    .select({ takenDownAtMs: sets.takenDownAtMs, endedAtMs: sets.endedAtMs })
    .from(sets)
    .where(and(eq(sets.studioId, studioId), eq(sets.id, setId)));
  if (!set) throw new AppError('not-found');
  return set;
}

/**
 * Saves one day of wear; a day already entered is replaced over the revision the writer saw, and kept in its history.
 *
 * @throws AppError not-found, conflict, or invalid for a day the style was not worn
 */
export async function saveWearDay(
  tx: Tx,
  studioId: string,
  setId: string,
  kept: WearDayToKeep,
  nowMs: number,
): Promise<void> {
  const set = await wornSet(tx, studioId, setId);
  if (set.takenDownAtMs === null) throw invalid('date', 'this set has not been taken down yet');
  if (kept.day < 0)
    throw invalid('date', 'that day is before the takedown; choose the takedown day or later');
  if (kept.day > WEAR_DAYS.high)
    throw invalid('date', `that day is more than ${WEAR_DAYS.high} days after the takedown`);
  const { day, half, ratedBy, source, revision } = kept;
  const ofDay = and(
    eq(wearDays.studioId, studioId),
    eq(wearDays.setId, setId),
    eq(wearDays.day, day),
    eq(wearDays.half, half),
  );
  const [before] = await tx.select().from(wearDays).where(ofDay);
  if ((before?.revision ?? 0) !== revision) throw new AppError('conflict');
  const row = { ...columnsOf(kept), ratedBy, source, revision: revision + 1, updatedAtMs: nowMs };
  if (!before) {
    await tx.insert(wearDays).values({ id: newId(nowMs), studioId, setId, day, half, ...row });
    return;
  }
  await tx.insert(wearDayHistory).values({
    id: newId(nowMs),
    studioId,
    wearDayId: before.id,
    entry: dayEntry.parse(readWearDay(before)),
    ratedBy: before.ratedBy,
    source: before.source,
    replacedAtMs: nowMs,
  });
  await tx.update(wearDays).set(row).where(ofDay);
}

/** What is kept of an entry that another one of its day outweighs. */
export type EntryOfBefore = DayEntry & Pick<WearDay, 'day' | 'half' | 'ratedBy' | 'source'>;

/**
 * Keeps an entry in the history of a day that has a later one.
 *
 * @throws AppError not-found where the day has none
 */
export async function saveEarlierDay(
  tx: Tx,
  studioId: string,
  setId: string,
  { day, half, ratedBy, source, ...entry }: EntryOfBefore,
  nowMs: number,
): Promise<void> {
  const kept = await findWearDay(tx, studioId, setId, day, half);
  if (!kept) throw new AppError('not-found');
  await tx.insert(wearDayHistory).values({
    id: newId(nowMs),
    studioId,
    wearDayId: kept.id,
    entry: dayEntry.parse(entry),
    ratedBy,
    source,
    replacedAtMs: nowMs,
  });
}

type OutcomeRow = typeof outcomes.$inferSelect;

const readOutcome = ({
  half,
  lastGoodDay,
  reason,
  wouldHaveGoneOn,
  note,
  recalled,
}: OutcomeRow): HalfOutcome => ({
  half: HALVES.find((own) => own === half) ?? 'whole',
  lastGoodDay,
  reason: END_REASON_IDS.find((own) => own === reason) ?? 'unknown',
  wouldHaveGoneOn,
  note,
  recalled: readJson(recalledShape, recalled),
});

/** How a set ended, and each half of a trial, as far as that is known. */
export async function outcomesOf(reader: Reader, studioId: string, setId: string): Promise<HalfOutcome[]> {
  const rows = await reader
    .select()
    .from(outcomes)
    .where(and(eq(outcomes.studioId, studioId), eq(outcomes.setId, setId)));
  return rows.map(readOutcome);
}

/**
 * Records why and when a style was given up, or one half of it, or corrects what was recorded. Once both halves of a
 * trial are given up the set is over, on the last good day of the half that lasted longer.
 *
 * @throws AppError not-found, or invalid before takedown
 */
export async function endSet(
  tx: Tx,
  studioId: string,
  setId: string,
  { half, ...ended }: HalfOutcome,
  nowMs: number,
): Promise<void> {
  const set = await wornSet(tx, studioId, setId);
  if (set.takenDownAtMs === null) throw invalid('lastGoodDay', 'this set has not been taken down yet');
  if (ended.lastGoodDay < 0) throw invalid('lastGoodDay', 'the last good day cannot be before the takedown');
  if (ended.lastGoodDay > WEAR_DAYS.high)
    throw invalid('lastGoodDay', `the last good day is at most ${WEAR_DAYS.high} days after the takedown`);
  const keep = (own: Half, row: Outcome) =>
    tx
      .insert(outcomes)
      .values({ ...row, half: own, studioId, setId, createdAtMs: nowMs })
      .onConflictDoUpdate({ target: [outcomes.setId, outcomes.half], set: row });
  await keep(half, ended);
  if (half !== 'whole') {
    const known = await outcomesOf(tx, studioId, setId);
    const [left, right] = [
      known.find((one) => one.half === 'left'),
      known.find((one) => one.half === 'right'),
    ];
    if (!left || !right) return;
    const { half: _, ...longer } = left.lastGoodDay > right.lastGoodDay ? left : right;
    await keep('whole', longer);
  }
  await tx
    .update(sets)
    .set({ endedAtMs: set.endedAtMs ?? nowMs })
    .where(and(eq(sets.studioId, studioId), eq(sets.id, setId)));
}

/**
 * Takes a giving up back: the style is worn on.
 *
 * @returns what was recorded, so that it can be put back
 * @throws AppError not-found, or invalid when it was not given up
 */
export async function reopenSet(tx: Tx, studioId: string, setId: string): Promise<HalfOutcome[]> {
  await wornSet(tx, studioId, setId);
  const removed = await tx
    .delete(outcomes)
    .where(and(eq(outcomes.studioId, studioId), eq(outcomes.setId, setId)))
    .returning();
  if (removed.length === 0) throw invalid('setId', 'this style is not given up');
  await tx
    .update(sets)
    .set({ endedAtMs: null })
    .where(and(eq(sets.studioId, studioId), eq(sets.id, setId)));
  return removed.map(readOutcome);
}

/** Far beyond any day of wear: where days wait while their numbers change. */
const AWAY = 100_000;

/**
 * Counts the days of wear anew from a corrected takedown: an entry keeps its date.
 *
 * @throws AppError invalid when an entry would fall before the takedown or too long after it
 */
export async function moveWearDays(
  tx: Tx,
  studioId: string,
  setId: string,
  fromMs: number,
  toMs: number,
  timeZone: string,
): Promise<void> {
  const by = -dayOfWear(fromMs, toMs, timeZone);
  if (by === 0) return;
  const ofSet = and(eq(wearDays.studioId, studioId), eq(wearDays.setId, setId));
  const days = await tx.select({ day: wearDays.day }).from(wearDays).where(ofSet);
  const ended = await outcomesOf(tx, studioId, setId);
  const pictured = [...(await photosOf(tx, studioId, setId)), ...(await measuresOf(tx, studioId, setId))];
  const moved = [
    ...[...days, ...pictured].map(({ day }) => day),
    ...ended.map(({ lastGoodDay }) => lastGoodDay),
  ].map((day) => day + by);
  if (moved.some((day) => day < 0))
    throw invalid('toMs', 'days of wear are entered before that; a takedown cannot come after them');
  if (moved.some((day) => day > WEAR_DAYS.high))
    throw invalid('toMs', `days of wear would be more than ${WEAR_DAYS.high} days after that takedown`);
  await tx
    .update(wearDays)
    .set({ day: sql`${wearDays.day} + ${AWAY}` })
    .where(ofSet);
  await tx
    .update(wearDays)
    .set({ day: sql`${wearDays.day} + ${by - AWAY}` })
    .where(ofSet);
  await tx
    .update(photos)
    .set({ day: sql`${photos.day} + ${by}` })
    .where(and(eq(photos.studioId, studioId), eq(photos.setId, setId)));
  await tx
    .update(photoMeasures)
    .set({ day: sql`${photoMeasures.day} + ${by}` })
    .where(and(eq(photoMeasures.studioId, studioId), eq(photoMeasures.setId, setId)));
  if (ended.length > 0)
    await tx
      .update(outcomes)
      .set({ lastGoodDay: sql`${outcomes.lastGoodDay} + ${by}` })
      .where(and(eq(outcomes.studioId, studioId), eq(outcomes.setId, setId)));
}

/** Which days are entered of each set, by its id. */
export async function enteredDays(
  reader: Reader,
  studioId: string,
  setIds: readonly string[],
): Promise<ReadonlyMap<string, readonly number[]>> {
  const days = new Map<string, number[]>();
  if (setIds.length === 0) return days;
  const rows = await reader
    .select({ setId: wearDays.setId, day: wearDays.day })
    .from(wearDays)
    .where(and(eq(wearDays.studioId, studioId), inArray(wearDays.setId, [...setIds])));
  for (const { setId, day } of rows) days.set(setId, [...(days.get(setId) ?? []), day]);
  return days;
}

/** What was rated of definition on the days of some sets: null where a day has an entry without it. */
export async function ratedDays(
  reader: Reader,
  studioId: string,
  setIds: readonly string[],
): Promise<Map<string, { readonly day: number; readonly definition: number | null }[]>> {
  const days = new Map<string, { day: number; definition: number | null }[]>();
  if (setIds.length === 0) return days;
  const rows = await reader
    .select({
      setId: wearDays.setId,
      day: wearDays.day,
      definition: sql<number | null>`avg(${wearDays.definition})`,
    })
    .from(wearDays)
    .where(and(eq(wearDays.studioId, studioId), inArray(wearDays.setId, [...setIds])))
    .groupBy(wearDays.setId, wearDays.day)
    .orderBy(asc(wearDays.day));
  for (const { setId, day, definition } of rows)
    days.set(setId, [...(days.get(setId) ?? []), { day, definition }]);
  return days;
}
