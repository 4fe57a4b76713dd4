import { fieldErrors } from '@/core/formats/field-error';
import { photoPlace, type PhotoFacts } from '@/core/diary/photo';
import { query } from '@/server/action';
import { addPhoto } from '@/server/db/rows/photos';
import { findSet } from '@/server/db/rows/sets';
import { AppError, invalid } from '@/server/errors';
import { encodePhoto } from '@/server/photos';
import { route } from '@/server/route';
import { wornDayOf } from '@/server/worn-day';

/** A picture of a style that is worn: the body is the file, the address says of which day and from where. */
export const POST = route<{ id: string }>('chair', async (request, { id: setId }) => {
  const place = photoPlace.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!place.success) throw new AppError('invalid', fieldErrors(place.error));
  const photo = await encodePhoto(request);
  const kept = await query('chair', async ({ actor, database, nowMs }) => {
    const set = await findSet(database.db, actor.studio.id, setId);
    if (!set) throw new AppError('not-found');
    const day = wornDayOf(set, place.data.date, nowMs, actor.studio.timeZone);
    if (set.cancelledAtMs !== null) throw invalid('date', 'this set was cancelled');
    const { view } = place.data;
    const id = await database.write((tx) =>
      addPhoto(tx, actor.studio.id, setId, { ...photo, day, view }, nowMs),
    );
    const { width, height, focal35Mm } = photo;
    return { id, day, view, width, height, takenAtMs: nowMs, focal35Mm, marks: null } satisfies PhotoFacts;
  });
  return Response.json({ photo: kept }, { status: 201 });
});
