import 'server-only';
import { cache } from 'react';
import { fiveLines } from '@/core/evidence/five-lines';
import { CAUSE_IDS, causes, type CauseId } from '@/core/evidence/causes';
import { faultFacts, recordedSymptoms, type FaultSource } from '@/core/evidence/fault-facts';
import { findFault } from '@/core/evidence/fault-finder';
import { evidenceOfSet } from '@/core/evidence/set-evidence';
import type { PlanContent } from '@/core/draft/draft-brief';
import { asHalfHeadTrial } from '@/core/draft/trial-draft';
import { asTwoWays, changedFor, type NextChange } from '@/core/draft/next-time';
import type { PlanFile } from '@/core/formats/plan-file';
import { DAY_MS } from '@/core/units/time';
import { query, type Call } from '@/server/action';
import { calendarDates } from '@/server/calendar-dates';
import { careOf } from '@/server/db/rows/care';
import { faultOf } from '@/server/db/rows/evidence';
import { findHead } from '@/server/db/rows/heads';
import { createPlan } from '@/server/db/rows/plans';
import { findSet, type SetRecord } from '@/server/db/rows/sets';
import { listProducts } from '@/server/db/rows/shelf';
import { knownOfHead, studioKnowledge, withKnown } from '@/server/learning';
import { inPool } from '@/server/pool';
import { AppError } from '@/server/errors';
import { tomorrowMorning } from '../../plan/usual-plan';
import { loadSet } from '../queries';

const WEEK_MS = 7 * DAY_MS;

/** A set as a fault finder looks at it. */
async function sourceOf({ actor, database }: Call, set: SetRecord): Promise<FaultSource> {
  const { studio } = actor;
  const care = await careOf(database.db, studio.id, set.headId);
  const dateOf = calendarDates(studio.timeZone);
  const date = dateOf(set.startedAtMs);
  const cut = care.find(({ kind, date: on }) => (kind === 'trim' || kind === 'cut') && on <= date);
  const dayBefore = dateOf(set.startedAtMs - DAY_MS);
  return {
    ...set,
    seen: evidenceOfSet(set),
    weeksSinceTrim: cut
      ? Math.round((Date.parse(`${date}T00:00:00Z`) - Date.parse(`${cut.date}T00:00:00Z`)) / WEEK_MS)
      : null,
    deepConditionedBefore: care.some(
      ({ kind, date: on }) => kind === 'deep-condition' && on >= dayBefore && on <= date,
    ),
  };
}

/** The plan that a set would be again, on the head as she is measured now. */
async function again({ actor, database, nowMs }: Call, set: SetRecord) {
  const { studio } = actor;
  const head = await findHead(database.db, studio.id, set.headId);
  if (!head) throw new AppError('not-found');
  const onShelf = new Set((await listProducts(database.db, studio.id)).map(({ id }) => id));
  const { startAt: _, learnt: __, corrections: ___, ...brief } = set.brief;
  const content: PlanContent = {
    title: `After ${set.title}`.slice(0, 80),
    brief: {
      ...brief,
      head: head.measurement.head,
      wearBy: tomorrowMorning(nowMs, studio.timeZone),
      timeZone: studio.timeZone,
    },
    layerProductIds: (set.brief.set.layers ?? []).map((_layer, i) => {
      const product = set.layerProductIds[i];
      return product && onShelf.has(product) ? product : null;
    }),
  };
  return { head, content };
}

/** Figures that a change is expected to bring. */
export interface Brings {
  readonly days: number;
  readonly daysLow: number;
  readonly daysHigh: number;
  readonly dryH: number;
  readonly definition: number;
  readonly workMin: number;
}

const bringsOf = ({ daysPresentable: { p10, p50, p90 }, drying, result, handsOn }: PlanFile): Brings => ({
  days: p50,
  daysLow: p10,
  daysHigh: p90,
  dryH: drying.dryAfterH.p50,
  definition: result.definition.p50,
  workMin: handsOn.installMin.p50,
});

