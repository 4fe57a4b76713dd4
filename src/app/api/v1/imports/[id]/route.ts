import { undoImport } from '@/places/tables/queries';
import { route } from '@/server/route';

/** Takes an import back; answers how many of its rows stay because they were changed since. */
export const DELETE = route<{ id: string }>('records', async (_, { id }) =>
  Response.json(await undoImport(id)),
);
