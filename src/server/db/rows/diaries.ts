import { randomBytes } from 'node:crypto';
import { and, eq } from 'drizzle-orm';
import { AppError, invalid } from '../../errors';
import type { Reader, Tx } from '../client';
import { sets, takeHomeDiaries } from '../schema';

/** The diary that went home with a set. */
export interface TakeHomeDiary {
  readonly id: string;
  readonly setId: string;
  readonly signingKey: string;
}

const facts = {
  id: takeHomeDiaries.id,
  setId: takeHomeDiaries.setId,
  signingKey: takeHomeDiaries.signingKey,
};

/** Random bits of a name that is short enough for a camera, and of what signs. */
const [ID_BYTES, KEY_BYTES] = [6, 18];

/**
 * The diary of a set, made where there is none yet: however often it is given out, its entries are signed alike.
 *
 * @throws AppError not-found, or invalid before the takedown
 */
export async function diaryOfSet(
  tx: Tx,
  studioId: string,
  setId: string,
  nowMs: number,
): Promise<TakeHomeDiary> {
  const [set] = await tx
    .select({ takenDownAtMs: sets.takenDownAtMs })
    .from(sets)
    .where(and(eq(sets.studioId, studioId), eq(sets.id, setId)));
  if (!set) throw new AppError('not-found');
  if (set.takenDownAtMs === null)
    throw invalid('setId', 'this set has not been taken down yet; its diary begins with the takedown');
  const [known] = await tx
    .select(facts)
    .from(takeHomeDiaries)
    .where(and(eq(takeHomeDiaries.studioId, studioId), eq(takeHomeDiaries.setId, setId)));
  if (known) return known;
  const diary = {
    id: randomBytes(ID_BYTES).toString('base64url'),
    setId,
    signingKey: randomBytes(KEY_BYTES).toString('base64url'),
  };
  await tx.insert(takeHomeDiaries).values({ ...diary, studioId, madeAtMs: nowMs });
  return diary;
}

/** A diary by its name, or null where it is not of this studio. */
export async function findDiary(reader: Reader, studioId: string, id: string): Promise<TakeHomeDiary | null> {
  const [row] = await reader
    .select(facts)
    .from(takeHomeDiaries)
    .where(and(eq(takeHomeDiaries.studioId, studioId), eq(takeHomeDiaries.id, id)));
  return row ?? null;
}
