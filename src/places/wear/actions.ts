'use server';
import { revalidatePath } from 'next/cache';
import { dayProblem, stretchedOf } from '@/core/diary/day-problem';
import { dayOfWear } from '@/core/wear/wear-day-number';
import { action, type Call } from '@/server/action';
import { findSet, type SetRecord } from '@/server/db/rows/sets';
import { endSet, findWearDay, saveWearDay as saveWearDayRow } from '@/server/db/rows/wear';
import { AppError, invalid } from '@/server/errors';
import { wornDayOf } from '@/server/worn-day';
import { deleteMeasure as deleteMeasureRow, keepMeasures as keepMeasureRows } from '@/server/db/rows/photos';
import { z } from 'zod';
import { giveUpInput, keepMeasuresInput, saveWearDayInput } from './wear-input';

async function wornSet({ actor, database }: Call, setId: string): Promise<SetRecord> {
  const set = await findSet(database.db, actor.studio.id, setId);
  if (!set) throw new AppError('not-found');
  return set;
}

const dayOf = ({ actor, nowMs }: Call, set: SetRecord, date: string) =>
  wornDayOf(set, date, nowMs, actor.studio.timeZone);

/** Keeps one day of wear, and answers the revision that it has now. */
export const saveWearDay = action(saveWearDayInput, async (call) => {
  const { setId, date, half, revision, entry } = call.input;
  const set = await wornSet(call, setId);
  const day = dayOf(call, set, date);
  if (half !== 'whole' && !set.brief.parting?.trial)
    throw invalid('half', 'this set is no half-head trial; rate it as a whole');
  const { stretchedLengthCm } = set.brief.head;
  const problem = dayProblem(entry, {
    stretchedCm: stretchedOf(stretchedLengthCm),
    sections: new Set([...set.sections.map(({ number }) => number), ...set.run.parting.ever]),
  });
  if (problem) throw invalid(`entry.${problem.path}`, problem.message);
  await call.database.write((tx) =>
    saveWearDayRow(
      tx,
      call.actor.studio.id,
      setId,
      { ...entry, day, half, revision, ratedBy: null, source: 'studio' },
      call.nowMs,
    ),
  );
  return { day, revision: revision + 1 };
});

/** One day of wear as it is kept now, for who finds that another tab was there first. */
export const readWearDay = action(
  saveWearDayInput.pick({ setId: true, date: true, half: true }),
  async (call) => {
    const { setId, date, half } = call.input;
    const day = dayOf(call, await wornSet(call, setId), date);
    return findWearDay(call.database.db, call.actor.studio.id, setId, day, half);
  },
);

/** Records that a style was given up, and why. */
export const giveUp = action(giveUpInput, async (call) => {
  const { setId, form } = call.input;
  const set = await wornSet(call, setId);
  const { timeZone } = call.actor.studio;
  if (set.takenDownAtMs === null) throw invalid('lastGoodDay', 'this set has not been taken down yet');
  if (form.lastGoodDay > dayOfWear(set.takenDownAtMs, call.nowMs, timeZone))
    throw invalid('lastGoodDay', 'that day has not come yet');
  if (form.half !== 'whole' && !set.brief.parting?.trial)
    throw invalid('half', 'this set is no half-head trial; it is given up as a whole');
  await call.database.write((tx) => endSet(tx, call.actor.studio.id, setId, form, call.nowMs));
  revalidatePath(`/wear/${setId}`);
  return { lastGoodDay: form.lastGoodDay };
});

/** Keeps what was measured on a picture, with the day it is of. */
export const keepMeasures = action(keepMeasuresInput, async (call) => {
  const { photoId, measures } = call.input;
  return call.database.write((tx) =>
    keepMeasureRows(tx, call.actor.studio.id, photoId, measures, call.nowMs),
  );
});

/** Takes a measured figure out again. */
export const deleteMeasure = action(z.object({ id: z.string() }), async (call) => {
  await call.database.write((tx) => deleteMeasureRow(tx, call.actor.studio.id, call.input.id));
});
