'use server';
import { randomInt } from 'node:crypto';
import { revalidatePath } from 'next/cache';
import { findOut } from '@/server/findings';
import { action } from '@/server/action';
import { keepLearningSettings } from '@/server/db/rows/evidence';
import { AppError, invalid } from '@/server/errors';
import { studioKnowledge } from '@/server/learning';
import { correctionInput, fittedInput, noticeableInput, trialInput } from './findings-input';
import { trialPlan } from './queries';

/** Puts one kind of forecast right by what came of it so far, or takes that back. */
export const putRight = action('learn', correctionInput, async ({ input, actor, database, nowMs }) => {
  const { studio } = actor;
  const { findings } = await findOut(database, studio);
  const { settings } = await studioKnowledge(database, studio);
  const { [input.kind]: _, ...others } = settings.corrections;
  const found = (() => {
    if (!input.isOn) return {};
    if (input.kind === 'dry') {
      const { correction, sets } = findings.dry;
      return correction && { dry: { ...correction, sets, atMs: nowMs } };
    }
    const band = findings.bands.find(({ kind }) => kind === input.kind)!;
    const sets = band.coverage.total - band.coverage.unknown;
    return band.width === null ? null : { [input.kind]: { width: band.width, sets, atMs: nowMs } };
  })();
  if (found === null) throw invalid('kind', 'too few sets to put this right by: ten are needed');
  await database.write((tx) => keepLearningSettings(tx, studio.id, { corrections: { ...others, ...found } }));
  revalidatePath('/findings');
  return { isOn: input.isOn };
});

/** Everything that is learnt from, for spreads to be fitted beside the page. */
export const setsToFit = action('read', noticeableInput.pick({}), async ({ actor, database }) => ({
  sets: (await studioKnowledge(database, actor.studio)).sets,
}));

/** Keeps spreads that were fitted. */
export const keepFitted = action('learn', fittedInput, async ({ input, actor, database, nowMs }) => {
  await database.write((tx) =>
    keepLearningSettings(tx, actor.studio.id, {
      fitted: input.fitted,
      fittedSets: input.sets,
      fittedAtMs: nowMs,
    }),
  );
  revalidatePath('/findings');
  return {};
});

/** Keeps the least difference that this studio notices. */
export const keepNoticeable = action('learn', noticeableInput, async ({ input, actor, database }) => {
  await database.write((tx) => keepLearningSettings(tx, actor.studio.id, { noticeable: input.points }));
  revalidatePath('/findings');
  return { points: input.points };
});

/** Plans the next set of a half-head trial, and answers its plan. The side is a coin's where it is not the other one's turn. */
export const planTrial = action('write-plans', trialInput, async (call) => {
  const id = await trialPlan(call, call.input, randomInt(2) === 0);
  if (id === null) throw new AppError('not-found');
  revalidatePath('/plan');
  return { id };
});
