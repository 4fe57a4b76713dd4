import { grouped } from '../grouped';
import { compared } from '../coefficients/evidence';
import {
  medianDays,
  medianInterval,
  productLimit,
  stratifiedLogRank,
  type Compared,
  type Lasted,
  type SurvivalStep,
} from '../stats/survival';
import { techniqueOf } from '../techniques';
import { holdKey } from './factors';
import type { LearntSet } from './learning';
import type { SetEvidence } from './set-evidence';

/** Share of a distribution that limits of days enclose. */
const COVERAGE = 0.8;

/** By what days lasted are told apart. */
export interface Grouping {
  readonly id: 'technique' | 'hold' | 'night' | 'size' | 'start';
  readonly label: string;
  /** Which group a set falls in; null where nobody knows. */
  readonly keyOf: (seen: SetEvidence) => string | null;
  /** What a group is called, as it follows "styles": "begun damp". */
  readonly nameOf: (key: string, productName: (key: string) => string) => string;
}

/** Wet, damp and dry, of the six states that hair is begun in. */
const startKey = (state: number): string => (state >= 4 ? 'wet' : state >= 2 ? 'damp' : 'dry');
const NIGHTS = { kept: 'with every night kept', missed: 'with nights missed' } as const;
const SIZES = {
  fewer: 'of fewer sections than usual',
  usual: 'of the usual sections',
  more: 'of more sections than usual',
} as const;
/** Counts this far from a technique's usual are other than usual. */
const OTHER_COUNT = 0.15;

/** One row a grouping. */
export const GROUPINGS: readonly Grouping[] = [
  {
    id: 'technique',
    label: 'technique',
    keyOf: ({ technique }) => technique,
    nameOf: (key) => techniqueOf(key as SetEvidence['technique']).noun[1],
  },
  {
    id: 'start',
    label: 'how wet it is begun',
    keyOf: ({ factors }) => startKey(factors.startState),
    nameOf: (key) => `begun ${key}`,
  },
  {
    id: 'night',
    label: 'night care',
    keyOf: ({ factors: { nightShare } }) =>
      nightShare === null ? null : nightShare >= 1 ? 'kept' : 'missed',
    nameOf: (key) => NIGHTS[key as keyof typeof NIGHTS],
  },
  {
    id: 'hold',
    label: 'hold product',
    keyOf: holdKey,
    nameOf: (key, productName) => `with ${productName(key)}`,
  },
  {
    id: 'size',
    label: 'section size',
    keyOf: ({ technique, factors }) => {
      const ratio = factors.sections / techniqueOf(technique).usualSections;
      return ratio < 1 - OTHER_COUNT ? 'fewer' : ratio > 1 + OTHER_COUNT ? 'more' : 'usual';
    },
    nameOf: (key) => SIZES[key as keyof typeof SIZES],
  },
];

/** Days that one group of styles lasted. */
export interface LastingGroup {
  readonly key: string;
  readonly name: string;
  readonly sets: number;
  /** Empty where findings are made for a screen. */
  readonly setIds: readonly string[];
  readonly heads: number;
  readonly ended: number;
  readonly stillWorn: number;
  /** Ended by water: cut short, counted by themselves. */
  readonly wet: number;
  /** Cut short for a reason that nobody said. */
  readonly unknown: number;
  /** Values in order, + after those cut short. */
  readonly values: readonly { readonly days: number; readonly ended: boolean }[];
  readonly steps: readonly SurvivalStep[];
  /** Null where too few ended, or the curve does not come down so far. */
  readonly median: number | null;
  readonly medianBetween: readonly [low: number | null, high: number | null];
  readonly longest: number;
}

/** What stands between two groups and a comparison. */
export interface Missing {
  readonly heads: number;
  readonly endedA: number;
  readonly endedB: number;
}

/** Two groups, each head compared with herself. */
export interface LastingComparison {
  readonly grouping: Grouping['id'];
  readonly subject: string;
  readonly a: LastingGroup;
  readonly b: LastingGroup;
  /** Heads that had both. */
  readonly heads: number;
  readonly test: Compared | null;
  readonly verdict: 'differ' | 'alike' | 'not-enough';
  readonly missing: Missing | null;
}

/** Days of a grouping: its groups, and the two with most sets held against each other. */
export interface Lasting {
  readonly grouping: Grouping['id'];
  readonly label: string;
  /** What is compared, in words: the styles of one technique, but where techniques are. */
  readonly subject: string;
  readonly groups: readonly LastingGroup[];
  readonly comparison: LastingComparison | null;
}

const lastedOf = ({ seen: { days } }: LearntSet): Lasted => ({
  days: days!.last,
  ended: days!.how === 'ended',
});

/** Whether so many ended by themselves that there is a middle to speak of. */
export const isEnoughForCurve = ({ ended }: Pick<LastingGroup, 'ended'>): boolean =>
  ended >= compared.value.fewestEnded;

