import { pooling, type Spreads } from '../coefficients/evidence';
import { evidenceOf, type Knowledge, type PooledHead } from './pooling';

const FITTED = ['set', 'head', 'technique'] as const;
const FIRST_STEP = 0.4;
const LAST_STEP = 0.06;

/** Steps of the search, for telling how far it is. */
export const SEARCH_LEVELS = Math.ceil(Math.log2(FIRST_STEP / LAST_STEP));

/** How far a search has come; what is yielded between two tries, so that it can be stopped there. */
export interface SearchProgress {
  readonly level: number;
  readonly tried: number;
}

/**
 * The spreads that make a studio's log likeliest, held near the usual ones: pattern search on their logarithms. The
 * spread between stylists is never fitted.
 *
 * @param headsAt what each head's sets say, if sets differed by so much from one to the next
 * @source empirical Bayes; evidence §2.3
 */
export function* fitSpreads<M>(
  by: Knowledge<M>,
  usual: Spreads,
  headsAt: (setSd: number) => readonly PooledHead<M>[],
): Generator<SearchProgress, Spreads> {
  const { setDoubt, headDoubt } = pooling.value;
  let cells = { setSd: usual.set, heads: headsAt(usual.set) };
  const score = (spreads: Spreads): number => {
    if (cells.setSd !== spreads.set) cells = { setSd: spreads.set, heads: headsAt(spreads.set) };
    const off = FITTED.reduce((sum, key) => {
      const doubt = key === 'set' ? setDoubt : headDoubt;
      return sum + (Math.log(spreads[key] / usual[key]) / doubt) ** 2;
    }, 0);
    return evidenceOf(by, spreads, cells.heads) - 0.5 * off;
  };
  let best = usual;
  let bestScore = score(usual);
  let tried = 1;
  let level = 0;
  for (let step = FIRST_STEP; step >= LAST_STEP; step /= 2, level++) {
    for (let isBetter = true; isBetter;) {
      isBetter = false;
      for (const key of FITTED) {
        for (const sign of [1, -1]) {
          const other = { ...best, [key]: best[key] * Math.exp(sign * step) };
          const otherScore = score(other);
          tried += 1;
          yield { level, tried };
          if (otherScore <= bestScore) continue;
          [best, bestScore, isBetter] = [other, otherScore, true];
          break;
        }
      }
    }
  }
  return best;
}
