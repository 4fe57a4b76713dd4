import 'server-only';
import { cache } from 'react';
import { pooling } from '@/core/coefficients/evidence';
import { CORRECTABLE } from '@/core/evidence/corrections';
import { differenceQuestions, lastingQuestion } from '@/core/evidence/findings';
import { holdKey } from '@/core/evidence/factors';
import { isCorrectable } from '@/core/evidence/rightness';
import type { LearntSet } from '@/core/evidence/learning';
import type { WayLayer } from '@/core/evidence/set-evidence';
import { layerOf } from '@/core/draft/shelf-choices';
import { asHalfHeadTrial, type TrialLayer } from '@/core/draft/trial-draft';
import { clockOf } from '@/core/formats/read-display';
import { productRoles } from '@/core/products';
import type { z } from 'zod';
import { query, type Call } from '@/server/action';
import { findHead } from '@/server/db/rows/heads';
import { createPlan } from '@/server/db/rows/plans';
import { findSet } from '@/server/db/rows/sets';
import { listProducts } from '@/server/db/rows/shelf';
import { faultsOf } from '@/server/db/rows/evidence';
import { findOut } from '@/server/findings';
import { studioKnowledge } from '@/server/learning';
import { tomorrowMorning } from '../plan/usual-plan';
import type { trialInput } from './findings-input';

/** Sets that fell short which are named. */
const MOST_SHORT = 6;
/** Answers after which it is told how often the first cause was it. */
const ENOUGH_ANSWERS = 30;

/** What is compared, of a trial that goes on or of a new one. */
type TrialAsked = z.output<typeof trialInput>;

/**
 * Makes a plan of the next set of a half-head trial, after the head's last set.
 *
 * @param flip a coin
 * @returns its id; null where head, trial or products are gone
 */
export async function trialPlan(
  { actor, database, nowMs }: Call,
  { headId, key, products: asked }: TrialAsked,
  flip: boolean,
): Promise<string | null> {
  const { studio } = actor;
  const { findings, sets } = await findOut(database, studio, headId);
  const head = await findHead(database.db, studio.id, headId);
  const last = sets
    .filter((set) => set.headId === headId)
    .reduce<LearntSet | null>((best, set) => (best && best.startedAtMs > set.startedAtMs ? best : set), null);
  const trial = findings.trials.find((one) => one.key === key);
  const basis = trial?.sets.at(-1)?.setId ?? last?.id;
  const set = basis ? await findSet(database.db, studio.id, basis) : null;
  if (!head || !set || (!trial && !asked)) return null;
  const shelf = await listProducts(database.db, studio.id);
  const layerBy = (productId: string): TrialLayer[] => {
    const product = shelf.find(({ id }) => id === productId);
    return product ? [{ layer: layerOf(product), productId }] : [];
  };
  const fromWay = (way: readonly WayLayer[]): TrialLayer[] =>
    way.flatMap(({ productId, role, grams }) =>
      productId !== null && shelf.some(({ id }) => id === productId)
        ? layerBy(productId)
        : [{ layer: { role, ...(grams === null ? {} : { grams }) }, productId: null }],
    );
  const [a, b] = trial
    ? [fromWay(trial.aLayers), fromWay(trial.bLayers)]
    : [layerBy(asked![0]), layerBy(asked![1])];
  if (!trial && (a.length === 0 || b.length === 0)) return null;
  const roles = new Set([...a, ...b].map(({ layer }) => layer.role));
  const { startAt: _, learnt: __, corrections: ___, ...brief } = set.brief;
  const content = asHalfHeadTrial(
    {
      title: `${head.name}, half and half`.slice(0, 80),
      brief: {
        ...brief,
        head: head.measurement.head,
        wearBy: tomorrowMorning(nowMs, studio.timeZone),
        timeZone: studio.timeZone,
      },
      layerProductIds: set.layerProductIds,
    },
    { a, b, isALeft: trial?.nextIsALeft ?? flip },
    (layer, productId) =>
      (trial === undefined && productRoles[layer.role].isHold) ||
      (roles.has(layer.role) && [...a, ...b].some((own) => own.productId === productId)),
  );
  return database.write((tx) =>
    createPlan(
      tx,
      studio.id,
      {
        ...content,
        layerProductIds: [...content.layerProductIds],
        headId,
        measurementId: head.measurement.id,
        status: 'draft',
      },
      nowMs,
    ),
  );
}

