import {
  generateAuthenticationOptions,
  generateRegistrationOptions,
  verifyAuthenticationResponse,
  verifyRegistrationResponse,
  type AuthenticationResponseJSON,
  type AuthenticatorTransport,
  type RegistrationResponseJSON,
} from '@simplewebauthn/server';
import { isIP } from 'node:net';
import { asking } from './asking';
import type { Passkey } from './db/rows/passkeys';

/** The name that keys are made for: that of the network; null where the program is called by an address, which has none. */
export function passkeyName(): string | null {
  const { door, origin } = asking();
  if (door === 'computer' || !URL.canParse(origin)) return null;
  const { hostname } = new URL(origin);
  return isIP(hostname) || hostname.startsWith('[') ? null : hostname;
}

const listed = (passkeys: readonly Passkey[]) =>
  passkeys.map(({ id, transports }) => ({ id, transports: transports as AuthenticatorTransport[] }));

/** What a phone is asked in order to make a key. */
export const askForKey = (
  rpID: string,
  studio: string,
  person: { readonly id: string; readonly name: string },
  known: readonly Passkey[],
) =>
  generateRegistrationOptions({
    rpName: studio,
    rpID,
    userName: person.name,
    userID: new TextEncoder().encode(person.id),
    attestationType: 'none',
    excludeCredentials: listed(known),
    authenticatorSelection: { residentKey: 'discouraged', userVerification: 'required' },
  });

/** The key that a phone made; null where what it answers does not hold. */
export async function keyMade(
  response: unknown,
  challenge: string,
  rpID: string,
): Promise<Pick<Passkey, 'id' | 'publicKey' | 'counter' | 'transports' | 'rpId'> | null> {
  const { verified, registrationInfo } = await verifyRegistrationResponse({
    response: response as RegistrationResponseJSON,
    expectedChallenge: challenge,
    expectedOrigin: asking().origin,
    expectedRPID: rpID,
    requireUserVerification: true,
  }).catch(() => ({ verified: false as const, registrationInfo: undefined }));
  if (!verified || !registrationInfo) return null;
  const { id, publicKey, counter, transports } = registrationInfo.credential;
  return {
    id,
    publicKey: Buffer.from(publicKey).toString('base64url'),
    counter,
    transports: transports ?? [],
    rpId: rpID,
  };
}

/** What a phone is asked to sign with a key of somebody. */
export const askToSign = (rpID: string, known: readonly Passkey[]) =>
  generateAuthenticationOptions({ rpID, allowCredentials: listed(known), userVerification: 'required' });

/** How often the key has signed that signed this; null where it does not hold. */
export async function signedWith(
  response: unknown,
  challenge: string,
  rpID: string,
  passkey: Passkey,
): Promise<number | null> {
  const answer = await verifyAuthenticationResponse({
    response: response as AuthenticationResponseJSON,
    expectedChallenge: challenge,
    expectedOrigin: asking().origin,
    expectedRPID: rpID,
    requireUserVerification: true,
    credential: {
      id: passkey.id,
      publicKey: new Uint8Array(Buffer.from(passkey.publicKey, 'base64url')),
      counter: passkey.counter,
      transports: passkey.transports as AuthenticatorTransport[],
    },
  }).catch(() => null);
  return answer?.verified ? answer.authenticationInfo.newCounter : null;
}
