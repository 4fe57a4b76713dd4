'use server';
import { z } from 'zod';
import { openAction } from '@/server/action';
import { keepLink } from '@/server/cookies';
import { linkBy } from '@/server/db/rows/client-links';
import { invalid } from '@/server/errors';
import { digestOf } from '@/server/secrets';

const openLinkInput = z.strictObject({ id: z.string().min(1).max(60), token: z.string().min(1).max(100) });

/** Has the browser keep the secret of a link, for the page of that link alone. */
export const openLink = openAction(openLinkInput, async ({ input, database, nowMs }) => {
  const found = await linkBy(database.db, input.id, digestOf(input.token), nowMs);
  if (!found) throw invalid('', 'this link opens nothing any more; ask the studio for another');
  await keepLink(input.id, input.token, found.link.expiresAtMs - nowMs);
  return {};
});
