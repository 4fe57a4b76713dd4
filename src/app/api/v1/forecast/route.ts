import { answerBrief } from '@/core/plan/answer-brief';
import { AppError } from '@/server/errors';
import { readJson, route } from '@/server/route';

export const POST = route(async (request) => {
  const answer = answerBrief(await readJson(request));
  if (!answer.ok) throw new AppError('invalid', answer.errors);
  return Response.json(answer.value);
});
