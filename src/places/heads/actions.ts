'use server';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { localTimeOf } from '@/core/schedule/local-time';
import { readBrief } from '@/core/formats/read-brief';
import { action } from '@/server/action';
import {
  archiveHead as archiveHeadRow,
  createHead,
  deleteHead as deleteHeadRows,
  mergeHeads as mergeHeadRows,
  undoMerge as undoMergeRows,
  updateHead,
} from '@/server/db/rows/heads';
import { addCare as addCareRow, deleteCare as deleteCareRow } from '@/server/db/rows/care';
import { AppError, invalid } from '@/server/errors';
import {
  archiveHeadInput,
  careInput,
  deleteHeadInput,
  mergeHeadsInput,
  saveHeadInput,
  undoMergeInput,
} from './head-input';

/** Makes a head or changes one. Changed measurements are kept beside the old ones. */
export const saveHead = action('write-heads', saveHeadInput, async ({ input, actor, database, nowMs }) => {
  const { id, revision } = input;
  const { card, measured } = input.form;
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

/** Puts a head away, or brings it back. */
export const archiveHead = action(
  'write-heads',
  archiveHeadInput,
  async ({ input, actor, database, nowMs }) => {
    await database.write((tx) =>
      archiveHeadRow(tx, actor.studio.id, input.id, input.isArchived ? nowMs : null),
    );
    revalidatePath('/heads');
    return {};
  },
);

/** Makes two entries of the same person one; answers the merge, by which it can be undone. */
export const mergeHeads = action('records', mergeHeadsInput, async ({ input, actor, database, nowMs }) => {
  const mergeId = await database.write((tx) =>
    mergeHeadRows(tx, actor.studio.id, input.keptId, input.mergedId, nowMs),
  );
  revalidatePath('/heads');
  return { mergeId };
});

/** Parts two entries again. */
export const undoMerge = action('records', undoMergeInput, async ({ input, actor, database }) => {
  const id = await database.write((tx) => undoMergeRows(tx, actor.studio.id, input.mergeId));
  revalidatePath('/heads');
  return { id };
});

/** Deletes everything kept of a person for good. */
export const deleteHead = action('records', deleteHeadInput, async ({ input, actor, database }) => {
  await database.write((tx) => deleteHeadRows(tx, actor.studio.id, input.id));
  // What was deleted must not linger in the part that is not written through yet.
  await database.client.execute('pragma wal_checkpoint(truncate)');
  revalidatePath('/heads');
  return {};
});

/** Writes down what was done to hair between sets. */
export const addCare = action('write-heads', careInput, async ({ input, actor, database, nowMs }) => {
  if (input.date > localTimeOf(nowMs, actor.studio.timeZone).slice(0, 10))
    throw invalid('date', 'that day has not come yet');
  const { headId, kind, date, cutMm, note } = input;
  const isScissors = kind === 'trim' || kind === 'cut';
  const id = await database.write((tx) =>
    addCareRow(tx, actor.studio.id, { headId, kind, date, cutMm: isScissors ? cutMm : null, note }, nowMs),
  );
  revalidatePath(`/heads/${headId}`);
  return { id };
});

/** Takes an entry of care out again. */
export const deleteCare = action(
  'write-heads',
  z.object({ id: z.string() }),
  async ({ input, actor, database }) => {
    await database.write((tx) => deleteCareRow(tx, actor.studio.id, input.id));
    revalidatePath('/heads');
  },
);
