import { and, eq, gt } from 'drizzle-orm';
import { MINUTE_MS } from '@/core/units/time';
import type { Reader, Tx } from '../client';
import { devices, passkeys } from '../schema';

export type Passkey = typeof passkeys.$inferSelect;

/** How long a phone may take to sign, ms. */
const CHALLENGE_LASTS_MS = 5 * MINUTE_MS;

/** Keys of somebody that hold under a name of the network. */
export const passkeysOf = (
  reader: Reader,
  studioId: string,
  personId: string,
  rpId: string,
): Promise<Passkey[]> =>
  reader
    .select()
    .from(passkeys)
    .where(and(eq(passkeys.studioId, studioId), eq(passkeys.personId, personId), eq(passkeys.rpId, rpId)));

/** Those who have a key under a name of the network. */
export const withPasskey = async (reader: Reader, studioId: string, rpId: string): Promise<Set<string>> =>
  new Set(
    (
      await reader
        .select({ personId: passkeys.personId })
        .from(passkeys)
        .where(and(eq(passkeys.studioId, studioId), eq(passkeys.rpId, rpId)))
    ).map(({ personId }) => personId),
  );

/** Keeps a key of somebody. */
export const addPasskey = async (
  tx: Tx,
  studioId: string,
  passkey: Omit<Passkey, 'studioId' | 'createdAtMs'>,
  nowMs: number,
): Promise<void> => {
  await tx.insert(passkeys).values({ ...passkey, studioId, createdAtMs: nowMs });
};

/** Notes how often a key has signed by now. */
export const noteSigned = async (tx: Tx, studioId: string, id: string, counter: number): Promise<void> => {
  await tx
    .update(passkeys)
    .set({ counter })
    .where(and(eq(passkeys.studioId, studioId), eq(passkeys.id, id)));
};

/** Forgets the keys of somebody. */
export const removePasskeys = async (tx: Tx, studioId: string, personId: string): Promise<void> => {
  await tx.delete(passkeys).where(and(eq(passkeys.studioId, studioId), eq(passkeys.personId, personId)));
};

/** Keeps what a device is asked to have signed. */
export const setChallenge = async (
  tx: Tx,
  studioId: string,
  deviceId: string,
  challenge: string,
  nowMs: number,
): Promise<void> => {
  await tx
    .update(devices)
    .set({ challenge, challengeUntilMs: nowMs + CHALLENGE_LASTS_MS })
    .where(and(eq(devices.studioId, studioId), eq(devices.id, deviceId)));
};

/** What a device was asked to have signed; once, and not for long. */
export async function takeChallenge(
  tx: Tx,
  studioId: string,
  deviceId: string,
  nowMs: number,
): Promise<string | null> {
  const own = and(eq(devices.studioId, studioId), eq(devices.id, deviceId));
  const [asked] = await tx
    .select({ challenge: devices.challenge })
    .from(devices)
    .where(and(own, gt(devices.challengeUntilMs, nowMs)));
  await tx.update(devices).set({ challenge: null, challengeUntilMs: null }).where(own);
  return asked?.challenge ?? null;
}
