import 'server-only';
import { clockOf } from '@/core/formats/read-display';
import { openQuery, query } from '@/server/action';
import { askingDevice } from '@/server/actor';
import { asking } from '@/server/asking';
import { findOwner, listPeople } from '@/server/db/rows/people';

/** Who may sign in on the device that asks. */
export const loadSignIn = () =>
  openQuery(async ({ database: { db } }) => {
    const found = await askingDevice();
    if (asking().door === 'computer') return { kind: 'computer' } as const;
    if (!found) return { kind: 'unpaired' } as const;
    const { device, studio } = found;
    const people = await listPeople(db, studio.id);
    return {
      kind: 'paired',
      studio: studio.name,
      device: device.name,
      isAside: studio.asideAtMs !== null,
      needsOwner: device.role === 'owner' && !(await findOwner(db, studio.id)),
      people: people.map(({ id, name, role, colour }) => ({ id, name, role, colour })),
    } as const;
  });

/** Who is signed in, and what she has of her own. */
export const loadMe = () =>
  query('own', ({ actor: { studio, role, person, device } }) =>
    Promise.resolve({
      studio: studio.name,
      role,
      hand: studio.hand,
      clock: clockOf(studio),
      person: person && { name: person.name, role: person.role },
      device: device && { name: device.name, role: device.role },
    }),
  );
