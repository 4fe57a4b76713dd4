import 'server-only';
import { clockOf } from '@/core/formats/read-display';
import { openQuery, query } from '@/server/action';
import { askingDevice } from '@/server/actor';
import { asking } from '@/server/asking';
import { passkeysOf, withPasskey } from '@/server/db/rows/passkeys';
import { findOwner, listPeople } from '@/server/db/rows/people';
import { passkeyName } from '@/server/passkey';

/** Who may sign in on the device that asks. */
export const loadSignIn = () =>
  openQuery(async ({ database: { db } }) => {
    const found = await askingDevice();
    if (asking().door === 'computer') return { kind: 'computer' } as const;
    if (!found) return { kind: 'unpaired' } as const;
    const { device, studio } = found;
    const people = await listPeople(db, studio.id);
    const name = passkeyName();
    const have = name === null ? new Set<string>() : await withPasskey(db, studio.id, name);
    return {
      kind: 'paired',
      studio: studio.name,
      device: device.name,
      isAside: studio.asideAtMs !== null,
      needsOwner: device.role === 'owner' && !(await findOwner(db, studio.id)),
      people: people.map(({ id, name: called, role, colour }) => ({
        ...{ id, name: called, role, colour },
        hasPasskey: have.has(id),
      })),
    } as const;
  });

/** Who is signed in, and what she has of her own. */
export const loadMe = () =>
  query('own', async ({ actor: { studio, role, person, device }, database: { db } }) => {
    const name = passkeyName();
    return {
      /** Null where there can be none. */
      hasPasskey:
        person && name !== null ? (await passkeysOf(db, studio.id, person.id, name)).length > 0 : null,
      studio: studio.name,
      role,
      hand: studio.hand,
      clock: clockOf(studio),
      person: person && { name: person.name, role: person.role },
      device: device && { name: device.name, role: device.role },
    };
  });
