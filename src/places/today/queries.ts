import 'server-only';
import { clockOf } from '@/core/formats/read-display';
import { localMs } from '@/core/schedule/local-time';
import { dayOfWear } from '@/core/wear/wear-day-number';
import { careOfHeads, type DatedCare } from '@/server/care';
import { query } from '@/server/action';
import { dryingHeads } from '../chair/queries';
import { bookedShortages } from '../shelf/queries';
import { countHeads } from '@/server/db/rows/heads';
import { countPlans, listOpenPlans } from '@/server/db/rows/plans';
import { countSets, listSets } from '@/server/db/rows/set-lists';
import { tonightOf } from '../wear/queries';
import { enteredDays } from '@/server/db/rows/wear';

/** Cards of a part of Today: what does not fit is counted, and stands in its own place. */
const MOST_CARDS = 8;
/** Entries that are asked for in place; the others a touch away. */
const MOST_TONIGHT = 3;

/** Care that Today lists; the rest stands with its heads. */
const MOST_CARE = 6;
/** What has been due for longer is no news: it is told on the head’s page alone. */
const NEWS_FOR_MS = 14 * 86_400_000;
const isForToday = ({ kind, date, isDue }: DatedCare, nowMs: number) =>
  isDue && kind !== 'measure' && date !== null && nowMs - Date.parse(date) < NEWS_FOR_MS;

/** What needs hands now, and what is coming. */
export const loadToday = () =>
  query('read', async ({ actor, database, nowMs }) => {
    const { id: studioId, name } = actor.studio;
    const clock = clockOf(actor.studio);
    const { db } = database;
    const chair = await listSets(db, studioId, 'chair');
    const dryingSets = chair.filter((set) => set.installedAtMs !== null);
    const drying = await dryingHeads(db, studioId, dryingSets.slice(0, MOST_CARDS), nowMs);
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
    const tonight = await Promise.all(
      worn
        .filter(({ isEntered }) => !isEntered)
        .slice(0, MOST_TONIGHT)
        .map(async ({ set, day }) => ({
          headName: set.headName,
          set: set.set,
          takenDownAtMs: set.takenDownAtMs ?? nowMs,
          entry: await tonightOf(db, studioId, set.id, day),
        })),
    );
    const plans = (await listOpenPlans(db, studioId)).map((plan) => ({
      ...plan,
      readyMs: plan.wearBy === null ? null : localMs(plan.wearBy, clock.timeZone),
    }));
    const booked = plans
      .filter((plan) => plan.status === 'chosen')
      .sort((a, b) => (a.readyMs ?? Infinity) - (b.readyMs ?? Infinity));
    const drafts = plans.filter((plan) => plan.status === 'draft');
    const care = (await careOfHeads(db, actor.studio, nowMs))
      .map(({ headId, name: head, due }) => ({
        headId,
        head,
        due: due.filter((one) => isForToday(one, nowMs)),
      }))
      .filter(({ due }) => due.length > 0)
      .sort((a, b) => (a.due[0]!.date ?? '').localeCompare(b.due[0]!.date ?? ''));
    const counts = await countSets(db, studioId);
    return {
      studioName: name,
      clock,
      nowMs,
      setting: chair.filter((set) => set.installedAtMs === null).slice(0, MOST_CARDS),
      drying,
      tonight,
      worn: worn
        .filter(({ set }) => !tonight.some(({ entry }) => entry?.setId === set.id))
        .slice(0, MOST_CARDS),
      booked: booked.slice(0, MOST_CARDS),
      drafts: drafts.slice(0, MOST_CARDS),
      more: {
        chair: Math.max(0, counts.chair - 2 * MOST_CARDS),
        worn: Math.max(0, counts.worn - MOST_CARDS),
        care: Math.max(0, care.length - MOST_CARE),
        plans: Math.max(
          0,
          (await countPlans(db, studioId)).open -
            Math.min(booked.length, MOST_CARDS) -
            Math.min(drafts.length, MOST_CARDS),
        ),
      },
      care: care.slice(0, MOST_CARE),
      short: await bookedShortages(db, studioId, clock),
      hasHeads: (await countHeads(db, studioId)).present > 0,
    };
  });
