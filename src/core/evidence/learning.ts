import { grouped } from '../grouped';
import { remembered } from '../remembered';
import {
  LEARNT_OUTCOMES,
  pooling,
  usualSpreads,
  type LearntOutcome,
  type Spreads,
} from '../coefficients/evidence';
import type { Learnt, LearntOutcomes, LearntShift } from '../brief/learnt';
import type { TechniqueId } from '../techniques';
import { Z_90 } from '../stats/normal';
import { daysCell, gridKnowledge, gridSummary, type DaysSeen, type GridMessage } from './days-knowledge';
import { normalCell, normalKnowledge, type NormalMessage, type Residual } from './normal-knowledge';
import { paceCells, pacesOf, type PaceSeen, type Paces } from './pace';
import {
  gathered,
  knownHead,
  rootOf,
  unseen,
  unseenHead,
  type Gathered,
  type Knowledge,
  type KnownHead,
  type PooledHead,
} from './pooling';
import type { SetEvidence } from './set-evidence';

/** A set with what is learnt from it, and the period of its head that it fell in. */
export interface LearntSet {
  readonly id: string;
  readonly headId: string;
  readonly startedAtMs: number;
  /** Counts the cuts, colours and heat before it. */
  readonly period: number;
  readonly seen: SetEvidence;
}

/** Outcomes that are known exactly; days are rounded or cut short, pace is the stylist’s too. */
const EXACT = ['definition', 'stretch', 'dryingRate'] as const;
type ExactOutcome = (typeof EXACT)[number];

/** How far a set lay from what the trade expects; null where it tells nothing of that. */
export function residualOf(outcome: ExactOutcome, seen: SetEvidence): Residual | null {
  switch (outcome) {
    case 'definition':
      return seen.definition && { value: seen.definition.came - seen.definition.trade };
    case 'stretch':
      return seen.stretch && { value: seen.stretch.came - seen.stretch.trade };
    case 'dryingRate':
      return seen.rate;
  }
}

/** ln of hands-on time over the trade's. */
export const paceResidual = ({ install }: SetEvidence): number | null =>
  install && Math.log(install.came / install.trade);

/** How long a set lasted against the trade; null where it tells nothing. */
export const daysSeen = ({ days }: SetEvidence): DaysSeen | null =>
  days && { days: days.last, ended: days.how === 'ended', expectedDays: days.trade };

/** Whether a set tells anything of an outcome. */
export const tellsOf = (outcome: LearntOutcome, seen: SetEvidence): boolean =>
  outcome === 'days'
    ? daysSeen(seen) !== null
    : outcome === 'pace'
      ? paceResidual(seen) !== null
      : residualOf(outcome, seen) !== null;

/** Sets of one head by period and technique. */
function pooled<M, R>(
  sets: readonly LearntSet[],
  read: (seen: SetEvidence) => R | null,
  cellOf: (read: readonly R[]) => M,
): PooledHead<M> {
  const told = grouped(
    sets.flatMap(({ period, seen }) => {
      const value = read(seen);
      return value === null ? [] : [{ period, technique: seen.technique, value }];
    }),
    ({ period }) => period,
  );
  const cellsOf = (period: number) => {
    const cells = grouped(told.get(period) ?? [], ({ technique }) => technique);
    return new Map([...cells].map(([id, own]) => [id, cellOf(own.map(({ value }) => value))] as const));
  };
  const periods = Math.max(0, ...sets.map(({ period }) => period + 1));
  return { periods: Array.from({ length: periods }, (_, period) => cellsOf(period)) };
}

/** One head's sets as they bear on an outcome, if sets differed by so much. */
export const exactHead = (outcome: ExactOutcome, setSd: number, sets: readonly LearntSet[]) =>
  pooled<NormalMessage, Residual>(
    sets,
    (seen) => residualOf(outcome, seen),
    (own) => normalCell(own, setSd),
  );
export const daysHead = (setSd: number, sets: readonly LearntSet[]) =>
  pooled<GridMessage, DaysSeen>(sets, daysSeen, (own) => daysCell(own, setSd));

/** What all heads say of one outcome. */
interface OutcomeState<M> {
  readonly by: Knowledge<M>;
  readonly spreads: Spreads;
  readonly heads: ReadonlyMap<string, Gathered<M>>;
  readonly root: M;
}

/** What is known of a figure of a head: how far from the trade's, and how sure. */
export interface Known {
  /** Middle of how far it lies from what the trade expects. */
  readonly shift: number;
  readonly sd: number;
  /** 80 %. */
  readonly low: number;
  readonly high: number;
  /** Her own sets that tell of it. */
  readonly sets: number;
  /** Worth so many of her sets, with what others told. */
  readonly worth: number;
  /** Share of the doubt before that is gone. */
  readonly told: number;
  /** The next set, 80 %. */
  readonly next: { readonly low: number; readonly high: number };
}

