'use server';
import { revalidatePath } from 'next/cache';
import { wearDayNumber } from '@/core/wear/wear-day-number';
import { action, type Call } from '@/server/action';
import { findSet } from '@/server/db/rows/sets';
import { endSet, saveWearDay as saveWearDayRow } from '@/server/db/rows/wear';
import { AppError, invalid } from '@/server/errors';
import { giveUpInput, saveWearDayInput } from './wear-input';

/** The day of wear that a date is, counted from the takedown of the set. */
async function dayOf({ actor, database, nowMs }: Call, setId: string, date: string): Promise<number> {
  const set = await findSet(database.db, actor.studio.id, setId);
  if (!set) throw new AppError('not-found');
  if (set.takenDownAtMs === null) throw invalid('date', 'this set has not been taken down yet');
  const { timeZone } = actor.studio;
  const day = wearDayNumber(date, set.takenDownAtMs, timeZone);
  const today = wearDayNumber(
    new Intl.DateTimeFormat('sv-SE', { dateStyle: 'short', timeZone }).format(nowMs),
    set.takenDownAtMs,
    timeZone,
  );
  if (day === null) throw invalid('date', `“${date}” is not a day that exists`);
  if (day < 0) throw invalid('date', 'that day is before the takedown; choose the takedown day or later');
  if (today !== null && day > today) throw invalid('date', 'that day has not come yet');
  return day;
}

/** Keeps one day of wear. */
export const saveWearDay = action(saveWearDayInput, async (call) => {
  const { setId, form } = call.input;
  const { date, ...entry } = form;
  const day = await dayOf(call, setId, date);
  await call.database.write((tx) =>
    saveWearDayRow(tx, call.actor.studio.id, setId, { ...entry, day }, call.nowMs),
  );
  revalidatePath(`/wear/${setId}`);
  return { day };
});

/** Records that a style was given up, and why. */
export const giveUp = action(giveUpInput, async (call) => {
  const { setId, form } = call.input;
  const { date, reason, note } = form;
  const lastGoodDay = await dayOf(call, setId, date);
  await call.database.write((tx) =>
    endSet(tx, call.actor.studio.id, setId, { lastGoodDay, reason, note }, call.nowMs),
  );
  revalidatePath(`/wear/${setId}`);
  return { lastGoodDay };
});
