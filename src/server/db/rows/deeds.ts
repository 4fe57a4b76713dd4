import { and, desc, eq, gt, isNull, lt } from 'drizzle-orm';
import type { Permission } from '@/core/people/permission';
import { DAY_MS, MINUTE_MS } from '@/core/units/time';
import type { Reader, Tx } from '../client';
import { newId } from '../id';
import { deeds } from '../schema';

export type Deed = typeof deeds.$inferSelect;

/** What is done to the same thing by the same hands within this time is one deed, ms. */
const ONE_DEED_MS = 10 * MINUTE_MS;
/** How long it is kept who did what, ms. */
const DEEDS_LAST_MS = 730 * DAY_MS;

/** Who does something: somebody who signed in, or whoever sits at the computer. */
export interface Doer {
  readonly person: { readonly id: string; readonly name: string } | null;
  readonly device: { readonly id: string; readonly name: string } | null;
}

/** What something is done to. */
export interface Subject {
  readonly kind: string;
  readonly id: string;
}

/** Notes who did something. */
export async function noteDeed(
  tx: Tx,
  studioId: string,
  { person, device }: Doer,
  permission: Permission,
  subject: Subject | null,
  nowMs: number,
): Promise<void> {
  const [last] = await tx
    .select({ id: deeds.id })
    .from(deeds)
    .where(
      and(
        eq(deeds.studioId, studioId),
        eq(deeds.permission, permission),
        gt(deeds.atMs, nowMs - ONE_DEED_MS),
        person ? eq(deeds.personId, person.id) : isNull(deeds.personId),
        device ? eq(deeds.deviceId, device.id) : isNull(deeds.deviceId),
        subject ? eq(deeds.subjectId, subject.id) : isNull(deeds.subjectId),
      ),
    )
    .limit(1);
  if (last) {
    await tx.update(deeds).set({ atMs: nowMs }).where(eq(deeds.id, last.id));
    return;
  }
  await tx.delete(deeds).where(and(eq(deeds.studioId, studioId), lt(deeds.atMs, nowMs - DEEDS_LAST_MS)));
  await tx.insert(deeds).values({
    id: newId(nowMs),
    studioId,
    atMs: nowMs,
    personId: person?.id ?? null,
    personName: person?.name ?? null,
    deviceId: device?.id ?? null,
    deviceName: device?.name ?? null,
    permission,
    kind: subject?.kind ?? null,
    subjectId: subject?.id ?? null,
  });
}

/** What was done in a studio, the latest first. */
export const listDeeds = (reader: Reader, studioId: string, most: number): Promise<Deed[]> =>
  reader
    .select()
    .from(deeds)
    .where(eq(deeds.studioId, studioId))
    .orderBy(desc(deeds.atMs), desc(deeds.id))
    .limit(most);
