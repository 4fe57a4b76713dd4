import { z } from 'zod';
import { CAUSE_IDS } from '@/core/evidence/causes';
import { causeAnswers, seenSymptoms, toldFacts } from '@/core/evidence/kept';

const id = z.string().min(1).max(64);

/** What somebody saw of a set and says of its causes, over the revision that they saw. */
export const faultInput = z.strictObject({
  setId: id,
  symptoms: seenSymptoms,
  told: toldFacts,
  answers: causeAnswers,
  revision: z.int().min(0),
});

/** The draft for next time, with what these causes ask for changed. */
export const nextDraftInput = z.strictObject({
  setId: id,
  causes: z.array(z.enum(CAUSE_IDS)).max(CAUSE_IDS.length),
  /** Only on one half of the head, the other as it was. */
  isHalved: z.boolean(),
});
