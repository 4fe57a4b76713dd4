import type { Role } from '@/core/people/permission';
import type { Asking } from '@/server/asking';
import { DEVICE_COOKIE, SESSION_COOKIE } from '@/server/cookies';
import type { Database } from '@/server/db/client';
import { beginSession, makeCode, pairDevice } from '@/server/db/rows/devices';
import { addPerson } from '@/server/db/rows/people';
import { createPlan } from '@/server/db/rows/plans';
import { digestOf, newToken } from '@/server/secrets';
import { aBrief } from './briefs';
import { aHead, NOON } from './studio';

/** Somebody who signed in on a device of her own. */
export interface Signed {
  readonly role: Role;
  readonly personId: string;
  readonly deviceId: string;
  /** How what she asks comes in. */
  readonly asking: Asking;
}

/** A request from the network with these cookies. */
export const fromNetwork = (cookies: Asking['cookies'] = {}): Asking => ({
  door: 'network',
  origin: 'https://studio.local:3443',
  names: ['studio.local'],
  path: '/',
  cookies,
  from: '192.168.1.30',
});

/** Lets somebody in: written down, a device paired, signed in on it. */
export async function signedInAs(
  { write }: Database,
  studioId: string,
  role: Role,
  options: {
    readonly name?: string;
    readonly deviceRole?: Role;
    readonly colour?: number;
    readonly nowMs?: number;
  } = {},
): Promise<Signed> {
  const { name = `The ${role}`, deviceRole = role, colour = 0, nowMs = Date.now() } = options;
  const [code, device, session] = [newToken(), newToken(), newToken()];
  return write(async (tx) => {
    const personId = await addPerson(tx, studioId, { name, role, colour, secretHash: 'none' }, nowMs);
    await makeCode(tx, studioId, { role: deviceRole, tokenHash: digestOf(code), typedHash: '' }, nowMs);
    const paired = await pairDevice(
      tx,
      digestOf(code),
      { name: `${name}’s phone`, tokenHash: digestOf(device) },
      nowMs,
    );
    await beginSession(tx, studioId, { personId, deviceId: paired!.id, tokenHash: digestOf(session) }, nowMs);
    return {
      role,
      personId,
      deviceId: paired!.id,
      asking: fromNetwork({ [DEVICE_COOKIE]: device, [SESSION_COOKIE]: session }),
    };
  });
}

/** A plan of a new head. */
export async function aPlan(database: Database, studioId: string): Promise<string> {
  const head = await aHead(database, studioId);
  const content = {
    title: 'A plan',
    brief: aBrief(),
    layerProductIds: [] as string[],
    status: 'draft',
  } as const;
  return database.write((tx) =>
    createPlan(tx, studioId, { ...content, headId: head.id, measurementId: head.measurement.id }, NOON),
  );
}
