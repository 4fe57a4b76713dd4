import { and, asc, desc, eq, gt, isNull, lt, or, sql } from 'drizzle-orm';
import { waitAfterMs, waitWords } from '@/core/people/guessing';
import { CODE_LASTS_MS } from '@/core/people/pairing-code';
import type { Role } from '@/core/people/permission';
import { DAY_MS, HOUR_MS, MINUTE_MS } from '@/core/units/time';
import { AppError, invalid } from '../../errors';
import type { Reader, Tx } from '../client';
import { newId } from '../id';
import { devices, guesses, pairingCodes, people, sessions, studios } from '../schema';
import type { Person } from './people';
import type { Studio } from './studios';

export type Device = typeof devices.$inferSelect;

/** How long somebody stays signed in, ms: a long day. */
export const SESSION_LASTS_MS = 12 * HOUR_MS;
/** It is noted that a device was seen at most so often, ms. */
const SEEN_EVERY_MS = MINUTE_MS;
/** How long a count of wrong guesses is remembered after its wait is over. */
const GUESSES_LAST_MS = DAY_MS;

/** Devices that are paired, the latest first. */
export const listDevices = (reader: Reader, studioId: string): Promise<Device[]> =>
  reader
    .select()
    .from(devices)
    .where(and(eq(devices.studioId, studioId), isNull(devices.revokedAtMs)))
    .orderBy(desc(devices.pairedAtMs));

/** Makes a code that pairs one device within two minutes; those of before pair no more. */
export async function makeCode(
  tx: Tx,
  studioId: string,
  code: { readonly role: Role; readonly tokenHash: string; readonly typedHash: string },
  nowMs: number,
): Promise<void> {
  await tx.delete(pairingCodes).where(eq(pairingCodes.studioId, studioId));
  await tx
    .insert(pairingCodes)
    .values({ id: newId(nowMs), studioId, expiresAtMs: nowMs + CODE_LASTS_MS, ...code });
}

/**
 * Pairs a device by a code, once: of two that come with the same code, one is let in.
 *
 * @param codeHash of what was read or typed
 * @returns the device, or null where the code is none, was used, or is too old
 */
export async function pairDevice(
  tx: Tx,
  codeHash: string,
  device: { readonly name: string; readonly tokenHash: string },
  nowMs: number,
): Promise<Device | null> {
  const [code] = await tx
    .update(pairingCodes)
    .set({ usedAtMs: nowMs })
    .where(
      and(
        or(eq(pairingCodes.tokenHash, codeHash), eq(pairingCodes.typedHash, codeHash)),
        isNull(pairingCodes.usedAtMs),
        gt(pairingCodes.expiresAtMs, nowMs),
      ),
    )
    .returning();
  if (!code) return null;
  const [row] = await tx
    .insert(devices)
    .values({
      id: newId(nowMs),
      studioId: code.studioId,
      role: code.role,
      pairedAtMs: nowMs,
      lastSeenMs: nowMs,
      ...device,
    })
    .returning();
  return row!;
}

/**
 * Lets a device in no more, from this moment on.
 *
 * @throws AppError not-found
 */
export async function revokeDevice(tx: Tx, studioId: string, deviceId: string, nowMs: number): Promise<void> {
  const gone = await tx
    .update(devices)
    .set({ revokedAtMs: nowMs })
    .where(and(eq(devices.studioId, studioId), eq(devices.id, deviceId), isNull(devices.revokedAtMs)))
    .returning({ id: devices.id });
  if (gone.length === 0) throw new AppError('not-found');
  await tx
    .update(sessions)
    .set({ endedAtMs: nowMs })
    .where(and(eq(sessions.studioId, studioId), eq(sessions.deviceId, deviceId), isNull(sessions.endedAtMs)));
}

/** A paired device by the secret that it keeps, and its studio; null where it is none any more. */
export async function deviceBy(
  reader: Reader,
  tokenHash: string,
): Promise<{ device: Device; studio: Studio } | null> {
  const [found] = await reader
    .select({ device: devices, studio: studios })
    .from(devices)
    .innerJoin(studios, eq(studios.id, devices.studioId))
    .where(and(eq(devices.tokenHash, tokenHash), isNull(devices.revokedAtMs)));
  return found ?? null;
}

