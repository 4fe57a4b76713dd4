import type { FactId } from '../facts';
import type { FeatureId } from '../features';
import type { Axis } from '../way';

/** `safety` is kept whatever else is wanted; a `condition` halves traits that speak against it. */
export type RuleRank = 'safety' | 'condition' | 'trait';

/** More or fewer sections than is usual on a head this dense: e^(.12 · points). */
export type CountEffect = 'more' | 'fewer';
/** What is done only where a rule says so. */
export type PrepEffect = 'deep-condition';

/** One row: what a fact favours (above 0), speaks against (below 0), or rules out, in one choice. */
export interface Rule {
  readonly id: string;
  readonly axis: Axis;
  readonly fact: FactId;
  readonly rank: RuleRank;
  /** 2 strong, 1 usual, ½ leaning. */
  readonly effects: Partial<Readonly<Record<FeatureId | CountEffect | PrepEffect, number>>>;
  /** What may not be at all. */
  readonly out?: readonly FeatureId[];
  /** One sentence in a colleague's words. All of it is common practice. */
  readonly text: string;
}

type Told = Omit<Rule, 'fact' | 'rank' | 'id' | 'axis'>;

/** The rows of one fact, one for each choice it bears on. */
export const rulesOf = (fact: FactId, rank: RuleRank, rows: Partial<Readonly<Record<Axis, Told>>>): Rule[] =>
  (Object.keys(rows) as Axis[]).map((axis) => ({ id: `${fact}/${axis}`, axis, fact, rank, ...rows[axis]! }));
