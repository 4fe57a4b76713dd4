import 'server-only';
import { clockOf } from '@/core/formats/display';
import { whyOf } from '@/core/explain/why-of';
import { localMs } from '@/core/schedule/local-time';
import { withBelief } from '@/core/plan/forecast-view';
import { chancesAt, dryingNow } from '@/core/plan/drying-now';
import { sectionsToFeel } from '@/core/plan/sections-to-feel';
import { dayOfWear } from '@/core/wear/wear-day-number';
import { query } from '@/server/action';
import { setView } from '@/server/forecast-cache';
import { bookedShortages } from '../shelf/queries';
import { HOUR_MS } from '@/core/units/time';
import { countHeads } from '@/server/db/rows/heads';
import { countPlans, listOpenPlans } from '@/server/db/rows/plans';
import { countSets, listSets } from '@/server/db/rows/set-lists';
import { findSet } from '@/server/db/rows/sets';
import { enteredDays } from '@/server/db/rows/wear';

/** Cards of a part of Today: what does not fit is counted, and stands in its own place. */
const MOST_CARDS = 8;

/** What needs hands now, and what is coming. */
export const loadToday = () =>
  query(async ({ actor, database, nowMs }) => {
    const { id: studioId, name } = actor.studio;
    const clock = clockOf(actor.studio);
    const { db } = database;
    const chair = await listSets(db, studioId, 'chair');
    const dryingSets = chair.filter((set) => set.installedAtMs !== null);
    const drying = await Promise.all(
      dryingSets.slice(0, MOST_CARDS).map(async (set) => {
        const record = await findSet(db, studioId, set.id).catch(() => null);
        const answer = record && (await setView(record, nowMs));
        if (!record || !answer?.ok || set.installedAtMs === null) return null;
        const installedAtMs = set.installedAtMs;
        const { dryTimes, plan } = withBelief(answer.value.view, record, answer.value.planned);
        const now = dryingNow(
          dryTimes,
          record.run.checks.map((check) => ({ ...check, afterH: (check.atMs - installedAtMs) / HOUR_MS })),
          (number) => plan.sections[number - 1]?.zone ?? 'crown',
        );
        const chances = chancesAt(now, Math.max(0, (nowMs - installedAtMs) / HOUR_MS));
        return {
          set,
          drawn: answer.value.drawn,
          chances,
          why: whyOf(record.forecast, 'dry'),
          feel: sectionsToFeel(dryTimes, plan.sections),
          feelAtMs: installedAtMs + now.worthFeelingAfterH * HOUR_MS,
        };
      }),
    );
    const wornSets = await listSets(db, studioId, 'worn');
    const days = await enteredDays(
      db,
      studioId,
      wornSets.map(({ id }) => id),
    );
    const worn = wornSets
      .map((set) => {
        const day = dayOfWear(set.takenDownAtMs ?? nowMs, nowMs, clock.timeZone);
        return { set, day, isEntered: days.get(set.id)?.includes(day) ?? false };
      })
      .sort((a, b) => Number(a.isEntered) - Number(b.isEntered));
    const plans = (await listOpenPlans(db, studioId)).map((plan) => ({
      ...plan,
      readyMs: plan.wearBy === null ? null : localMs(plan.wearBy, clock.timeZone),
    }));
    const booked = plans
      .filter((plan) => plan.status === 'chosen')
      .sort((a, b) => (a.readyMs ?? Infinity) - (b.readyMs ?? Infinity));
    const drafts = plans.filter((plan) => plan.status === 'draft');
    const counts = await countSets(db, studioId);
    return {
      studioName: name,
      clock,
      nowMs,
      setting: chair.filter((set) => set.installedAtMs === null).slice(0, MOST_CARDS),
      drying: drying.filter((row) => row !== null),
      worn: worn.slice(0, MOST_CARDS),
      booked: booked.slice(0, MOST_CARDS),
      drafts: drafts.slice(0, MOST_CARDS),
      more: {
        chair: Math.max(0, counts.chair - 2 * MOST_CARDS),
        worn: Math.max(0, counts.worn - MOST_CARDS),
        plans: Math.max(
          0,
          (await countPlans(db, studioId)).open -
            Math.min(booked.length, MOST_CARDS) -
            Math.min(drafts.length, MOST_CARDS),
        ),
      },
      short: await bookedShortages(db, studioId, clock),
      hasHeads: (await countHeads(db, studioId)).present > 0,
    };
  });
