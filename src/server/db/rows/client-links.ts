import { and, desc, eq, gt, isNull } from 'drizzle-orm';
import { DAY_MS, MINUTE_MS } from '@/core/units/time';
import { AppError } from '../../errors';
import type { Reader, Tx } from '../client';
import { newId } from '../id';
import { clientLinks, plans, studios } from '../schema';
import type { Studio } from './studios';

export type ClientLink = typeof clientLinks.$inferSelect;

/** How long a link opens, ms: as long as a style is worn, and some days before. */
const LINK_LASTS_MS = 60 * DAY_MS;

const isOpen = (nowMs: number) => and(isNull(clientLinks.revokedAtMs), gt(clientLinks.expiresAtMs, nowMs));

/** Links to a plan that still open, the latest first. */
export const linksOf = (
  reader: Reader,
  studioId: string,
  planId: string,
  nowMs: number,
): Promise<ClientLink[]> =>
  reader
    .select()
    .from(clientLinks)
    .where(and(eq(clientLinks.studioId, studioId), eq(clientLinks.planId, planId), isOpen(nowMs)))
    .orderBy(desc(clientLinks.createdAtMs));

/**
 * Makes a link by which one plan is read.
 *
 * @throws AppError not-found
 */
export async function makeLink(
  tx: Tx,
  studioId: string,
  planId: string,
  tokenHash: string,
  nowMs: number,
): Promise<ClientLink> {
  const [plan] = await tx
    .select({ id: plans.id })
    .from(plans)
    .where(and(eq(plans.studioId, studioId), eq(plans.id, planId)));
  if (!plan) throw new AppError('not-found');
  const [row] = await tx
    .insert(clientLinks)
    .values({
      id: newId(nowMs),
      studioId,
      planId,
      tokenHash,
      createdAtMs: nowMs,
      expiresAtMs: nowMs + LINK_LASTS_MS,
    })
    .returning();
  return row!;
}

/**
 * Takes a link back.
 *
 * @throws AppError not-found
 */
export async function revokeLink(tx: Tx, studioId: string, linkId: string, nowMs: number): Promise<void> {
  const gone = await tx
    .update(clientLinks)
    .set({ revokedAtMs: nowMs })
    .where(
      and(eq(clientLinks.studioId, studioId), eq(clientLinks.id, linkId), isNull(clientLinks.revokedAtMs)),
    )
    .returning({ id: clientLinks.id });
  if (gone.length === 0) throw new AppError('not-found');
}

/** What a link opens, by its number and its secret; null where it opens nothing any more. */
export async function linkBy(
  reader: Reader,
  linkId: string,
  tokenHash: string,
  nowMs: number,
): Promise<{ link: ClientLink; studio: Studio } | null> {
  const [found] = await reader
    .select({ link: clientLinks, studio: studios })
    .from(clientLinks)
    .innerJoin(studios, eq(studios.id, clientLinks.studioId))
    .where(and(eq(clientLinks.id, linkId), eq(clientLinks.tokenHash, tokenHash), isOpen(nowMs)));
  return found ?? null;
}

/** Notes that a link was opened. */
export async function noteOpened(tx: Tx, studioId: string, link: ClientLink, nowMs: number): Promise<void> {
  if (link.lastSeenMs !== null && nowMs - link.lastSeenMs < MINUTE_MS) return;
  await tx
    .update(clientLinks)
    .set({ lastSeenMs: nowMs })
    .where(and(eq(clientLinks.studioId, studioId), eq(clientLinks.id, link.id)));
}
