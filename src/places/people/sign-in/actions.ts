'use server';
import { z } from 'zod';
import { newPassphrase, newPin } from '@/core/people/secret';
import { action, openAction } from '@/server/action';
import { askingDevice } from '@/server/actor';
import { asking } from '@/server/asking';
import { dropSession, keepDevice } from '@/server/cookies';
import { endSessionsOn, pairDevice, wrongSecret } from '@/server/db/rows/devices';
import {
  addPerson,
  findOwner,
  findPerson,
  saveOwnWays,
  setSecret,
  type Person,
} from '@/server/db/rows/people';
import { saveHand } from '@/server/db/rows/studios';
import { AppError, invalid } from '@/server/errors';
import { guessed } from '@/server/guess';
import { digestOf, hashSecret, isSecret, newToken } from '@/server/secrets';
import { pairedDevice, signInOn } from '@/server/session';
import { becomeOwnerInput, ownHandInput, ownSecretInput, pairInput, signInInput } from './sign-in-input';

/** Pairs the device that asks, by a code of the owner's. */
export const pair = openAction(pairInput, async ({ input, database, nowMs }) => {
  const token = newToken();
  const named = { name: input.name, tokenHash: digestOf(token) };
  const device = await guessed(
    database,
    { by: asking().from, at: 'pair' },
    nowMs,
    () => database.write((tx) => pairDevice(tx, digestOf(input.code), named, nowMs)),
    invalid('code', 'this code pairs nothing: it was used, is older than two minutes, or has a slip in it'),
  );
  await keepDevice(token);
  return { name: device.name };
});

/** Whether a secret is somebody's, as a guess is looked at: null where it is not. */
const isHers = async ({ secretHash }: Person, secret: string): Promise<true | null> =>
  secretHash !== null && (await isSecret(secret, secretHash)) ? true : null;

/** Signs somebody in on a paired device. The guess is counted before it is looked at. */
export const signIn = openAction(signInInput, async ({ input, database, nowMs }) => {
  const { device, studio } = await pairedDevice();
  const person = await findPerson(database.db, studio.id, input.personId);
  if (!person) throw invalid('personId', 'she may not come in any more; choose somebody else');
  await guessed(
    database,
    { by: device.id, at: person.id },
    nowMs,
    () => isHers(person, input.secret),
    wrongSecret(person.role === 'owner' ? 'passphrase' : 'PIN'),
  );
  await signInOn(database, studio.id, person.id, device.id, nowMs);
  return { name: person.name };
});

/** The first owner of a studio whose computer nobody sits at: on a device that was paired for her. */
export const becomeOwner = openAction(becomeOwnerInput, async ({ input, database, nowMs }) => {
  const { device, studio } = await pairedDevice();
  if (device.role !== 'owner') throw new AppError('not-allowed');
  const secretHash = await hashSecret(input.secret);
  const personId = await database.write(async (tx) => {
    if (await findOwner(tx, studio.id)) throw new AppError('conflict');
    return addPerson(tx, studio.id, { name: input.name, role: 'owner', colour: 0, secretHash }, nowMs);
  });
  await signInOn(database, studio.id, personId, device.id, nowMs);
  return { name: input.name };
});

/** Signs out whoever is signed in on this device. */
export const signOut = openAction(z.strictObject({}), async ({ database, nowMs }) => {
  const found = await askingDevice();
  if (found) await database.write((tx) => endSessionsOn(tx, found.studio.id, found.device.id, nowMs));
  await dropSession();
  return {};
});

/** Changes one's own PIN or passphrase; whoever knows the one before may. */
export const changeOwnSecret = action('own', ownSecretInput, async ({ input, actor, database, nowMs }) => {
  const { person, device, studio } = actor;
  if (!person || !device) throw invalid('', 'nobody signs in at this computer');
  const read = (person.role === 'owner' ? newPassphrase : newPin).safeParse(input.secret);
  if (!read.success) throw invalid('secret', read.error.issues[0]!.message);
  await guessed(
    database,
    { by: device.id, at: person.id },
    nowMs,
    () => isHers(person, input.before),
    invalid('before', 'this is not the one you have now'),
  );
  const secretHash = await hashSecret(input.secret);
  await database.write((tx) => setSecret(tx, studio.id, person.id, secretHash, nowMs));
  await signInOn(database, studio.id, person.id, device.id, nowMs);
  return {};
});

/** Keeps how tightly somebody works: of whoever signed in, or of the studio. */
export const keepHand = action('own', ownHandInput, async ({ input, actor, database }) => {
  const { studio, person } = actor;
  await database.write((tx) =>
    person ? saveOwnWays(tx, studio.id, person.id, input) : saveHand(tx, studio.id, input.hand),
  );
  return input;
});
