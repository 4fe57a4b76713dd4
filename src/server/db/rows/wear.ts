import { and, eq, inArray, sql } from 'drizzle-orm';
import { WEAR_DAYS } from '@/core/formats/ranges';
import { dayOfWear } from '@/core/wear/wear-day-number';
import { AppError, invalid } from '../../errors';
import type { Reader, Tx } from '../client';
import { newId } from '../id';
import { outcomes, sets, wearDays } from '../schema';

export type WearDay = Omit<typeof wearDays.$inferSelect, 'studioId' | 'setId' | 'updatedAtMs'>;
export type Outcome = Omit<typeof outcomes.$inferSelect, 'studioId' | 'setId' | 'createdAtMs'>;

async function wornSet(tx: Tx, studioId: string, setId: string) {
  const [set] = await tx
    .select({ takenDownAtMs: sets.takenDownAtMs, endedAtMs: sets.endedAtMs })
    .from(sets)
    .where(and(eq(sets.studioId, studioId), eq(sets.id, setId)));
  if (!set) throw new AppError('not-found');
  return set;
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
  const set = await wornSet(tx, studioId, setId);
  if (set.takenDownAtMs === null) throw invalid('date', 'this set has not been taken down yet');
  if (entry.day < 0)
    throw invalid('date', 'that day is before the takedown; choose the takedown day or later');
  if (entry.day > WEAR_DAYS.high)
    throw invalid('date', `that day is more than ${WEAR_DAYS.high} days after the takedown`);
  const [before] = await tx
    .select({ revision: wearDays.revision })
    .from(wearDays)
    .where(and(eq(wearDays.studioId, studioId), eq(wearDays.setId, setId), eq(wearDays.day, entry.day)));
  if ((before?.revision ?? 0) !== entry.revision) throw new AppError('conflict');
  const row = { ...entry, revision: entry.revision + 1, updatedAtMs: nowMs };
  await tx
    .insert(wearDays)
    .values({ id: newId(nowMs), studioId, setId, ...row })
    .onConflictDoUpdate({ target: [wearDays.setId, wearDays.day], set: row });
}

/**
 * Records why and when a style was given up, or corrects what was recorded.
 *
 * @throws AppError not-found, or invalid before takedown
 */
export async function endSet(
  tx: Tx,
  studioId: string,
  setId: string,
  outcome: Outcome,
  nowMs: number,
): Promise<void> {
  const set = await wornSet(tx, studioId, setId);
  if (set.takenDownAtMs === null) throw invalid('lastGoodDay', 'this set has not been taken down yet');
  if (outcome.lastGoodDay < 0)
    throw invalid('lastGoodDay', 'the last good day cannot be before the takedown');
  if (outcome.lastGoodDay > WEAR_DAYS.high)
    throw invalid('lastGoodDay', `the last good day is at most ${WEAR_DAYS.high} days after the takedown`);
  await tx
    .insert(outcomes)
    .values({ ...outcome, studioId, setId, createdAtMs: nowMs })
    .onConflictDoUpdate({ target: outcomes.setId, set: outcome });
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
export async function reopenSet(tx: Tx, studioId: string, setId: string): Promise<Outcome> {
  await wornSet(tx, studioId, setId);
  const [outcome] = await tx
    .delete(outcomes)
    .where(and(eq(outcomes.studioId, studioId), eq(outcomes.setId, setId)))
    .returning({ lastGoodDay: outcomes.lastGoodDay, reason: outcomes.reason, note: outcomes.note });
  if (!outcome) throw invalid('setId', 'this style is not given up');
  await tx
    .update(sets)
    .set({ endedAtMs: null })
    .where(and(eq(sets.studioId, studioId), eq(sets.id, setId)));
  return outcome;
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
  const [outcome] = await tx
    .select({ lastGoodDay: outcomes.lastGoodDay })
    .from(outcomes)
    .where(and(eq(outcomes.studioId, studioId), eq(outcomes.setId, setId)));
  const moved = [...days.map(({ day }) => day), ...(outcome ? [outcome.lastGoodDay] : [])].map(
    (day) => day + by,
  );
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
  if (outcome)
    await tx
      .update(outcomes)
      .set({ lastGoodDay: outcome.lastGoodDay + by })
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
