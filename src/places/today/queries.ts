import 'server-only';
import { readBrief } from '@/core/formats/read-brief';
import { answerView } from '@/core/plan/answer-view';
import { withBelief } from '@/core/plan/forecast-view';
import { chancesAt, dryingNow } from '@/core/plan/drying-now';
import { sectionsToFeel } from '@/core/plan/sections-to-feel';
import { query } from '@/server/action';
import { bookedShortages } from '../shelf/queries';
import { listHeads } from '@/server/db/rows/heads';
import { listOpenPlans } from '@/server/db/rows/plans';
import { findSet, listSets } from '@/server/db/rows/sets';

const HOUR_MS = 3_600_000;

/** What needs hands now, and what is coming. */
export const loadToday = () =>
  query(async ({ actor, database, nowMs }) => {
    const studioId = actor.studio.id;
    const chair = await listSets(database.db, studioId, 'chair');
    const drying = await Promise.all(
      chair
        .filter((set) => set.installedAtMs !== null)
        .map(async (set) => {
          const record = await findSet(database.db, studioId, set.id);
          const answer = answerView(set.brief);
          if (!record || !answer.ok || set.installedAtMs === null) return null;
          const installedAtMs = set.installedAtMs;
          const { dryTimes, plan } = withBelief(answer.value.view, record.dryingBelief);
          const now = dryingNow(
            dryTimes,
            record.checks.map((check) => ({ ...check, afterH: (check.atMs - installedAtMs) / HOUR_MS })),
            (number) => plan.sections[number - 1]?.zone ?? 'crown',
          );
          const chances = chancesAt(now, Math.max(0, (nowMs - installedAtMs) / HOUR_MS));
          return {
            set,
            drawn: answer.value.drawn,
            chances,
            feel: sectionsToFeel(dryTimes, plan.sections),
            feelAtMs: installedAtMs + now.worthFeelingAfterH * HOUR_MS,
          };
        }),
    );
    const worn = await Promise.all(
      (await listSets(database.db, studioId, 'worn')).map(async (set) => ({
        set,
        days: (await findSet(database.db, studioId, set.id))?.wearDays.map((day) => day.day) ?? [],
      })),
    );
    const plans = (await listOpenPlans(database.db, studioId)).map((plan) => {
      const brief = readBrief(plan.brief);
      return { ...plan, readyMs: brief.ok ? brief.value.wearByMs : null };
    });
    return {
      studioName: actor.studio.name,
      timeZone: actor.studio.timeZone,
      nowMs,
      setting: chair.filter((set) => set.installedAtMs === null),
      drying: drying.filter((row) => row !== null),
      worn,
      booked: plans
        .filter((plan) => plan.status === 'chosen')
        .sort((a, b) => (a.readyMs ?? Infinity) - (b.readyMs ?? Infinity)),
      drafts: plans.filter((plan) => plan.status === 'draft'),
      short: await bookedShortages(database.db, studioId, actor.studio.timeZone),
      hasHeads: (await listHeads(database.db, studioId)).length > 0,
    };
  });
