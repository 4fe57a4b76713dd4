import type { Database } from './db/client';
import { countGuess, forgetGuesses } from './db/rows/devices';
import { errorCodeOf, type AppError } from './errors';
import { log } from './log';

/**
 * Lets somebody guess at a secret. The guess is counted before it is looked at; a right one forgets those before. The log has
 * who guessed at what, by their ids, and never what was typed.
 *
 * @param by the device, or where an unpaired one asks from
 * @param at the person, or the pairing
 * @param look what is right, or null
 * @throws AppError too-often while there is something to wait, or `wrong`
 */
export async function guessed<T>(
  { write }: Database,
  { by, at }: { readonly by: string; readonly at: string },
  nowMs: number,
  look: () => Promise<T | null>,
  wrong: AppError,
): Promise<T> {
  const key = `${by}/${at}`;
  try {
    await write((tx) => countGuess(tx, key, nowMs));
    const right = await look();
    if (right === null) throw wrong;
    await write((tx) => forgetGuesses(tx, key));
    return right;
  } catch (thrown) {
    log.warn({ by, at, code: thrown === wrong ? 'wrong' : errorCodeOf(thrown) }, 'a guess was refused');
    throw thrown;
  }
}
