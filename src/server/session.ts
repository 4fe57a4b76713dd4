import { askingDevice } from './actor';
import { keepSession } from './cookies';
import type { Database } from './db/client';
import { beginSession } from './db/rows/devices';
import { invalid } from './errors';
import { log } from './log';
import { digestOf, newToken } from './secrets';

/**
 * The paired device that asks.
 *
 * @throws AppError invalid where it is none any more
 */
export async function pairedDevice() {
  const found = await askingDevice();
  if (!found) throw invalid('', 'this device is not paired any more; ask the owner for a code');
  return found;
}

/** Signs somebody in on a device, and has its browser keep that. */
export async function signInOn(
  { write }: Database,
  studioId: string,
  personId: string,
  deviceId: string,
  nowMs: number,
): Promise<void> {
  const token = newToken();
  const session = { personId, deviceId, tokenHash: digestOf(token) };
  await write((tx) => beginSession(tx, studioId, session, nowMs));
  await keepSession(token);
  log.info({ personId, deviceId }, 'signed in');
}
