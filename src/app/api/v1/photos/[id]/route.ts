import { query } from '@/server/action';
import { deletePhoto, photoBytes } from '@/server/db/rows/photos';
import { AppError } from '@/server/errors';
import { route } from '@/server/route';

/** A picture, or with `?size=thumb` its thumbnail. What an id names never changes. */
export const GET = route<{ id: string }>('chair', async (request, { id }) => {
  const size = new URL(request.url).searchParams.get('size') === 'thumb' ? 'thumb' : 'jpeg';
  const bytes = await query('chair', ({ actor, database: { db } }) =>
    photoBytes(db, actor.studio.id, id, size),
  );
  if (!bytes) throw new AppError('not-found');
  return new Response(new Uint8Array(bytes), {
    headers: {
      'content-type': 'image/jpeg',
      // Never in a cache that others share; a browser asks again whether it is still there.
      'cache-control': 'private, no-cache',
      'x-content-type-options': 'nosniff',
    },
  });
});

/** Deletes a picture for good. */
export const DELETE = route<{ id: string }>('delete-pictures', async (_, { id }) => {
  await query('delete-pictures', ({ actor, database }) =>
    database.write((tx) => deletePhoto(tx, actor.studio.id, id)),
  );
  return new Response(null, { status: 204 });
});