/** What a studio has learnt so far. */
export interface Learning {
  readonly sets: ReadonlyMap<string, readonly LearntSet[]>;
  readonly spreads: Readonly<Record<LearntOutcome, Spreads>>;
  readonly isFitted: Readonly<Record<LearntOutcome, boolean>>;
  readonly exact: Readonly<Record<ExactOutcome, OutcomeState<NormalMessage>>>;
  readonly days: OutcomeState<GridMessage>;
  readonly paces: Paces;
}

/** Spreads that were fitted on a studio's log. */
export type FittedSpreads = Partial<Record<LearntOutcome, Spreads>>;

function stateOf<M>(
  by: Knowledge<M>,
  spreads: Spreads,
  heads: ReadonlyMap<string, Gathered<M>>,
): OutcomeState<M> {
  const messages = [...heads.values()].map(({ message }) => message);
  return { by, spreads, heads, root: rootOf(by, spreads, messages) };
}

const record = <K extends string, V>(keys: readonly K[], of: (key: K) => V): Record<K, V> =>
  Object.fromEntries(keys.map((key) => [key, of(key)])) as Record<K, V>;

/** Paces of some sets, of those that tell one. */
export const paceSeen = (sets: readonly LearntSet[]): PaceSeen[] =>
  sets.flatMap(({ headId, seen }) => {
    const value = paceResidual(seen);
    return value === null ? [] : [{ headId, technique: seen.technique, stylist: seen.stylist ?? '', value }];
  });

/** A head's sets are the same list for as long as nothing of them changes. */
const paceCellsOf = remembered((own: readonly LearntSet[]) => paceCells(paceSeen(own)));
const allPaces = (sets: ReadonlyMap<string, readonly LearntSet[]>, spreads: Spreads): Paces =>
  pacesOf(new Map([...sets].map(([headId, own]) => [headId, paceCellsOf(own)])), spreads);

/** Everything that a studio's sets teach. @param fitted spreads of its own log, where there is enough of it */
export function learningOf(all: readonly LearntSet[], fitted: FittedSpreads = {}): Learning {
  const sets = grouped(
    [...all].sort((a, b) => a.startedAtMs - b.startedAtMs),
    ({ headId }) => headId,
  );
  const spreads = record(LEARNT_OUTCOMES, (outcome) => fitted[outcome] ?? usualSpreads(outcome));
  const perHead = <M>(of: (own: readonly LearntSet[]) => Gathered<M>) =>
    new Map([...sets].map(([headId, own]) => [headId, of(own)]));
  return {
    sets,
    spreads,
    isFitted: record(LEARNT_OUTCOMES, (outcome) => fitted[outcome] !== undefined),
    exact: record(EXACT, (outcome) =>
      stateOf(
        normalKnowledge,
        spreads[outcome],
        perHead((own) =>
          gathered(normalKnowledge, spreads[outcome], exactHead(outcome, spreads[outcome].set, own)),
        ),
      ),
    ),
    days: stateOf(
      gridKnowledge,
      spreads.days,
      perHead((own) => gathered(gridKnowledge, spreads.days, daysHead(spreads.days.set, own))),
    ),
    paces: allPaces(sets, spreads.pace),
  };
}

/** The same once one head's sets have changed: the others keep what they said. */
export function withHeadChanged(learning: Learning, headId: string, own: readonly LearntSet[]): Learning {
  const { spreads } = learning;
  const sets = new Map(learning.sets).set(
    headId,
    [...own].sort((a, b) => a.startedAtMs - b.startedAtMs),
  );
  const changed = <M>(state: OutcomeState<M>, head: PooledHead<M>): OutcomeState<M> =>
    stateOf(
      state.by,
      state.spreads,
      new Map(state.heads).set(headId, gathered(state.by, state.spreads, head)),
    );
  const mine = sets.get(headId)!;
  return {
    ...learning,
    sets,
    exact: record(EXACT, (outcome) =>
      changed(learning.exact[outcome], exactHead(outcome, spreads[outcome].set, mine)),
    ),
    days: changed(learning.days, daysHead(spreads.days.set, mine)),
    paces: allPaces(sets, spreads.pace),
  };
}

const newest = (sets: readonly LearntSet[]): number => sets.at(-1)?.period ?? 0;

/** Stands for a technique that was never set on her: what is told of it rests on all her sets. */
const OTHER = '';

/** Her own sets of her newest period that tell of an outcome; of all techniques where none is named. */
export function tellingSets(
  learning: Learning,
  outcome: LearntOutcome,
  headId: string,
  technique: string | null,
): readonly LearntSet[] {
  const own = learning.sets.get(headId) ?? [];
  return own.filter(
    ({ period, seen }) =>
      period === newest(own) &&
      (technique === null || seen.technique === technique) &&
      tellsOf(outcome, seen),
  );
}

function stateKnown<M>({ by, spreads, heads, root }: OutcomeState<M>, headId: string): KnownHead<M> | null {
  const own = heads.get(headId);
  return own ? knownHead(by, spreads, root, own) : null;
}

/** What is known of one technique on a head, of one new to it, or of a head that is new. */
function messageOf<M>(state: OutcomeState<M>, headId: string, technique: string | null): M {
  const known = stateKnown(state, headId);
  if (!known) return unseenHead(state.by, state.spreads, state.root);
  if (technique === null) return known.head;
  return known.cells.get(technique) ?? unseen(state.by, state.spreads, known);
}

