'use server';
import { revalidatePath } from 'next/cache';
import { readBrief } from '@/core/formats/read-brief';
import { action } from '@/server/action';
import { createHead, updateHead } from '@/server/db/rows/heads';
import { AppError } from '@/server/errors';
import { saveHeadInput } from './head-input';

/** Makes a head or changes one. Changed measurements are kept beside the old ones. */
export const saveHead = action(saveHeadInput, async ({ input, actor, database, nowMs }) => {
  const { id, revision, card, measured } = input;
  // The whole brief reader knows what fits together, such as a ponytail that would mean an impossible density.
  const read = readBrief({
    format: 'keen-spiral/brief',
    version: 1,
    head: measured,
    set: { technique: 'two-strand-twist', sections: 18 },
  });
  if (!read.ok) throw new AppError('invalid', read.errors);
  const studioId = actor.studio.id;
  const headId = await database.write(async (tx) => {
    if (id === null) return createHead(tx, studioId, card, measured, nowMs);
    await updateHead(tx, studioId, id, revision, card, measured, nowMs);
    return id;
  });
  revalidatePath('/heads');
  return { id: headId };
});
