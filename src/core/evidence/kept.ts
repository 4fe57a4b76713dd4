import { z } from 'zod';
import { LEARNT_OUTCOMES, type LearntOutcome } from '../coefficients/evidence';
import { CAUSE_IDS, SYMPTOM_IDS } from './causes';

const sd = z.number().positive().max(1000);
const spreads = z.strictObject({ stylist: sd, head: sd, technique: sd, set: sd });

/** Spreads that were fitted on a studio's log, as they are kept. */
export const fittedSpreads = z.strictObject(
  Object.fromEntries(LEARNT_OUTCOMES.map((id) => [id, spreads.optional()])) as Record<
    LearntOutcome,
    z.ZodOptional<typeof spreads>
  >,
);

/** What somebody ticked of a set that fell short. */
export const seenSymptoms = z.partialRecord(z.enum(SYMPTOM_IDS), z.enum(['present', 'absent']));

/** What only a person can tell of it. */
export const toldFacts = z.strictObject({
  tension: z.int().min(0, 'tension is 0 to 10').max(10, 'tension is 0 to 10').nullish(),
  newAtScalp: z.boolean().nullish(),
  mixFailed: z.boolean().nullish(),
  rootsStretched: z.boolean().nullish(),
  endsHeld: z.boolean().nullish(),
});
export type ToldFacts = z.output<typeof toldFacts>;

/** That was it, or it was not, by cause. */
export const causeAnswers = z.partialRecord(z.enum(CAUSE_IDS), z.boolean());
export type CauseAnswers = z.output<typeof causeAnswers>;
