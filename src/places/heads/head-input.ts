import { z } from 'zod';
import { headInput } from '@/core/formats/brief';

const words = (most: number) => z.string().trim().max(most, `at most ${most} letters`);

/** What the head form sends. */
export const headCardInput = z.strictObject({
  name: words(60).min(1, 'write the name of this head'),
  description: words(80),
  notes: words(2000),
  allergies: words(500),
  skinTone: words(30),
  hairTone: words(30),
});

export const saveHeadInput = z.strictObject({
  /** Null makes a new head. */
  id: z.string().max(64).nullable(),
  revision: z.int().min(0),
  card: headCardInput,
  measured: headInput,
});

const id = z.string().min(1).max(64);
export const archiveHeadInput = z.strictObject({ id, isArchived: z.boolean() });
export const mergeHeadsInput = z.strictObject({
  keptId: id,
  mergedId: z.string().min(1, 'choose the other entry').max(64),
});
export const undoMergeInput = z.strictObject({ mergeId: id });
export const deleteHeadInput = z.strictObject({ id });

export type HeadCardInput = z.infer<typeof headCardInput>;
