'use server';
import { randomInt } from 'node:crypto';
import { revalidatePath } from 'next/cache';
import { action } from '@/server/action';
import { saveFault as saveFaultRow } from '@/server/db/rows/evidence';
import { faultInput, nextDraftInput } from './after-input';
import { draftForNext } from './queries';

/** Keeps what somebody saw of a set that fell short, and what they say of its causes. */
export const saveFault = action('write-sets', faultInput, async ({ input, actor, database, nowMs }) => {
  const { setId, ...fault } = input;
  await database.write((tx) => saveFaultRow(tx, actor.studio.id, setId, fault, nowMs));
  revalidatePath(`/sets/${setId}/next`);
  return { revision: input.revision + 1 };
});

/** Makes the draft for next time, and answers its id; a coin says which half is which. */
export const takeNext = action('write-plans', nextDraftInput, async (call) => {
  const { setId, causes, isHalved } = call.input;
  const id = await draftForNext(call, setId, causes, isHalved ? randomInt(2) === 0 : null);
  revalidatePath('/plan');
  return { id };
});
