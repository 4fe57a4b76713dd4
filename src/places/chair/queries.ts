import 'server-only';
import { clockOf } from '@/core/formats/read-display';
import { cache } from 'react';
import { isBeyondHorizon } from '@/core/drying/horizon';
import { whyOf } from '@/core/explain/why-of';
import { chancesAt, dryingNow } from '@/core/plan/drying-now';
import { sectionsToFeel } from '@/core/plan/sections-to-feel';
import { plannedDrying } from '@/core/run/dry-log';
import { nextThing } from '@/core/run/next-thing';
import { HOUR_MS } from '@/core/units/time';
import type { Db } from '@/server/db/client';
import { withBelief } from '@/core/plan/forecast-view';
import { query } from '@/server/action';
import { setView } from '@/server/forecast-cache';
import { phoneOrigin } from '@/server/phone-origin';
import { listDryers, listProducts, listTools } from '@/server/db/rows/shelf';
import { findHead } from '@/server/db/rows/heads';
import { findSet } from '@/server/db/rows/sets';
import { listSets, type SetListing } from '@/server/db/rows/set-lists';

/** Drying heads as they are now, each with what it wants next; those that cannot be forecast are left out. */
export async function dryingHeads(db: Db, studioId: string, sets: readonly SetListing[], nowMs: number) {
  const heads = await Promise.all(
    sets.map(async (set) => {
      const record = await findSet(db, studioId, set.id).catch(() => null);
      const answer = record && (await setView(record, nowMs));
      if (!record || !answer?.ok || set.installedAtMs === null) return null;
      const installedAtMs = set.installedAtMs;
      const { drawn, planned, view } = answer.value;
      const { dryTimes, plan, blocks } = withBelief(view, record, planned);
      const now = dryingNow(
        dryTimes,
        record.run.checks.map((check) => ({ ...check, afterH: (check.atMs - installedAtMs) / HOUR_MS })),
        (number) => plan.sections.find((section) => section.number === number)?.zone ?? 'crown',
      );
      const at = (hours: number) => installedAtMs + hours * HOUR_MS;
      const feelAtMs = at(now.worthFeelingAfterH);
      const { p10, p50, p90 } = now.dryAfterH;
      return {
        set,
        drawn,
        chances: chancesAt(now, Math.max(0, (nowMs - installedAtMs) / HOUR_MS)),
        why: whyOf(record.forecast, 'dry'),
        feel: sectionsToFeel(dryTimes, plan.sections),
        dryAtMs: { p10: at(p10), p50: at(p50), p90: at(p90) },
        isBeyond: isBeyondHorizon(p50),
        next: nextThing(
          plannedDrying(blocks, record.brief, installedAtMs, record.run.dryPlan),
          record.run.drying,
          feelAtMs,
          nowMs,
        ),
      };
    }),
  );
  return heads.filter((head) => head !== null);
}

/** Heads that are drawn on one screen at most. */
const MOST_DRYING = 24;

/** Sets going in, and heads drying: what wants hands soonest first. */
export const loadChairs = () =>
  query('chair', async ({ actor, database: { db }, nowMs }) => {
    const sets = await listSets(db, actor.studio.id, 'chair');
    const installed = sets.filter(({ installedAtMs }) => installedAtMs !== null).slice(0, MOST_DRYING);
    const drying = await dryingHeads(db, actor.studio.id, installed, nowMs);
    const isDrawn = new Set(drying.map(({ set }) => set.id));
    return {
      drying: drying.sort((a, b) => a.next.atMs - b.next.atMs),
      others: sets.filter(({ id }) => !isDrawn.has(id)),
      clock: clockOf(actor.studio),
      nowMs,
    };
  });

/** One set with its forecast worked out again for the chair, or null. */
export const loadChair = cache((id: string) =>
  query('chair', async ({ actor, database, nowMs }) => {
    const set = await findSet(database.db, actor.studio.id, id);
    if (!set) return null;
    const answer = await setView(set, nowMs);
    if (!answer.ok) return null;
    const { drawn, doses, dryCourse, planned, begunBrief, brief } = answer.value;
    const view = withBelief(answer.value.view, set, planned);
    const origin = phoneOrigin();
    return {
      set,
      phoneUrl: origin && `${origin}/chair/${set.id}`,
      view,
      drawn,
      doses,
      begunBrief,
      partedBrief: brief,
      dryCourse,
      partPath: answer.value.partPath,
      products: await listProducts(database.db, actor.studio.id),
      schools: (await findHead(database.db, actor.studio.id, set.headId))?.schools ?? {},
      dryers: await listDryers(database.db, actor.studio.id),
      tools: await listTools(database.db, actor.studio.id),
      handUnits: actor.studio.handUnits,
      clock: clockOf(actor.studio),
      nowMs,
    };
  }),
);
