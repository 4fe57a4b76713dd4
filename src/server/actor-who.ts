import { may, permissions, whoMay, type Permission } from '@/core/people/permission';
import { asking } from './asking';
import { currentActor, type Actor } from './actor';
import { AppError, errorCodeOf } from './errors';
import { log } from './log';

/**
 * The actor of the current request, where it may do something.
 *
 * @throws AppError not-allowed
 */
export async function actorWho(permission: Permission): Promise<Actor> {
  const actor = await currentActor().catch((thrown: unknown) => {
    const { door, from } = asking();
    if (door !== 'computer')
      log.info({ permission, from, code: errorCodeOf(thrown) }, 'a stranger was refused');
    throw thrown;
  });
  if (!may(actor.role, permission)) {
    log.warn({ permission, personId: actor.person?.id, deviceId: actor.device?.id }, 'somebody was refused');
    throw new AppError('not-allowed', [
      { path: '', message: `${whoMay(permission)} can ${permissions[permission].label}` },
    ]);
  }
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