/** 80 % of the next set's ln days: what is known, and how sets differ. */
function nextOfGrid(message: GridMessage, setSd: number): { low: number; high: number } {
  const wider = gridSummary(gridKnowledge.wider(message, setSd));
  return { low: wider.quantiles[0]!, high: wider.quantiles[2]! };
}

/**
 * What is known of one outcome of a head.
 *
 * @param technique null for the head as a whole
 * @param stylist whose pace it is; of pace only
 */
export function knownOf(
  learning: Learning,
  outcome: LearntOutcome,
  headId: string,
  technique: string | null,
  stylist = '',
): Known {
  const { stylist: s, head, technique: t, set } = learning.spreads[outcome];
  const prior = s * s + head * head + (technique === null ? 0 : t * t);
  const sets = tellingSets(learning, outcome, headId, technique === OTHER ? null : technique).length;
  const of = (
    shift: number,
    variance: number,
    low: number,
    high: number,
    next: { readonly low: number; readonly high: number },
  ): Known => ({
    shift,
    sd: Math.sqrt(variance),
    low,
    high,
    sets,
    worth: Math.max(0, set * set * (1 / variance - 1 / prior)),
    told: Math.max(0, 1 - variance / prior),
    next,
  });
  const normal = ({ mean, variance }: { readonly mean: number; readonly variance: number }): Known => {
    const reach = Z_90 * Math.sqrt(variance);
    const wide = Z_90 * Math.sqrt(variance + set * set);
    return of(mean, variance, mean - reach, mean + reach, { low: mean - wide, high: mean + wide });
  };
  if (outcome === 'pace')
    return normal(
      technique === null ? learning.paces.ofHead(headId) : learning.paces.on(headId, technique, stylist),
    );
  if (outcome !== 'days') return normal(messageOf(learning.exact[outcome], headId, technique));
  const message = messageOf(learning.days, headId, technique);
  const { variance, quantiles } = gridSummary(message);
  return of(quantiles[1]!, variance, quantiles[0]!, quantiles[2]!, nextOfGrid(message, set));
}

/** Doubt about an outcome of the next set before anything is learnt, and with what is. */
function shiftOf(learning: Learning, outcome: LearntOutcome, known: Known): LearntShift {
  const { stylist, head, technique, set } = learning.spreads[outcome];
  // What is asked of a drying rate is the head's own: how days differ is in the draws already.
  const everySet = outcome === 'dryingRate' ? 0 : set * set;
  const before = stylist ** 2 + head ** 2 + technique ** 2 + everySet;
  const now = known.sd ** 2 + everySet;
  return {
    shift: known.shift,
    spread: Math.sqrt(now / before),
    sets: known.sets,
    worth: known.worth,
    ...(learning.isFitted[outcome] ? { sd: Math.sqrt(now) } : {}),
  };
}

/** Who set a head last; empty where nobody said. */
export const lastStylist = (sets: readonly LearntSet[]): string =>
  sets.findLast(({ seen }) => seen.install !== null)?.seen.stylist ?? '';

/**
 * What a forecast for a head takes from what was learnt.
 *
 * @param setBy whose hands will set her, by name; where nothing of hers is timed, those that set her last
 * @returns null where nothing worth saying is known
 */
export function learntOfHead(learning: Learning, headId: string, setBy: string | null = null): Learnt | null {
  const own = learning.sets.get(headId) ?? [];
  const isTimed = learning.paces.stylists.some(({ stylist }) => stylist === setBy);
  const stylist = isTimed ? setBy! : lastStylist(own);
  const outcomesOf = (technique: string): LearntOutcomes => {
    const entries = LEARNT_OUTCOMES.flatMap((outcome) => {
      const known = knownOf(learning, outcome, headId, technique, stylist);
      return known.told >= pooling.value.leastTold
        ? [[outcome, shiftOf(learning, outcome, known)] as const]
        : [];
    });
    return Object.fromEntries(entries) as LearntOutcomes;
  };
  const set = [...new Set(own.map(({ seen }) => seen.technique))];
  const techniques: Partial<Record<TechniqueId, LearntOutcomes>> = Object.fromEntries(
    set.map((technique) => [technique, outcomesOf(technique)]),
  );
  const others = outcomesOf(OTHER);
  const isEmpty = [others, ...Object.values(techniques)].every((one) => Object.keys(one).length === 0);
  return isEmpty ? null : { techniques, others };
}

/** What a figure leans on, in words. */
export function leaningWords({ worth }: Pick<Known, 'worth'>): string {
  const { startsLeaning, mostlyHers } = pooling.value;
  if (worth < startsLeaning) return 'still mostly the trade’s figure';
  return worth < mostlyHers ? 'starting to lean on her own sets' : 'mostly her own sets';
}

/** Whether a figure may be called other than usual: its 80 % interval leaves out none. */
export const isOtherThanUsual = ({ low, high }: Known): boolean => low > 0 || high < 0;
