import type { Role } from '@/core/people/permission';
import { database } from './db/client';
import { currentStudio, type Studio } from './db/rows/studios';
import { AppError } from './errors';

/** Who is asking, for which studio, and as what. Sign-in, when it comes, is decided here and nowhere else. */
export interface Actor {
  readonly studio: Studio;
  readonly role: Role;
}

/** The actor of the current request: whoever sits at this computer is the owner. */
export async function currentActor(): Promise<Actor> {
  const studio = await currentStudio(database().db);
  if (!studio) throw new AppError('not-found');
  return { studio, role: 'owner' };
}