function groupOf(key: string, name: string, sets: readonly LearntSet[]): LastingGroup {
  const lasted = sets.map(lastedOf);
  const steps = productLimit(lasted, COVERAGE);
  const ended = lasted.filter((one) => one.ended).length;
  const count = (isIt: (days: NonNullable<SetEvidence['days']>) => boolean) =>
    sets.filter(({ seen }) => isIt(seen.days!)).length;
  return {
    key,
    name,
    sets: sets.length,
    setIds: sets.map(({ id }) => id),
    heads: new Set(sets.map(({ headId }) => headId)).size,
    ended,
    stillWorn: count(({ how }) => how === 'worn'),
    wet: count(({ how }) => how === 'wet'),
    unknown: count(({ reason }) => reason === 'unknown'),
    values: [...lasted].sort((x, y) => x.days - y.days || Number(y.ended) - Number(x.ended)),
    steps,
    median: isEnoughForCurve({ ended }) ? medianDays(steps) : null,
    medianBetween: isEnoughForCurve({ ended }) ? medianInterval(steps) : [null, null],
    longest: lasted.reduce((most, { days }) => Math.max(most, days), 0),
  };
}

/** Sets of two groups by head and, where it is not what is compared, technique. */
function strataOf(grouping: Grouping, a: string, b: string, sets: readonly LearntSet[]) {
  const strata = new Map<string, { headId: string; a: Lasted[]; b: Lasted[] }>();
  for (const set of sets) {
    const key = grouping.keyOf(set.seen);
    if (key !== a && key !== b) continue;
    const place = `${set.headId}/${grouping.id === 'technique' ? '' : set.seen.technique}`;
    const own = strata.get(place) ?? { headId: set.headId, a: [], b: [] };
    own[key === a ? 'a' : 'b'].push(lastedOf(set));
    strata.set(place, own);
  }
  return [...strata.values()].filter((own) => own.a.length > 0 && own.b.length > 0);
}

function comparisonOf(
  grouping: Grouping,
  subject: string,
  a: LastingGroup,
  b: LastingGroup,
  sets: readonly LearntSet[],
): LastingComparison {
  const c = compared.value;
  const strata = strataOf(grouping, a.key, b.key, sets);
  const heads = new Set(strata.map(({ headId }) => headId)).size;
  const most = (side: 'a' | 'b') => strata.map((own) => own[side].length);
  const isOneHeadEnough = most('a').some(
    (n, i) => n >= c.fewestOnOneHead && most('b')[i]! >= c.fewestOnOneHead,
  );
  const ended = (side: 'a' | 'b') =>
    strata.reduce((sum, own) => sum + own[side].filter((one) => one.ended).length, 0);
  const [endedA, endedB] = [ended('a'), ended('b')];
  const isEnough =
    (heads >= c.fewestHeads || isOneHeadEnough) && endedA >= c.fewestEnded && endedB >= c.fewestEnded;
  const test = isEnough ? stratifiedLogRank(strata) : null;
  return {
    grouping: grouping.id,
    subject,
    a,
    b,
    heads,
    test,
    verdict: !test ? 'not-enough' : test.p < c.surely ? 'differ' : 'alike',
    missing: isEnough
      ? null
      : {
          heads: isOneHeadEnough ? 0 : Math.max(0, c.fewestHeads - heads),
          endedA: Math.max(0, c.fewestEnded - endedA),
          endedB: Math.max(0, c.fewestEnded - endedB),
        },
  };
}

/**
 * How long styles stay good, told apart five ways. What was cut short counts up to the day it was; groups are compared
 * within heads, so that whose hair lasts by itself cannot pass for what was done to it.
 *
 * @param productName a hold product by its key
 * @source evidence §1
 */
export function lastingOf(sets: readonly LearntSet[], productName: (key: string) => string): Lasting[] {
  const telling = sets.filter(
    ({ seen }) => seen.days !== null && !(seen.days.how === 'worn' && seen.days.last === 0),
  );
  const techniques = new Map<SetEvidence['technique'], number>();
  for (const { seen } of telling) techniques.set(seen.technique, (techniques.get(seen.technique) ?? 0) + 1);
  const [usual] = [...techniques].sort((x, y) => y[1] - x[1])[0] ?? [];
  return GROUPINGS.map((grouping): Lasting => {
    const isOfOne = grouping.id !== 'technique' && usual !== undefined;
    const own = isOfOne ? telling.filter(({ seen }) => seen.technique === usual) : telling;
    const subject = isOfOne ? techniqueOf(usual).noun[1] : 'styles';
    const groups = [...grouped(own, ({ seen }) => grouping.keyOf(seen))]
      .flatMap(([key, alike]) =>
        key === null ? [] : [groupOf(key, grouping.nameOf(key, productName), alike)],
      )
      .sort((x, y) => y.sets - x.sets || (x.key < y.key ? -1 : 1));
    const [a, b] = groups;
    return {
      grouping: grouping.id,
      label: grouping.label,
      subject,
      groups,
      comparison: a && b ? comparisonOf(grouping, subject, a, b, own) : null,
    };
  });
}
