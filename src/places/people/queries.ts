import 'server-only';
import { clockOf } from '@/core/formats/read-display';
import { query } from '@/server/action';
import { asking } from '@/server/asking';
import { listDeeds } from '@/server/db/rows/deeds';
import { listDevices, signedIn } from '@/server/db/rows/devices';
import { listPeople } from '@/server/db/rows/people';
import { doors } from '@/server/doors/network';
import { phoneOrigin } from '@/server/phone-origin';

/** Deeds that are shown. */
const MOST_DEEDS = 40;

/** Who works here and with what, and how phones come in. */
export const loadPeople = () =>
  query('people', async ({ actor, database: { db }, nowMs }) => {
    const studioId = actor.studio.id;
    const [people, devices, names, deeds] = await Promise.all([
      listPeople(db, studioId),
      listDevices(db, studioId),
      signedIn(db, studioId, nowMs),
      listDeeds(db, studioId, MOST_DEEDS),
    ]);
    return {
      people: people.map(({ id, name, role, colour }) => ({ id, name, role, colour })),
      devices: devices.map(({ id, name, role, pairedAtMs, lastSeenMs }) => ({
        ...{ id, name, role, pairedAtMs, lastSeenMs },
        signedIn: names.get(id) ?? null,
        isThis: actor.device?.id === id,
      })),
      deeds: deeds.map(({ id, atMs, personName, deviceName, permission, kind, subjectId }) => ({
        ...{ id, atMs, permission, kind, subjectId },
        who: personName ?? 'At the computer',
        on: deviceName,
      })),
      network: doors()?.state() ?? null,
      isHere: asking().door === 'computer',
      canPair: phoneOrigin() !== null,
      clock: clockOf(actor.studio),
      nowMs,
    };
  });
