import { z } from 'zod';
import { CORRECTABLE } from '@/core/evidence/corrections';
import { fittedSpreads } from '@/core/evidence/kept';
import { bounded } from '@/core/formats/field';

const id = z.string().min(1).max(64);

/** Puts one kind of forecast right by what came, or takes that back. */
export const correctionInput = z.strictObject({ kind: z.enum(CORRECTABLE), isOn: z.boolean() });

/** Spreads that were fitted beside the page, and on how many sets. */
export const fittedInput = z.strictObject({ fitted: fittedSpreads, sets: z.int().min(0) });

/** The least difference that this studio notices. */
export const noticeableInput = z.strictObject({
  points: bounded('least difference you notice', 0.5, 2),
});

/** A half-head trial: of two ways that were compared before, or of two hold products. */
export const trialInput = z.strictObject({
  headId: id,
  /** The trial that it goes on with; null for a new one. */
  key: z.string().max(400).nullable(),
  /** Products of a new one. */
  products: z.tuple([id, id]).nullable(),
});
