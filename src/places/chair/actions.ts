'use server';
import { revalidatePath } from 'next/cache';
import { action } from '@/server/action';
import { addCheck, addEvents } from '@/server/db/rows/sets';
import { recordCheckInput, recordEventsInput } from './chair-input';

/** Keeps what happened at the chair. Sending the same events again changes nothing. */
export const recordEvents = action(recordEventsInput, async ({ input, actor, database }) => {
  await database.write((tx) => addEvents(tx, actor.studio.id, input.setId, input.events));
  revalidatePath('/');
  return { kept: input.events.length };
});

/** Keeps one dryness check. */
export const recordCheck = action(recordCheckInput, async ({ input, actor, database }) => {
  await database.write((tx) => addCheck(tx, actor.studio.id, input.setId, input.check));
  revalidatePath('/');
  return { id: input.check.id };
});
