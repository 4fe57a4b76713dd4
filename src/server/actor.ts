import { lowerRole, type Role } from '@/core/people/permission';
import { asking } from './asking';
import { SESSION_COOKIE, DEVICE_COOKIE } from './cookies';
import { database } from './db/client';
import { deviceBy, isSeenLater, noteSeen, signedInBy, type Device } from './db/rows/devices';
import type { Person } from './db/rows/people';
import { currentStudio, type Studio } from './db/rows/studios';
import { AppError } from './errors';
import type { LearningStudio } from './learning';
import { digestOf } from './secrets';

/** The studio, with what whoever signed in has of her own in the place of what the studio has. */
export type SeenStudio = Studio & Pick<LearningStudio, 'setBy'>;

/** Who is asking, for which studio, and as what. Sign-in is decided here and nowhere else. */
export interface Actor {
  readonly studio: SeenStudio;
  readonly role: Role;
  /** Who signed in; null for whoever sits at the computer. */
  readonly person: Person | null;
  /** The device that was paired; null for the computer itself. */
  readonly device: Device | null;
}

/** The paired device that asks, and its studio; null where it is none. */
export async function askingDevice(): Promise<{ device: Device; studio: Studio } | null> {
  const token = asking().cookies[DEVICE_COOKIE];
  return token ? deviceBy(database().db, digestOf(token)) : null;
}

/** A studio as somebody sees it who has ways of her own. */
const asSeenBy = (studio: Studio, { name, display, hand, handUnits }: Person): SeenStudio => ({
  ...studio,
  display: { ...studio.display, ...display },
  hand: hand ?? studio.hand,
  handUnits: handUnits ?? studio.handUnits,
  setBy: name,
});

/**
 * The actor of the current request: whoever sits at this computer is the owner; who comes from the network is who
 * signed in, on a device that was paired.
 *
 * @throws AppError sign-in
 */
export async function currentActor(): Promise<Actor> {
  const { door, cookies } = asking();
  const { db, write } = database();
  if (door === 'computer') {
    const studio = await currentStudio(db);
    if (!studio) throw new AppError('not-found');
    return { studio, role: 'owner', person: null, device: null };
  }
  const nowMs = Date.now();
  const paired = await askingDevice();
  const token = cookies[SESSION_COOKIE];
  const person = paired && token ? await signedInBy(db, paired.device.id, digestOf(token), nowMs) : null;
  if (!paired || !person) throw new AppError('sign-in');
  const { device, studio } = paired;
  if (studio.asideAtMs !== null)
    throw new AppError('sign-in', [{ path: '', message: `${studio.name} is put aside at the computer` }]);
  if (isSeenLater(device, nowMs)) await write((tx) => noteSeen(tx, studio.id, device.id, nowMs));
  return { studio: asSeenBy(studio, person), role: lowerRole(person.role, device.role), person, device };
}
