import { grouped } from '../grouped';
import { LEARNT_OUTCOMES, pooling, usualSpreads, type Spreads } from '../coefficients/evidence';
import { gridKnowledge } from './days-knowledge';
import { fitSpreads, SEARCH_LEVELS } from './fit-spreads';
import { daysHead, exactHead, paceSeen, tellsOf, type FittedSpreads, type LearntSet } from './learning';
import { normalCell, normalKnowledge, type NormalMessage } from './normal-knowledge';
import { paceHeads, pacesOf, type PaceSeen } from './pace';
import type { PooledHead } from './pooling';

/** How far a refit has come, 0 to 1. */
export type FitProgress = number;

const byHead = (sets: readonly LearntSet[]): LearntSet[][] => [
  ...grouped(sets, ({ headId }) => headId).values(),
];

/** What one head's sets say of a pace once what their hands add is taken off. */
function headsOfPace(heads: readonly (readonly LearntSet[])[], usual: Spreads) {
  const hands = new Map(
    pacesOf(paceHeads(paceSeen(heads.flat())), usual).stylists.map(({ stylist, mean }) => [stylist, mean]),
  );
  return (setSd: number): PooledHead<NormalMessage>[] =>
    heads.map((own) => {
      const cells = grouped(paceSeen(own), ({ technique }) => technique);
      const cellOf = (of: readonly PaceSeen[]) =>
        normalCell(
          of.map(({ stylist, value }) => ({ value: value - hands.get(stylist)! })),
          setSd,
        );
      return { periods: [new Map([...cells].map(([id, of]) => [id, cellOf(of)]))] };
    });
}

/**
 * The spreads of each outcome from a studio's own log, one step at a time: what is yielded is how far it is, so that it
 * can be shown and stopped. Outcomes that too little is known of keep the usual ones.
 *
 * @param all sets of the studio, in any order
 */
export function* fitting(all: readonly LearntSet[]): Generator<FitProgress, FittedSpreads> {
  const { fewestHeads, fewestSets, mostFitted } = pooling.value;
  const newest = [...all].sort((a, b) => b.startedAtMs - a.startedAtMs);
  const fitted: FittedSpreads = {};
  for (const [i, outcome] of LEARNT_OUTCOMES.entries()) {
    const telling = newest
      .filter((set) => tellsOf(outcome, set.seen))
      .slice(0, mostFitted)
      .reverse();
    const heads = byHead(telling);
    if (telling.length < fewestSets || heads.length < fewestHeads) continue;
    const usual = usualSpreads(outcome);
    const search =
      outcome === 'days'
        ? fitSpreads(gridKnowledge, usual, (setSd) => heads.map((own) => daysHead(setSd, own)))
        : fitSpreads(
            normalKnowledge,
            usual,
            outcome === 'pace'
              ? headsOfPace(heads, usual)
              : (setSd) => heads.map((own) => exactHead(outcome, setSd, own)),
          );
    let step = search.next();
    while (!step.done) {
      yield (i + Math.min(1, step.value.level / SEARCH_LEVELS)) / LEARNT_OUTCOMES.length;
      step = search.next();
    }
    fitted[outcome] = step.value as Spreads;
  }
  return fitted;
}

/** The same in one go. */
export function fittedSpreads(all: readonly LearntSet[]): FittedSpreads {
  const steps = fitting(all);
  let step = steps.next();
  while (!step.done) step = steps.next();
  return step.value;
}
