'use server';
import { revalidatePath } from 'next/cache';
import { EMPTY_DAY } from '@/core/diary/day-entry';
import { dayProblem, stretchedOf } from '@/core/diary/day-problem';
import { codeIn, diaryIdOf, readDiaryCode } from '@/core/take-home/diary-code';
import { diaryFates, fates } from '@/core/take-home/taken-in';
import { dayOfWear } from '@/core/wear/wear-day-number';
import { action, type Call } from '@/server/action';
import { findSet, type SetRecord } from '@/server/db/rows/sets';
import { endSet, findWearDay, saveEarlierDay, saveWearDay as saveWearDayRow } from '@/server/db/rows/wear';
import { findDiary } from '@/server/db/rows/diaries';
import { AppError, invalid } from '@/server/errors';
import { wornDayOf } from '@/server/worn-day';
import {
  deleteMeasure as deleteMeasureRow,
  keepMarks as keepMarkRows,
  keepMeasures as keepMeasureRows,
} from '@/server/db/rows/photos';
import { z } from 'zod';
import {
  giveUpInput,
  homeDiaryInput,
  keepMarksInput,
  keepMeasuresInput,
  saveWearDayInput,
  secondLookInput,
} from './wear-input';

async function wornSet({ actor, database }: Call, setId: string): Promise<SetRecord> {
  const set = await findSet(database.db, actor.studio.id, setId);
  if (!set) throw new AppError('not-found');
  return set;
}

const dayOf = ({ actor, nowMs }: Call, set: SetRecord, date: string) =>
  wornDayOf(set, date, nowMs, actor.studio.timeZone);

/** Keeps one day of wear, and answers the revision that it has now. */
export const saveWearDay = action('write-wear', saveWearDayInput, async (call) => {
  const { setId, date, half, revision, entry, by } = call.input;
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
      { ...entry, day, half, revision, ratedBy: by || call.actor.person?.name || null, source: 'studio' },
      call.nowMs,
    ),
  );
  return { day, revision: revision + 1 };
});

/** Keeps what a second pair of eyes saw of a day, beside what the first said of it. */
export const saveSecondLook = action('write-wear', secondLookInput, async (call) => {
  const { setId, date, by, ratings } = call.input;
  const day = dayOf(call, await wornSet(call, setId), date);
  const studioId = call.actor.studio.id;
  await call.database.write(async (tx) => {
    const first = await findWearDay(tx, studioId, setId, day, 'whole');
    if (!first || Object.keys(first.ratings).length === 0)
      throw invalid('date', 'nobody rated that day yet: rate it first, then look again');
    if (first.ratedBy === by) throw invalid('by', 'the first look was yours already; another must look');
    await saveEarlierDay(
      tx,
      studioId,
      setId,
      { ...EMPTY_DAY, ratings, day, half: 'whole', ratedBy: by, source: 'studio' },
      call.nowMs,
    );
  });
  revalidatePath('/findings');
  return {};
});

/** One day of wear as it is kept now, for who finds that another tab was there first. */
export const readWearDay = action(
  'read',
  saveWearDayInput.pick({ setId: true, date: true, half: true }),
  async (call) => {
    const { setId, date, half } = call.input;
    const day = dayOf(call, await wornSet(call, setId), date);
    return findWearDay(call.database.db, call.actor.studio.id, setId, day, half);
  },
);

/** Records that a style was given up, and why. */
export const giveUp = action('write-wear', giveUpInput, async (call) => {
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
export const keepMeasures = action('write-wear', keepMeasuresInput, async (call) => {
  const { photoId, measures } = call.input;
  return call.database.write((tx) =>
    keepMeasureRows(tx, call.actor.studio.id, photoId, measures, call.nowMs),
  );
});

/** Takes a measured figure out again. */
export const deleteMeasure = action('write-wear', z.object({ id: z.string() }), async (call) => {
  await call.database.write((tx) => deleteMeasureRow(tx, call.actor.studio.id, call.input.id));
});

/** A diary that was brought back, held against its set. */
async function broughtBack(call: Call, { setId, text }: { readonly setId: string; readonly text: string }) {
  const set = await wornSet(call, setId);
  if (set.takenDownAtMs === null) throw invalid('text', 'this set has not been taken down yet');
  const code = codeIn(text);
  const id = code && diaryIdOf(code);
  if (!code || !id)
    throw invalid(
      'text',
      'there is no diary in this: it begins with KSD1, and all of its letters are needed',
    );
  const { studio } = call.actor;
  const known = await findDiary(call.database.db, studio.id, id);
  if (!known)
    throw invalid(
      'text',
      'this diary is of another studio, or of a set that is not here any more: nothing was taken in',
    );
  if (known.setId !== setId) {
    const other = await findSet(call.database.db, studio.id, known.setId);
    throw invalid(
      'text',
      `this diary is of ${other ? `${other.headName}, “${other.title}”` : 'another set'}: open its days of wear and bring it back there`,
    );
  }
  const read = readDiaryCode(code, known.signingKey);
  if (!read.ok)
    throw invalid(
      'text',
      read.problem === 'changed'
        ? 'this diary was changed outside of itself, or letters were lost: copy it once more from the phone'
        : 'letters of this diary are missing: copy it once more from the phone, all of it',
    );
  const found = diaryFates(read.diary, {
    takenDownAtMs: set.takenDownAtMs,
    nowMs: call.nowMs,
    timeZone: studio.timeZone,
    isTrial: set.brief.parting?.trial === true,
    days: set.wearDays,
    ends: [...set.halfOutcomes, ...(set.outcome ? [set.outcome] : [])],
  });
  return { by: read.diary.by, ...found };
}

/** What would become of each entry of a diary; nothing is changed. */
export const readHomeDiary = action('write-wear', homeDiaryInput, async (call) => {
  const { by, days, ends } = await broughtBack(call, call.input);
  return {
    by,
    days: days.map(({ date, day, half, fate, entry }) => ({
      date,
      day,
      half,
      fate,
      ratings: entry?.ratings ?? {},
    })),
    ends: ends.map(({ date, half, fate, outcome }) => ({
      date,
      half,
      fate,
      reason: outcome?.reason ?? null,
    })),
  };
});

/** Takes a diary in, all of it or nothing. */
export const takeHomeDiaryIn = action('write-wear', homeDiaryInput, async (call) => {
  const { by, days, ends } = await broughtBack(call, call.input);
  const { setId } = call.input;
  const { id: studioId } = call.actor.studio;
  const taken = days.filter(({ fate }) => fates[fate].isTaken);
  await call.database.write(async (tx) => {
    for (const { day, half, entry, revision, fate } of taken) {
      const row = {
        ...entry!,
        day: day!,
        half,
        ratedBy: by || call.actor.person?.name || null,
        source: 'take-home' as const,
      };
      if (fate === 'earlier') await saveEarlierDay(tx, studioId, setId, row, call.nowMs);
      else await saveWearDayRow(tx, studioId, setId, { ...row, revision }, call.nowMs);
    }
    for (const { outcome } of ends) if (outcome) await endSet(tx, studioId, setId, outcome, call.nowMs);
  });
  revalidatePath(`/wear/${setId}`);
  return { taken: taken.length, ends: ends.filter(({ outcome }) => outcome !== null).length };
});

/** Keeps where a view is marked on a picture, so that the next of it can be told to be the same. */
export const keepMarks = action('write-wear', keepMarksInput, async (call) => {
  const { photoId, marks } = call.input;
  await call.database.write((tx) => keepMarkRows(tx, call.actor.studio.id, photoId, marks));
  return { marks };
});