/** Who is signed in on a device, by the secret of the session; null where nobody is any more. */
export async function signedInBy(
  reader: Reader,
  deviceId: string,
  tokenHash: string,
  nowMs: number,
): Promise<Person | null> {
  const [found] = await reader
    .select({ person: people })
    .from(sessions)
    .innerJoin(people, eq(people.id, sessions.personId))
    .where(
      and(
        eq(sessions.tokenHash, tokenHash),
        eq(sessions.deviceId, deviceId),
        isNull(sessions.endedAtMs),
        gt(sessions.expiresAtMs, nowMs),
        isNull(people.revokedAtMs),
      ),
    );
  return found?.person ?? null;
}

/** Signs somebody in on a device; whoever was signed in there is no more. */
export async function beginSession(
  tx: Tx,
  studioId: string,
  session: { readonly personId: string; readonly deviceId: string; readonly tokenHash: string },
  nowMs: number,
): Promise<void> {
  await endSessionsOn(tx, studioId, session.deviceId, nowMs);
  await tx
    .delete(sessions)
    .where(and(eq(sessions.studioId, studioId), lt(sessions.expiresAtMs, nowMs - DAY_MS)));
  await tx.insert(sessions).values({
    id: newId(nowMs),
    studioId,
    createdAtMs: nowMs,
    expiresAtMs: nowMs + SESSION_LASTS_MS,
    ...session,
  });
}

/** Signs out whoever is signed in on a device. */
export async function endSessionsOn(
  tx: Tx,
  studioId: string,
  deviceId: string,
  nowMs: number,
): Promise<void> {
  await tx
    .update(sessions)
    .set({ endedAtMs: nowMs })
    .where(and(eq(sessions.studioId, studioId), eq(sessions.deviceId, deviceId), isNull(sessions.endedAtMs)));
}

/** Whether it is time to note that a device was seen. */
export const isSeenLater = (device: Device, nowMs: number): boolean =>
  nowMs - device.lastSeenMs >= SEEN_EVERY_MS;

/** Notes that a device was seen. */
export async function noteSeen(tx: Tx, studioId: string, deviceId: string, nowMs: number): Promise<void> {
  await tx
    .update(devices)
    .set({ lastSeenMs: nowMs })
    .where(and(eq(devices.studioId, studioId), eq(devices.id, deviceId)));
}

/** The names of those who are signed in, by device. */
export const signedIn = async (
  reader: Reader,
  studioId: string,
  nowMs: number,
): Promise<Map<string, string>> =>
  new Map(
    (
      await reader
        .select({ deviceId: sessions.deviceId, name: people.name })
        .from(sessions)
        .innerJoin(people, eq(people.id, sessions.personId))
        .where(
          and(eq(sessions.studioId, studioId), isNull(sessions.endedAtMs), gt(sessions.expiresAtMs, nowMs)),
        )
        .orderBy(asc(sessions.createdAtMs))
    ).map(({ deviceId, name }) => [deviceId, name]),
  );

/**
 * Counts a guess before it is looked at, so that many at once are not looked at either.
 *
 * @param key who guesses at what
 * @throws AppError too-often while there is something to wait
 */
export async function countGuess(tx: Tx, key: string, nowMs: number): Promise<void> {
  const [row] = await tx.select().from(guesses).where(eq(guesses.key, key));
  if (row && row.untilMs > nowMs)
    throw new AppError('too-often', [
      { path: '', message: `too many guesses; wait ${waitWords(row.untilMs - nowMs)}` },
    ]);
  const count = row && row.untilMs + GUESSES_LAST_MS > nowMs ? row.count + 1 : 1;
  const untilMs = nowMs + waitAfterMs(count);
  await tx
    .insert(guesses)
    .values({ key, count, untilMs })
    .onConflictDoUpdate({ target: guesses.key, set: { count, untilMs } });
  await tx.delete(guesses).where(lt(guesses.untilMs, nowMs - GUESSES_LAST_MS));
}

/** Forgets the wrong guesses before a right one. */
export const forgetGuesses = async (tx: Tx, key: string): Promise<void> => {
  await tx.delete(guesses).where(eq(guesses.key, key));
};

/** Forgets every count of wrong guesses at somebody, from whatever device: whoever sits at the computer may. */
export const letGuessAgain = async (tx: Tx, personId: string): Promise<void> => {
  await tx.delete(guesses).where(sql`${guesses.key} like ${`%/${personId}`}`);
};

/** The refusal of a code or secret that is not right. */
export const wrongSecret = (what: string): AppError =>
  invalid('secret', `this is not the ${what}; try again`);
