import { asc, eq, sql } from 'drizzle-orm';
import type { WeighedUnits } from '@/core/products/hand-units';
import type { Reader, Tx } from '../client';
import { newId } from '../id';
import { studios } from '../schema';

export type Studio = typeof studios.$inferSelect;

/** The studio that was made first. */
export const firstStudio = async (reader: Reader): Promise<Studio | undefined> =>
  (await reader.select().from(studios).orderBy(asc(studios.createdAtMs)).limit(1))[0];

/** Makes a studio. */
export async function createStudio(
  tx: Tx,
  studio: Pick<Studio, 'name' | 'timeZone'>,
  nowMs: number,
): Promise<Studio> {
  const row = { id: newId(nowMs), createdAtMs: nowMs, handUnits: {}, currency: 'EUR', ...studio };
  await tx.insert(studios).values(row);
  return row;
}

/** Keeps what a stylist weighed: grams of one pump, dime or teaspoon. */
export const saveHandUnits = async (tx: Tx, studioId: string, handUnits: WeighedUnits): Promise<void> => {
  await tx.update(studios).set({ handUnits }).where(eq(studios.id, studioId));
};

/** Keeps which money prices are in. */
export const saveCurrency = async (tx: Tx, studioId: string, currency: string): Promise<void> => {
  await tx.update(studios).set({ currency }).where(eq(studios.id, studioId));
};

/** Whether the database answers. */
export const databaseAnswers = async (reader: Reader): Promise<boolean> =>
  (
    await reader
      .select({ one: sql<number>`1` })
      .from(studios)
      .limit(1)
  ).length >= 0;
