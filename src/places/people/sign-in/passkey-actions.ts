'use server';
import { z } from 'zod';
import { action, openAction } from '@/server/action';
import { wrongSecret } from '@/server/db/rows/devices';
import {
  addPasskey,
  noteSigned,
  passkeysOf,
  removePasskeys,
  setChallenge,
  takeChallenge,
} from '@/server/db/rows/passkeys';
import { findPerson } from '@/server/db/rows/people';
import { invalid } from '@/server/errors';
import { guessed } from '@/server/guess';
import { askForKey, askToSign, keyMade, passkeyName, signedWith } from '@/server/passkey';
import { pairedDevice, signInOn } from '@/server/session';
import { passkeyInput, passkeyPersonInput, signedInput } from './sign-in-input';

const none = () =>
  invalid('', 'passkeys need the program to be opened by the name of its computer, not by an address');

function nameOrRefuse(): string {
  const name = passkeyName();
  if (name === null) throw none();
  return name;
}

/** What the phone is asked in order to make a key for whoever signed in. */
export const beginPasskey = action('own', z.strictObject({}), async ({ actor, database, nowMs }) => {
  const { person, device, studio } = actor;
  if (!person || !device) throw none();
  const name = nameOrRefuse();
  const options = await askForKey(
    name,
    studio.name,
    person,
    await passkeysOf(database.db, studio.id, person.id, name),
  );
  await database.write((tx) => setChallenge(tx, studio.id, device.id, options.challenge, nowMs));
  return options;
});

/** Keeps the key that the phone made. */
export const keepPasskey = action('own', passkeyInput, async ({ input, actor, database, nowMs }) => {
  const { person, device, studio } = actor;
  if (!person || !device) throw none();
  const name = nameOrRefuse();
  const challenge = await database.write((tx) => takeChallenge(tx, studio.id, device.id, nowMs));
  const key = challenge === null ? null : await keyMade(input.response, challenge, name);
  if (!key) throw invalid('', 'the key was not made; try again');
  await database.write((tx) => addPasskey(tx, studio.id, { ...key, personId: person.id }, nowMs));
  return {};
});

/** Forgets the keys of whoever signed in. */
export const dropPasskeys = action('own', z.strictObject({}), async ({ actor, database }) => {
  const { person, studio } = actor;
  if (!person) throw none();
  await database.write((tx) => removePasskeys(tx, studio.id, person.id));
  return {};
});

/** What the phone is asked to sign, for somebody who signs in. */
export const askPasskey = openAction(passkeyPersonInput, async ({ input, database, nowMs }) => {
  const { device, studio } = await pairedDevice();
  const name = nameOrRefuse();
  const options = await askToSign(name, await passkeysOf(database.db, studio.id, input.personId, name));
  await database.write((tx) => setChallenge(tx, studio.id, device.id, options.challenge, nowMs));
  return options;
});

/** Signs somebody in by a key of hers on a paired device. Counted like a guess before it is looked at. */
export const signInByPasskey = openAction(signedInput, async ({ input, database, nowMs }) => {
  const { device, studio } = await pairedDevice();
  const name = nameOrRefuse();
  const person = await findPerson(database.db, studio.id, input.personId);
  if (!person) throw invalid('personId', 'she may not come in any more; choose somebody else');
  const counter = await guessed(
    database,
    { by: device.id, at: person.id },
    nowMs,
    async () => {
      const challenge = await database.write((tx) => takeChallenge(tx, studio.id, device.id, nowMs));
      const keys = await passkeysOf(database.db, studio.id, person.id, name);
      const passkey = keys.find(({ id }) => id === input.response.id);
      return passkey && challenge !== null ? signedWith(input.response, challenge, name, passkey) : null;
    },
    wrongSecret('passkey'),
  );
  await database.write((tx) => noteSigned(tx, studio.id, input.response.id, counter));
  await signInOn(database, studio.id, person.id, device.id, nowMs);
  return { name: person.name };
});
