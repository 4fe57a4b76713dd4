import { suggestion } from '../coefficients/suggestion';
import { weightsOf, type Want } from '../coefficients/wants';
import { ask, timesOf, type Wish } from '../suggest/ask';
import { Search, wayKey, type Goal, type Pick } from '../suggest/search';
import type { Node } from '../suggest/ways';

/** What an option is best at. */
export const STRENGTHS = {
  rounded: 'best all round',
  surest: 'surest to be dry',
  quickest: 'least work',
  sharpest: 'best defined',
  longest: 'lasts longest',
  stretched: 'shows most length',
} as const;
export type Strength = keyof typeof STRENGTHS;
const STRENGTH_IDS = Object.keys(STRENGTHS) as Strength[];

/** What each is weighed by above all; what is best all round, and surest, by what is usual. */
const WANTS_OF: Readonly<Record<Strength, readonly Want[]>> = {
  rounded: [],
  surest: [],
  quickest: ['little-work'],
  sharpest: ['defined'],
  longest: ['lasts'],
  stretched: ['long'],
};
/** A wish so strong that nothing else counts for much. */
const ABOVE_ALL = 2 * suggestion.value.asked;
const SUREST = 0.97;

/** Limits that a way must keep to, beside those of the wish. */
export interface Limits {
  readonly daysAtLeast: number | null;
  readonly curlMm: { readonly low: number; readonly high: number } | null;
}

/** A limit that would have to give. */
export type Gives = 'chance' | 'handsOn' | 'days' | 'curl';

/** A few ways that keep to all limits, or what would have to give. */
export interface Fitted {
  readonly options: readonly { readonly pick: Pick; readonly strengths: readonly Strength[] }[];
  /** Without any option: the way that each limit alone would allow if it gave. */
  readonly relaxed: readonly { readonly gives: Gives; readonly pick: Pick }[];
}

/** How far a search is. */
export interface FitState extends Fitted {
  readonly looked: number;
  readonly of: number;
}

/** What each strength is the most of, as everybody would read it off. */
const MOST: Readonly<Record<Exclude<Strength, 'rounded'>, (pick: Pick) => number>> = {
  surest: ({ weighed }) => weighed.chance ?? 0,
  quickest: ({ weighed }) => -weighed.handsOnMin,
  sharpest: ({ weighed }) => weighed.definition,
  longest: ({ weighed }) => weighed.days,
  stretched: ({ weighed }) => weighed.stretch,
};

/** Ways with what they are really best at among themselves; the first is the best all round. */
function withStrengths(picks: readonly Pick[]): Fitted['options'] {
  const strengths = picks.map((_, i): Strength[] => (i === 0 ? ['rounded'] : []));
  if (picks.length > 1)
    for (const [strength, most] of Object.entries(MOST)) {
      const values = picks.map(most);
      strengths[values.indexOf(Math.max(...values))]!.push(strength as Strength);
    }
  return picks.flatMap((pick, i) => (strengths[i]!.length > 0 ? [{ pick, strengths: strengths[i]! }] : []));
}

/** Runs of the drying model for each strength, and for each limit that gives. */
const BUDGET = { strength: 60, relaxed: 40 } as const;
const GIVES: readonly Gives[] = ['chance', 'handsOn', 'days', 'curl'];

/** The goal of one strength within the limits, but for one that gives. */
function goalOf(wish: Wish, limits: Limits, search: Search, strength: Strength, gives: Gives | null): Goal {
  const { handsOnMaxMin, sureness } = wish;
  const { daysAtLeast, curlMm } = limits;
  const maxMin = gives === 'handsOn' ? null : handsOnMaxMin;
  const least = gives === 'days' ? null : daysAtLeast;
  const curl = gives === 'curl' ? null : curlMm;
  const leastChance = gives === 'chance' ? 0 : sureness;
  const isEnough = ({ weighed }: Pick | Node) =>
    (maxMin === null || weighed.handsOnMin <= maxMin) && (least === null || weighed.days >= least);
  return {
    weighing: {
      ...search.asked.weighing,
      weights: weightsOf(WANTS_OF[strength], ABOVE_ALL),
      ...(strength === 'surest' ? { sureness: SUREST } : {}),
      // A limit that gives still gives as little as it can: more work than is wanted costs as ever.
      handsOnMaxMin,
    },
    allows: isEnough,
    leastChance,
    accepts: (pick) =>
      isEnough(pick) &&
      (pick.weighed.chance ?? 1) >= leastChance &&
      (curl === null || (pick.tried.curlMm >= curl.low && pick.tried.curlMm <= curl.high)),
  };
}

/** What a limit that gives is weighed towards: the way that misses it least. */
const TOWARDS: Readonly<Record<Gives, Strength>> = {
  chance: 'surest',
  handsOn: 'quickest',
  days: 'longest',
  curl: 'rounded',
};

/**
 * Ways to do a head within limits: the best at each thing, and the best all round. What is the best at several things is
 * one option. Where nothing keeps to all limits, the way that each limit alone would allow if it gave.
 */
export function* fitTo(wish: Wish, limits: Limits): Generator<FitState, Fitted> {
  const search = new Search(ask(wish), timesOf(wish.base));
  const found = new Map<string, Pick>();
  const relaxed: { gives: Gives; pick: Pick }[] = [];
  const of = STRENGTH_IDS.length * BUDGET.strength;
  const state = (looked: number): FitState => ({
    looked,
    of,
    options: withStrengths([...found.values()]),
    relaxed,
  });
  for (const [i, strength] of STRENGTH_IDS.entries()) {
    const before = search.trials.runs;
    const best = search.bestFor(goalOf(wish, limits, search, strength, null), BUDGET.strength);
    let step = best.next();
    while (!step.done) {
      yield state(i * BUDGET.strength + search.trials.runs - before);
      step = best.next();
    }
    const pick = step.value;
    // Where nothing at all keeps to the limits, nothing is the best at one thing either.
    if (!pick && i === 0) break;
    if (pick) found.set(wayKey(pick.way), pick);
    yield state((i + 1) * BUDGET.strength);
  }
  if (found.size === 0)
    for (const gives of GIVES) {
      const best = search.bestFor(goalOf(wish, limits, search, TOWARDS[gives], gives), BUDGET.relaxed);
      let step = best.next();
      while (!step.done) step = best.next();
      if (step.value) relaxed.push({ gives, pick: step.value });
      yield state(of);
    }
  return { options: withStrengths([...found.values()]), relaxed };
}
