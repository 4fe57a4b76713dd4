import { createHash, randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { AppError } from './errors';

/** Bits of a secret that a browser keeps. */
const TOKEN_BYTES = 32;
/** Bits of the secret in a picture of squares: 144. */
const CODE_BYTES = 18;
/** Cost of one guess (RFC 7914): some 50 ms and 16 MiB here. */
const COST = { N: 2 ** 14, r: 8, p: 1 } as const;
const KEY_BYTES = 32;
const SALT_BYTES = 16;
/** Guesses that are worked out at once, and that wait. */
const MOST_AT_ONCE = 2;
const MOST_WAITING = 20;

/** A secret for a browser to keep. */
export const newToken = (): string => randomBytes(TOKEN_BYTES).toString('base64url');
/** A secret for a picture of squares. */
export const newCodeToken = (): string => randomBytes(CODE_BYTES).toString('base64url');
/** What is kept of a secret that nobody could guess. */
export const digestOf = (token: string): string => createHash('sha256').update(token).digest('base64url');

let running = 0;
const waiting: (() => void)[] = [];

/** Few at once: each takes memory, and guessing must not slow the studio. */
async function inTurn<T>(work: () => Promise<T>): Promise<T> {
  if (waiting.length >= MOST_WAITING) throw new AppError('busy');
  if (running >= MOST_AT_ONCE) await new Promise<void>((turn) => waiting.push(turn));
  running += 1;
  try {
    return await work();
  } finally {
    running -= 1;
    waiting.shift()?.();
  }
}

const derive = (secret: string, salt: Buffer, cost: { N: number; r: number; p: number }): Promise<Buffer> =>
  inTurn(
    () =>
      new Promise((done, failed) =>
        scrypt(secret.normalize('NFKC'), salt, KEY_BYTES, cost, (thrown, key) =>
          thrown ? failed(thrown) : done(key),
        ),
      ),
  );

/** What is kept of a PIN or passphrase: how it was worked out goes along, so that it can be made dearer later. */
export async function hashSecret(secret: string): Promise<string> {
  const salt = randomBytes(SALT_BYTES);
  const key = await derive(secret, salt, COST);
  return ['scrypt', COST.N, COST.r, COST.p, salt.toString('base64url'), key.toString('base64url')].join('$');
}

/** How what is kept of a secret is written: its cost, its salt, its key. */
const KEPT = /^scrypt\$(\d{1,7})\$(\d{1,2})\$(\d{1,2})\$([\w-]+)\$([\w-]+)$/;

/** Whether a secret is the one that was kept. */
export async function isSecret(secret: string, kept: string): Promise<boolean> {
  const [, N, r, p, salt, key] = KEPT.exec(kept) ?? [];
  if (!salt || !key) return false;
  const cost = { N: Number(N), r: Number(r), p: Number(p) };
  const derived = await derive(secret, Buffer.from(salt, 'base64url'), cost);
  const wanted = Buffer.from(key, 'base64url');
  return wanted.length === derived.length && timingSafeEqual(wanted, derived);
}
