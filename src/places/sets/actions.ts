'use server';
import { revalidatePath } from 'next/cache';
import { action } from '@/server/action';
import { correctStart as correctStartRow } from '@/server/db/rows/set-log';
import { tellSet } from '@/server/live';
import { findHead } from '@/server/db/rows/heads';
import { findSet } from '@/server/db/rows/sets';
import { cameOutOf } from '@/server/came-out';
import { AppError } from '@/server/errors';
import { cancelSet as cancelSetRow, restoreSet as restoreSetRow } from '@/server/db/rows/set-commands';
import { endSet, reopenSet } from '@/server/db/rows/wear';
import { keepTakenDown } from '@/server/taken-down';
import { enterTold, momentOf, tell } from './entering/queries';
import {
  enterSetInput,
  eventInput,
  moveEventInput,
  moveStartInput,
  outcomesInput,
  setIdInput,
} from './sets-input';

const changed = (setId: string) => {
  tellSet(setId);
  revalidatePath(`/sets/${setId}`);
  revalidatePath('/');
};

/** Takes back a set that was begun by mistake. */
export const cancelSet = action('write-sets', setIdInput, async ({ input, actor, database, nowMs }) => {
  await database.write((tx) => cancelSetRow(tx, actor.studio.id, input.setId, nowMs));
  changed(input.setId);
  return {};
});

/** Brings a cancelled set back. */
export const bringBackSet = action('write-sets', setIdInput, async ({ input, actor, database }) => {
  await database.write((tx) => restoreSetRow(tx, actor.studio.id, input.setId));
  changed(input.setId);
  return {};
});

/** Gives something that happened its right time; answers the correction, by which it can be undone. */
export const moveEvent = action('write-sets', moveEventInput, async (call) => {
  const { setId, eventId, at } = call.input;
  const toMs = momentOf(call, at, 'at');
  const id = await call.database.write((tx) =>
    tell(tx, call, setId, 'moved', call.nowMs, { of: [eventId], toMs }),
  );
  await keepTakenDown(call.database, call.actor.studio.id, setId);
  changed(setId);
  return { eventId: id };
});

/** Takes something back that did not happen; answers the correction, by which it can be undone. */
export const takeBackEvent = action('write-sets', eventInput, async (call) => {
  const { setId, eventId } = call.input;
  const id = await call.database.write((tx) =>
    tell(tx, call, setId, 'taken-back', call.nowMs, { of: [eventId] }),
  );
  await keepTakenDown(call.database, call.actor.studio.id, setId);
  changed(setId);
  return { eventId: id };
});

/** Corrects when a set was begun. */
export const moveStart = action('write-sets', moveStartInput, async (call) => {
  const { setId, at } = call.input;
  const atMs = momentOf(call, at, 'at');
  await call.database.write((tx) => correctStartRow(tx, call.actor.studio.id, setId, atMs, call.nowMs));
  changed(setId);
  return {};
});

/** Takes a giving up back; answers what was recorded, so that it can be put back. */
export const takeBackGivingUp = action('write-sets', setIdInput, async ({ input, actor, database }) => {
  const outcomes = await database.write((tx) => reopenSet(tx, actor.studio.id, input.setId));
  changed(input.setId);
  return { outcomes };
});

/** Puts a giving up back as it was. */
export const putGivingUpBack = action(
  'write-sets',
  outcomesInput,
  async ({ input, actor, database, nowMs }) => {
    const { setId, outcomes } = input;
    await database.write(async (tx) => {
      for (const ended of outcomes) await endSet(tx, actor.studio.id, setId, ended, nowMs);
    });
    changed(setId);
    return {};
  },
);

/** Writes a set down that was done elsewhere. */
export const enterSet = action('write-sets', enterSetInput, async (call) => {
  const setId = await enterTold(call, call.input.form);
  changed(setId);
  return { id: setId };
});

/** A set to be shown in the round, as it came out: what it was planned as, how it was taken down, what was rated since. */
export const setInTheRound = action('read', setIdInput, async ({ input, actor, database }) => {
  const set = await findSet(database.db, actor.studio.id, input.setId);
  if (!set) throw new AppError('not-found');
  const head = await findHead(database.db, actor.studio.id, set.headId);
  if (!head) throw new AppError('not-found');
  return {
    brief: set.brief,
    cameOut: cameOutOf(set),
    skinTone: head.skinTone,
    hairTone: head.hairTone,
  };
});
