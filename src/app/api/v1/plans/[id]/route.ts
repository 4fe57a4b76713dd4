import { fieldErrors } from '@/core/formats/field-error';
import { draftInput } from '@/places/plan/plan-input';
import { query } from '@/server/action';
import { keepPlan } from '@/server/db/rows/plans';
import { AppError } from '@/server/errors';
import { readJson, route } from '@/server/route';

/** The last change of a plan desk that is being left: sent without waiting for an answer, so at a plain address. */
export const PUT = route<{ id: string }>('write-plans', async (request, { id }) => {
  const sent = draftInput.safeParse(await readJson(request), { reportInput: true });
  if (!sent.success) throw new AppError('invalid', fieldErrors(sent.error));
  const { revision, ...content } = sent.data;
  const next = await query('write-plans', ({ actor, database, nowMs }) =>
    database.write((tx) => keepPlan(tx, actor.studio.id, id, revision, content, nowMs)),
  );
  return Response.json({ revision: next });
});
