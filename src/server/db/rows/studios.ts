import { randomBytes } from 'node:crypto';
import { and, asc, desc, eq, isNotNull, isNull, sql } from 'drizzle-orm';
import type { HandId } from '@/core/coefficients/hands';
import type { DisplaySettings } from '@/core/formats/display';
import type { WeighedUnits } from '@/core/products/hand-units';
import type { Reader, Tx } from '../client';
import { newId } from '../id';
import { studios } from '../schema';

export type Studio = typeof studios.$inferSelect;

/** The studio that is worked in: the first one that is not put aside. */
export const currentStudio = async (reader: Reader): Promise<Studio | undefined> =>
  (
    await reader
      .select()
      .from(studios)
      .where(isNull(studios.asideAtMs))
      .orderBy(asc(studios.createdAtMs))
      .limit(1)
  )[0];

/** A studio as it is kept, whoever looks at it. */
export const findStudio = async (reader: Reader, studioId: string): Promise<Studio | undefined> =>
  (await reader.select().from(studios).where(eq(studios.id, studioId)))[0];

/** The studio that was put aside last, or undefined. */
export const asideStudio = async (reader: Reader): Promise<Studio | undefined> =>
  (
    await reader
      .select()
      .from(studios)
      .where(isNotNull(studios.asideAtMs))
      .orderBy(desc(studios.asideAtMs))
      .limit(1)
  )[0];

/** Makes a studio. */
export async function createStudio(
  tx: Tx,
  studio: Pick<Studio, 'name' | 'timeZone'> & Partial<Pick<Studio, 'display' | 'currency' | 'isDemo'>>,
  nowMs: number,
): Promise<Studio> {
  const [row] = await tx
    .insert(studios)
    .values({ id: newId(nowMs), createdAtMs: nowMs, ...studio })
    .returning();
  return row!;
}

/** What the studio page keeps. */
export interface StudioCard {
  readonly name: string;
  readonly timeZone: string;
  readonly currency: string;
  readonly display: DisplaySettings;
  readonly hand: HandId;
  readonly trimWeeks: number;
}

/** Keeps the card of a studio. */
export const saveStudio = async (tx: Tx, studioId: string, card: StudioCard): Promise<void> => {
  await tx.update(studios).set(card).where(eq(studios.id, studioId));
};

/** Keeps how tightly hair is worked in a studio. */
export const saveHand = async (tx: Tx, studioId: string, hand: HandId): Promise<void> => {
  await tx.update(studios).set({ hand }).where(eq(studios.id, studioId));
};

/** Changes some of how things are shown. */
export async function saveDisplay(tx: Tx, studioId: string, change: Partial<DisplaySettings>): Promise<void> {
  const [studio] = await tx.select().from(studios).where(eq(studios.id, studioId));
  await tx
    .update(studios)
    .set({ display: { ...studio?.display, ...change } })
    .where(eq(studios.id, studioId));
}

/**
 * Puts the studio that is worked in aside and works in another: the one given, or a new one.
 *
 * @returns the studio that is worked in now
 */
export async function changeStudio(
  tx: Tx,
  fromId: string,
  to: { readonly id: string } | Pick<Studio, 'name' | 'timeZone' | 'display' | 'currency'>,
  nowMs: number,
): Promise<string> {
  await tx.update(studios).set({ asideAtMs: nowMs }).where(eq(studios.id, fromId));
  if (!('id' in to)) return (await createStudio(tx, to, nowMs)).id;
  await tx
    .update(studios)
    .set({ asideAtMs: null })
    .where(and(eq(studios.id, to.id), isNotNull(studios.asideAtMs)));
  return to.id;
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

/** Random bits of a calendar's address: nobody guesses it. */
const CALENDAR_KEY_BYTES = 18;

/** The secret part of the address that calendars of a studio read; made where there is none yet. */
export async function calendarKeyOf(tx: Tx, studioId: string): Promise<string> {
  const [studio] = await tx
    .select({ key: studios.calendarKey })
    .from(studios)
    .where(eq(studios.id, studioId));
  if (studio?.key) return studio.key;
  const key = randomBytes(CALENDAR_KEY_BYTES).toString('base64url');
  await tx.update(studios).set({ calendarKey: key }).where(eq(studios.id, studioId));
  return key;
}