/** The head that had most sets with either of two products: a trial is easiest on her. */
function trialOn(sets: readonly LearntSet[], products: readonly [string, string]) {
  const counts = new Map<string, number>();
  for (const { headId, seen } of sets)
    if (products.includes(holdKey(seen) ?? '')) counts.set(headId, (counts.get(headId) ?? 0) + 1);
  const [most] = [...counts].sort((a, b) => b[1] - a[1]);
  return most ? { headId: most[0], products } : null;
}

/** Everything that the log of a studio says, or that of one head. */
export const loadFindings = cache((headId: string | null) =>
  query('read', async ({ actor, database, nowMs }) => {
    const { studio } = actor;
    const found = await findOut(database, studio, headId, true);
    const { findings, differences, headNames, sets } = found;
    const { settings, learning, waiting } = await studioKnowledge(database, studio);
    const nameOf = (id: string) => headNames.get(id) ?? 'a head that was put away';
    const faults = await faultsOf(database.db, studio.id);
    const answers = [...faults.values()].flatMap(({ answers: own }) => Object.values(own));
    const isOwn = new Set(sets.filter((set) => headId === null || set.headId === headId).map(({ id }) => id));
    const short = sets
      .filter(({ id, seen: { days } }) => isOwn.has(id) && days?.how === 'ended' && days.last < days.low)
      .sort((a, b) => b.startedAtMs - a.startedAtMs);
    return {
      studioName: studio.name,
      head: headId === null ? null : { id: headId, name: nameOf(headId) },
      heads: [...headNames].map(([id, name]) => ({ id, name })),
      findings,
      differences,
      headNames: Object.fromEntries(headNames),
      questions: [
        ...findings.lasting.flatMap((one) => lastingQuestion(one) ?? []),
        ...differences.flatMap(differenceQuestions),
      ].map((question) => ({
        ...question,
        trial:
          question.products &&
          found.productNames.has(question.products[0]) &&
          found.productNames.has(question.products[1])
            ? trialOn(
                sets.filter(({ id }) => isOwn.has(id)),
                question.products,
              )
            : null,
      })),
      short: short.slice(0, MOST_SHORT).map(({ id, headId: of, startedAtMs, seen }) => ({
        setId: id,
        headName: nameOf(of),
        technique: seen.technique,
        startedAtMs,
        lasted: seen.days!.last,
        low: seen.days!.low,
        high: seen.days!.high,
      })),
      shortCount: short.length,
      hits:
        answers.length >= ENOUGH_ANSWERS
          ? { right: answers.filter(Boolean).length, all: answers.length }
          : null,
      corrections: CORRECTABLE.map((kind) => ({
        kind,
        kept: settings.corrections[kind] ?? null,
        isOffered: isCorrectable(kind, learning.isFitted),
      })),
      fitted: {
        sets: settings.fittedSets,
        atMs: settings.fittedAtMs,
        isDue:
          sets.length >= pooling.value.fewestSets &&
          sets.length - settings.fittedSets >= pooling.value.fittedEvery,
      },
      stylists: learning.paces.stylists.filter(({ stylist }) => stylist !== ''),
      noticeable: settings.noticeable,
      waiting,
      isOlder: found.isOlder,
      clock: clockOf(studio),
      nowMs,
    };
  }),
);

export type LoadedFindings = Awaited<ReturnType<typeof loadFindings>>;
