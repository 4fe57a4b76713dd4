'use server';
import { randomBytes } from 'node:crypto';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { CODE_LASTS_MS, shownCode, typedCode } from '@/core/people/pairing-code';
import { action } from '@/server/action';
import { requireComputer } from '@/server/actor-who';
import { letGuessAgain, makeCode, revokeDevice as revokeDeviceRow } from '@/server/db/rows/devices';
import { removePasskeys } from '@/server/db/rows/passkeys';
import {
  addPerson as addPersonRow,
  changePerson as changePersonRow,
  findOwner,
  findPerson,
  revokePerson as revokePersonRow,
} from '@/server/db/rows/people';
import { doors } from '@/server/doors/network';
import { AppError, invalid } from '@/server/errors';
import { phoneOrigin } from '@/server/phone-origin';
import { digestOf, hashSecret, newCodeToken } from '@/server/secrets';
import {
  codeInput,
  deviceIdInput,
  networkInput,
  newPersonInput,
  ownerInput,
  personIdInput,
  personInput,
} from './people-input';

const HERE = '/studio/people';

/** Writes down who the owner is, once, at the computer: before that nobody can be let in. */
export const setUpOwner = action('people', ownerInput, async ({ input, actor, database, nowMs }) => {
  requireComputer();
  const secretHash = await hashSecret(input.secret);
  const personId = await database.write(async (tx) => {
    if (await findOwner(tx, actor.studio.id)) throw new AppError('conflict');
    const card = { name: input.name, role: 'owner', colour: 0, secretHash } as const;
    return addPersonRow(tx, actor.studio.id, card, nowMs);
  });
  revalidatePath(HERE);
  return { personId };
});

/** Lets the studio's network in, or no more. */
export const turnNetwork = action('people', networkInput, async ({ input, actor, database }) => {
  requireComputer();
  const own = doors();
  if (!own) throw invalid('', 'start the program with “npm run start” or “npm run up” to let phones in');
  if (own.state().isFixed) throw invalid('', 'the setting LAN decides this; change it where it is set');
  if (input.isOn && !(await findOwner(database.db, actor.studio.id)))
    throw invalid('', 'write down first who the owner is');
  await own.turn(input.isOn).catch((thrown: unknown) => {
    const { code, port } = thrown as { code?: string; port?: number };
    throw code === 'EADDRINUSE'
      ? invalid('', `another program uses the port ${port}; name another in HTTPS_PORT or OFFER_PORT`)
      : thrown;
  });
  revalidatePath(HERE);
  return {};
});

/** Makes another authority, for the name that the computer has now. */
export const renewAuthority = action('people', z.strictObject({}), async () => {
  requireComputer();
  await doors()?.renew();
  revalidatePath(HERE);
  return {};
});

/** Writes somebody down who may come in. */
export const addPerson = action('people', newPersonInput, async ({ input, actor, database, nowMs }) => {
  const { secret, ...card } = input;
  const secretHash = await hashSecret(secret);
  const personId = await database.write((tx) =>
    addPersonRow(tx, actor.studio.id, { ...card, secretHash }, nowMs),
  );
  revalidatePath(HERE);
  return { personId };
});

/** Changes what is written of somebody, unless another tab did meanwhile; a new PIN may be tried at once. */
export const changePerson = action('people', personInput, async ({ input, actor, database, nowMs }) => {
  const { personId, before, secret, ...card } = input;
  const secretHash = secret === null ? null : await hashSecret(secret);
  await database.write(async (tx) => {
    const now = await findPerson(tx, actor.studio.id, personId);
    if (now && (now.name !== before.name || now.role !== before.role || now.colour !== before.colour))
      throw new AppError('conflict', [
        {
          path: '',
          message:
            'she was changed somewhere else meanwhile; leave this and open her again to see how she stands',
        },
      ]);
    await changePersonRow(tx, actor.studio.id, personId, { ...card, secretHash }, nowMs);
    if (secretHash === null) return;
    await letGuessAgain(tx, personId);
    // Whoever had her phone has her key too.
    await removePasskeys(tx, actor.studio.id, personId);
  });
  revalidatePath(HERE);
  return { personId };
});

/** Lets somebody in no more, from now on. */
export const revokePerson = action('people', personIdInput, async ({ input, actor, database, nowMs }) => {
  await database.write((tx) => revokePersonRow(tx, actor.studio.id, input.personId, nowMs));
  revalidatePath(HERE);
  return input;
});

/** Lets a device in no more, from now on. */
export const revokeDevice = action('people', deviceIdInput, async ({ input, actor, database, nowMs }) => {
  await database.write((tx) => revokeDeviceRow(tx, actor.studio.id, input.deviceId, nowMs));
  revalidatePath(HERE);
  return input;
});

/** Makes a code that pairs one device within two minutes. */
export const makePairingCode = action('people', codeInput, async ({ input, actor, database, nowMs }) => {
  const origin = phoneOrigin();
  if (origin === null) throw invalid('', 'let phones in first');
  const token = newCodeToken();
  const typed = typedCode(new Uint32Array(Uint8Array.from(randomBytes(32)).buffer));
  await database.write((tx) =>
    makeCode(
      tx,
      actor.studio.id,
      { role: input.role, tokenHash: digestOf(token), typedHash: digestOf(typed) },
      nowMs,
    ),
  );
  return {
    // What stands after the stroke is never sent to a server, and reaches no log.
    link: `${origin}/pair#${token}`,
    page: `${origin}/pair`,
    typed: shownCode(typed),
    lastsMs: CODE_LASTS_MS,
  };
});
