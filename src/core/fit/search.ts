import type { Brief } from '../brief/brief';
import { ParetoFront } from '../stats/pareto';
import type { Candidate, ZoneTechniques } from './candidate';
import { QuickForecaster, type Outcome, type Work } from './quick';
import { candidates, type Means } from './space';

/** What a stylist wants of a set. */
export interface Wishes {
  /** When it must be worn. */
  readonly readyMs: number;
  /** When hands-on work can begin. */
  readonly startMs: number;
  readonly handsOnMaxMin: number | null;
  readonly daysAtLeast: number | null;
  readonly curlMm: { readonly low: number; readonly high: number } | null;
  /** Chance wanted that it is dry at takedown. */
  readonly chanceAtLeast: number;
}

/** A candidate and what comes of it. */
export interface Choice {
  readonly candidate: Candidate;
  /** What is done in zones that cannot carry it. */
  readonly zones: ZoneTechniques;
  readonly outcome: Outcome;
  /** Hours left for drying. */
  readonly windowH: number;
}

/** A wish that would have to give, and the choice that it would allow. */
export interface Relaxed {
  readonly wish: 'chance' | 'handsOn' | 'days' | 'curl';
  readonly choice: Choice;
}

/** How far a search is. */
export interface SearchState {
  readonly looked: number;
  readonly of: number;
  /** Choices that none of the others beats, so far. */
  readonly front: readonly Choice[];
  /** Without any choice: what would have to give, the least of each kind. */
  readonly relaxed: readonly Relaxed[];
}

/** Differences smaller than these are none: chance, minutes, points, days, share of length. */
const GRAIN = { chance: 0.02, handsOnMin: 5, definition: 0.2, days: 0.2, stretch: 0.02 } as const;

const steps = (value: number, grain: number) => Math.round(value / grain);

/** What choices are weighed by, larger is better, in steps that a stylist would notice. */
export const scoresOf = ({ outcome }: Choice): number[] => [
  steps(outcome.chance, GRAIN.chance),
  -steps(outcome.handsOnMin, GRAIN.handsOnMin),
  steps(outcome.definition, GRAIN.definition),
  steps(outcome.days, GRAIN.days),
  steps(outcome.stretch, GRAIN.stretch),
];

/** Which wishes a choice does not meet. */
export function unmet({ outcome }: Choice, wishes: Wishes): Relaxed['wish'][] {
  const { handsOnMaxMin, daysAtLeast, curlMm, chanceAtLeast } = wishes;
  return [
    outcome.chance < chanceAtLeast ? ('chance' as const) : null,
    handsOnMaxMin !== null && outcome.handsOnMin > handsOnMaxMin ? ('handsOn' as const) : null,
    daysAtLeast !== null && outcome.days < daysAtLeast ? ('days' as const) : null,
    curlMm !== null && (outcome.curlMm < curlMm.low || outcome.curlMm > curlMm.high)
      ? ('curl' as const)
      : null,
  ].filter((wish) => wish !== null);
}

/** How far a choice is from a wish that it misses. */
function distance({ outcome }: Choice, wish: Relaxed['wish'], wishes: Wishes): number {
  switch (wish) {
    case 'chance':
      return wishes.chanceAtLeast - outcome.chance;
    case 'handsOn':
      return outcome.handsOnMin - (wishes.handsOnMaxMin ?? 0);
    case 'days':
      return (wishes.daysAtLeast ?? 0) - outcome.days;
    case 'curl':
      return Math.max(
        (wishes.curlMm?.low ?? 0) - outcome.curlMm,
        outcome.curlMm - (wishes.curlMm?.high ?? 0),
      );
  }
}

/** A candidate needs at most this many times the wanted work to be worth drying when nothing fits. */
const WORTH_DRYING = 2;

/**
 * Searches the ways to do a head in a time, a part at a time, so that it can be stopped and shown.
 * Work that is too long is left out before anything is dried; if nothing fits, it is dried after all.
 *
 * @param every candidates between two states
 */
export function* search(
  base: Brief,
  means: Means,
  wishes: Wishes,
  every = 40,
): Generator<SearchState, SearchState> {
  const forecaster = new QuickForecaster(base, wishes.readyMs, wishes.startMs);
  const all = spread(candidates(base, means));
  const fitting = new ParetoFront(scoresOf);
  const misses = new Map<Relaxed['wish'], Choice>();
  const tooLong: Work[] = [];
  let looked = 0;
  const state = (): SearchState => ({
    looked,
    of: all.length,
    front: fitting.items,
    relaxed: fitting.items.length > 0 ? [] : [...misses].map(([wish, choice]) => ({ wish, choice })),
  });
  const weigh = (work: Work) => {
    const outcome = forecaster.outcome(work);
    if (!outcome) return;
    const choice = { candidate: work.candidate, zones: work.zones, outcome, windowH: work.window.hours };
    const missed = unmet(choice, wishes);
    if (missed.length === 0) fitting.add(choice);
    const [only] = missed;
    if (missed.length !== 1 || !only) return;
    const nearest = misses.get(only);
    if (!nearest || distance(choice, only, wishes) < distance(nearest, only, wishes))
      misses.set(only, choice);
  };
  for (const candidate of all) {
    looked++;
    const work = forecaster.work(candidate);
    if (work) {
      if (wishes.handsOnMaxMin === null || work.handsOnMin <= wishes.handsOnMaxMin) weigh(work);
      else tooLong.push(work);
    }
    if (looked % every === 0) yield state();
  }
  if (fitting.items.length === 0 && wishes.handsOnMaxMin !== null) {
    const worth = tooLong
      .filter((work) => work.handsOnMin <= WORTH_DRYING * wishes.handsOnMaxMin!)
      .sort((a, b) => a.handsOnMin - b.handsOnMin);
    for (const [i, work] of worth.entries()) {
      // The least work that does is enough: what follows asks for more.
      if (misses.has('handsOn')) break;
      weigh(work);
      if (i % every === every - 1) yield state();
    }
  }
  return state();
}

/** The same items with neighbours far apart, so that the first few already show what is possible. */
function spread<T>(items: readonly T[]): T[] {
  const stride = Math.max(1, Math.round(items.length / ((1 + Math.sqrt(5)) / 2)));
  const order = items.map((_, i) => i);
  const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));
  let step = stride;
  while (items.length > 1 && gcd(step, items.length) !== 1) step++;
  return order.map((i) => items[(i * step) % items.length]!);
}
