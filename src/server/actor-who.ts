import { may, permissions, whoMay, type Permission } from '@/core/people/permission';
import { asking } from './asking';
import { currentActor, type Actor } from './actor';
import { AppError } from './errors';

/**
 * The actor of the current request, where it may do something.
 *
 * @throws AppError not-allowed
 */
export async function actorWho(permission: Permission): Promise<Actor> {
  const actor = await currentActor();
  if (!may(actor.role, permission))
    throw new AppError('not-allowed', [
      { path: '', message: `${whoMay(permission)} can ${permissions[permission].label}` },
    ]);
  return actor;
}

/**
 * Refuses what concerns the computer itself, such as its doors and copies, to whoever does not sit at it.
 *
 * @throws AppError not-allowed
 */
export function requireComputer(): void {
  if (asking().door !== 'computer')
    throw new AppError('not-allowed', [
      { path: '', message: 'this is done at the studio’s computer itself' },
    ]);
}
