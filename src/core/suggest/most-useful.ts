import type { Knowable } from '../hair/head';
import { extremesOf } from '../hair/unknown';
import { ask, contextOf, timesOf, type Wish } from './ask';
import { alternatives, bestAmong } from './alternatives';
import { scoreParts } from './score';
import { Search, type Pick } from './search';
import { WANTS } from '../coefficients/wants';

/** How much would be gained by measuring one thing. */
export interface Usefulness {
  readonly field: Knowable;
  /** How far what is weighed may be off, and what better layers would bring: in points of the score. */
  readonly worth: number;
  /** Days that the draft lasts at either end. */
  readonly days: readonly [number, number];
  /** Chance that it is dry at either end; null where no time is set. */
  readonly chance: readonly [number, number] | null;
}

/** Which unknown measurements would change most about a draft, the most useful first. */
export function usefulToMeasure(wish: Wish, draft: Pick): Usefulness[] {
  const { head } = wish.base;
  const context = contextOf(wish.base);
  return head.notKnown
    .map((field): Usefulness => {
      const ends = extremesOf(field, head).map((other) => {
        const search = new Search(ask(wish, { ...context, head: other }), timesOf(wish.base));
        const node = search.ways.weigh(draft.way);
        const same = node && search.pick(node);
        const best = bestAmong(alternatives('layers', draft.way, search), search);
        return { same, gain: best && same ? Math.max(0, best.score - same.score) : 0, search };
      });
      const off = ends.map(({ same, search, gain }) => {
        if (!same) return 1;
        const { weighing } = search.asked;
        const [was, now] = [scoreParts(draft.weighed, weighing), scoreParts(same.weighed, weighing)];
        return (
          WANTS.reduce((sum, want) => sum + Math.abs(now[want] - was[want]), Math.abs(now.sure - was.sure)) +
          gain
        );
      });
      const of = (value: (pick: Pick) => number): readonly [number, number] => {
        const found = ends.flatMap(({ same }) => (same ? [value(same)] : []));
        return [Math.min(...found, value(draft)), Math.max(...found, value(draft))];
      };
      return {
        field,
        worth: (off[0]! + off[1]!) / 2,
        days: of(({ weighed }) => weighed.days),
        chance: draft.weighed.chance === null ? null : of(({ weighed }) => weighed.chance ?? 0),
      };
    })
    .sort((a, b) => b.worth - a.worth);
}
