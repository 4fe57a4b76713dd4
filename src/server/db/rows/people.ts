import { and, asc, eq, isNull } from 'drizzle-orm';
import type { HandId } from '@/core/coefficients/hands';
import type { DisplaySettings } from '@/core/formats/display';
import type { Role } from '@/core/people/permission';
import type { WeighedUnits } from '@/core/products/hand-units';
import { AppError, invalid } from '../../errors';
import type { Reader, Tx } from '../client';
import { newId } from '../id';
import { people, sessions } from '../schema';

export type Person = typeof people.$inferSelect;

/** Somebody as the owner writes her down. */
export interface PersonCard {
  readonly name: string;
  readonly role: Role;
  readonly colour: number;
}

const isIn = (studioId: string) => and(eq(people.studioId, studioId), isNull(people.revokedAtMs));

/** Who may come in, the first first. */
export const listPeople = (reader: Reader, studioId: string): Promise<Person[]> =>
  reader.select().from(people).where(isIn(studioId)).orderBy(asc(people.createdAtMs), asc(people.id));

/** Somebody who may come in, or undefined. */
export const findPerson = async (
  reader: Reader,
  studioId: string,
  personId: string,
): Promise<Person | undefined> =>
  (
    await reader
      .select()
      .from(people)
      .where(and(isIn(studioId), eq(people.id, personId)))
  )[0];

/**
 * Names that somebody had before, with the one she has now or was let out under; one that somebody else has by now is that
 * other's.
 */
export async function namesNow(reader: Reader, studioId: string): Promise<ReadonlyMap<string, string>> {
  const all = await reader
    .select()
    .from(people)
    .where(eq(people.studioId, studioId))
    .orderBy(asc(people.createdAtMs), asc(people.id));
  const taken = new Set(all.filter(({ revokedAtMs }) => revokedAtMs === null).map(({ name }) => name));
  return new Map(
    all.flatMap(({ name, formerNames }) =>
      formerNames.filter((former) => !taken.has(former)).map((former) => [former, name] as const),
    ),
  );
}

/** The first owner who may come in, or undefined. */
export const findOwner = async (reader: Reader, studioId: string): Promise<Person | undefined> =>
  (
    await reader
      .select()
      .from(people)
      .where(and(isIn(studioId), eq(people.role, 'owner')))
      .orderBy(asc(people.createdAtMs))
      .limit(1)
  )[0];

/**
 * Writes somebody down who may come in.
 *
 * @throws AppError invalid where another has the name
 */
export async function addPerson(
  tx: Tx,
  studioId: string,
  card: PersonCard & { readonly secretHash: string },
  nowMs: number,
): Promise<string> {
  await requireOwnName(tx, studioId, card.name, null);
  const id = newId(nowMs);
  await tx.insert(people).values({ id, studioId, createdAtMs: nowMs, ...card });
  return id;
}

async function requireOwnName(
  tx: Tx,
  studioId: string,
  name: string,
  personId: string | null,
): Promise<void> {
  const others = (await listPeople(tx, studioId)).filter(({ id }) => id !== personId);
  if (others.some((other) => other.name.toLowerCase() === name.toLowerCase()))
    throw invalid('name', 'somebody here has this name already; add a letter');
}

/**
 * Changes what is written of somebody. Another secret or a lower role ends where she is signed in.
 *
 * @throws AppError not-found, or invalid where the last owner would be none any more
 */
export async function changePerson(
  tx: Tx,
  studioId: string,
  personId: string,
  card: PersonCard & { readonly secretHash: string | null },
  nowMs: number,
): Promise<void> {
  const person = await findPerson(tx, studioId, personId);
  if (!person) throw new AppError('not-found');
  if (person.role === 'owner' && card.role !== 'owner') await requireAnotherOwner(tx, studioId, personId);
  await requireOwnName(tx, studioId, card.name, personId);
  const { name, role, colour, secretHash } = card;
  const formerNames = [...new Set([...person.formerNames, person.name])].filter((own) => own !== name);
  await tx
    .update(people)
    .set({ name, formerNames, role, colour, ...(secretHash === null ? {} : { secretHash }) })
    .where(and(eq(people.studioId, studioId), eq(people.id, personId)));
  if (secretHash !== null || role !== person.role) await endSessionsOf(tx, studioId, personId, nowMs);
}

/**
 * Lets somebody in no more, from this moment on.
 *
 * @throws AppError not-found, or invalid for the last owner
 */
export async function revokePerson(tx: Tx, studioId: string, personId: string, nowMs: number): Promise<void> {
  const person = await findPerson(tx, studioId, personId);
  if (!person) throw new AppError('not-found');
  if (person.role === 'owner') await requireAnotherOwner(tx, studioId, personId);
  await tx
    .update(people)
    .set({ revokedAtMs: nowMs, secretHash: null })
    .where(and(eq(people.studioId, studioId), eq(people.id, personId)));
  await endSessionsOf(tx, studioId, personId, nowMs);
}

async function requireAnotherOwner(tx: Tx, studioId: string, personId: string): Promise<void> {
  const others = (await listPeople(tx, studioId)).filter(
    ({ id, role }) => id !== personId && role === 'owner',
  );
  if (others.length === 0) throw invalid('role', 'a studio has an owner; make somebody else one first');
}

const endSessionsOf = async (tx: Tx, studioId: string, personId: string, nowMs: number): Promise<void> => {
  await tx
    .update(sessions)
    .set({ endedAtMs: nowMs })
    .where(and(eq(sessions.studioId, studioId), eq(sessions.personId, personId), isNull(sessions.endedAtMs)));
};

/** Keeps another secret of somebody, and ends where she is signed in. */
export async function setSecret(
  tx: Tx,
  studioId: string,
  personId: string,
  secretHash: string,
  nowMs: number,
): Promise<void> {
  await tx
    .update(people)
    .set({ secretHash })
    .where(and(isIn(studioId), eq(people.id, personId)));
  await endSessionsOf(tx, studioId, personId, nowMs);
}

/** What somebody has of her own, in the place of what the studio has. */
export interface OwnWays {
  readonly display?: Partial<DisplaySettings>;
  readonly hand?: HandId;
  readonly handUnits?: WeighedUnits;
}

/** Keeps what somebody has of her own. */
export async function saveOwnWays(tx: Tx, studioId: string, personId: string, own: OwnWays): Promise<void> {
  const person = await findPerson(tx, studioId, personId);
  if (!person) throw new AppError('not-found');
  await tx
    .update(people)
    .set({ ...own, ...(own.display ? { display: { ...person.display, ...own.display } } : {}) })
    .where(and(eq(people.studioId, studioId), eq(people.id, personId)));
}
