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

export type HeadCardInput = z.infer<typeof headCardInput>;