/** A set with what its record says of what went wrong. */
export const loadWhy = cache(async (setId: string) => {
  const loaded = await loadSet(setId);
  if (!loaded || loaded.set.takenDownAtMs === null) return null;
  return query('read', async (call) => {
    const source = await sourceOf(call, loaded.set);
    const kept = await faultOf(call.database.db, call.actor.studio.id, setId);
    const recorded = recordedSymptoms(source, loaded.set.sections.length);
    return {
      ...loaded,
      kept,
      recorded,
      facts: faultFacts(source, kept.told),
      seen: source.seen,
    };
  });
});

/** The likeliest causes, in their order, that speak for a change. */
export const mostLikely = (why: NonNullable<Awaited<ReturnType<typeof loadWhy>>>) => {
  const finding = findFault({ ...why.recorded, ...why.kept.symptoms }, why.facts);
  // What somebody said it was comes first, and what it was not is left out.
  const { answers } = why.kept;
  const was = CAUSE_IDS.filter((id) => answers[id] === true);
  const told = finding.told.filter(({ id }) => answers[id] !== false);
  const first = told.filter(({ id }) => was.includes(id));
  return { ...finding, told: [...first, ...told.filter(({ id }) => !was.includes(id))] };
};

/** A set that is over: what was said and came, why, and what to do next time with what that is expected to bring. */
export const loadNext = cache(async (setId: string) => {
  const why = await loadWhy(setId);
  if (!why) return null;
  return query('read', async (call) => {
    const { studio } = call.actor;
    const { content, head } = await again(call, why.set);
    const { learning } = await studioKnowledge(call.database, studio);
    const known = await knownOfHead(call.database, studio, head.id);
    const forecastOf = async ({ brief }: PlanContent) => {
      const answer = await inPool('view', { brief: withKnown(brief, known), draws: 0 });
      return answer.ok ? answer.value.view.plan : null;
    };
    const finding = mostLikely(why);
    const base = await forecastOf(content);
    const changes: (Omit<NextChange, 'content'> & {
      id: CauseId;
      brings: Brings | null;
      /** Half the head each way would tell whether it was that. */
      canBeHalved: boolean;
    })[] = [];
    let all = content;
    for (const { id } of finding.told) {
      const change = changedFor(id, content, base ?? why.set.forecast);
      if (changes.some(({ what }) => what === change.what)) continue;
      const plan = await forecastOf(change.content);
      const { content: _, ...words } = change;
      changes.push({
        id,
        ...words,
        brings: plan && bringsOf(plan),
        canBeHalved: asTwoWays(content, change.content, base ?? why.set.forecast) !== null,
      });
      all = changedFor(id, all, base ?? why.set.forecast).content;
    }
    const together = changes.length > 0 ? await forecastOf(all) : base;
    const { days } = why.seen;
    return {
      ...why,
      finding,
      changes,
      before: base && bringsOf(base),
      together: together && bringsOf(together),
      known: fiveLines(learning, head.id, head.likes, call.nowMs).filter(({ strength }) => strength > 0),
      verdict:
        days === null || days.how === 'worn'
          ? ('open' as const)
          : days.how === 'ended' && days.last < days.low
            ? ('short' as const)
            : days.last > days.high
              ? ('better' as const)
              : ('as-said' as const),
    };
  });
});

/**
 * Makes the draft for next time: the set again, with what some causes ask for changed, on the whole head or on one half.
 *
 * @param isALeft for a trial of both ways: whether the way it was goes on the left; null for the whole head
 * @throws AppError not-found
 */
export async function draftForNext(
  call: Call,
  setId: string,
  ids: readonly CauseId[],
  isALeft: boolean | null,
): Promise<string> {
  const { studio } = call.actor;
  const set = await findSet(call.database.db, studio.id, setId);
  if (!set) throw new AppError('not-found');
  const { content, head } = await again(call, set);
  const otherwise = ids
    .filter((id) => id in causes)
    .reduce((draft, id) => changedFor(id, draft, set.forecast).content, content);
  const ways = isALeft === null ? null : asTwoWays(content, otherwise, set.forecast);
  const changed =
    ways && isALeft !== null ? asHalfHeadTrial(content, { ...ways, isALeft }, () => true) : otherwise;
  return call.database.write((tx) =>
    createPlan(
      tx,
      studio.id,
      {
        ...changed,
        layerProductIds: [...changed.layerProductIds],
        headId: head.id,
        measurementId: head.measurement.id,
        status: 'draft',
      },
      call.nowMs,
    ),
  );
}
