import { AppError } from '@/server/errors';
import { inPool } from '@/server/pool';
import { readJson, route } from '@/server/route';

export const POST = route('compute', async (request) => {
  const answer = await inPool('suggest', await readJson(request), 'http');
  if (!answer.ok) throw new AppError('invalid', answer.errors);
  return Response.json(answer.value);
});
