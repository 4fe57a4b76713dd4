import { database } from './db/client';
import { currentStudio, type Studio } from './db/rows/studios';
import { AppError } from './errors';

/** Who is asking, and for which studio. Sign-in, when it comes, is decided here and nowhere else. */
export interface Actor {
  readonly studio: Studio;
}

/** The actor of the current request. */
export async function currentActor(): Promise<Actor> {
  const studio = await currentStudio(database().db);
  if (!studio) throw new AppError('not-found');
  return { studio };
}
