import { USUAL_HEAD } from '../formats/ranges';
import type { Head, Knowable } from '../hair/head';
import { perZone } from '../hair/zone';
import { meanLengthCm } from './facts';
import { ask, contextOf, timesOf, type Wish } from './ask';
import { alternatives, bestAmong } from './alternatives';
import { scoreParts } from './score';
import { Search, type Pick } from './search';
import { WANTS } from '../coefficients/wants';

/** What a field is on heads that are far from the usual: one in seven lies below, one in seven above (common practice). */
const EXTREMES: { readonly [K in Knowable]: (head: Head) => readonly [Partial<Head>, Partial<Head>] } = {
  strandDiameterUm: () => [{ strandDiameterUm: 56 }, { strandDiameterUm: 86 }],
  densityPerCm2: () => [{ densityPerCm2: 130 }, { densityPerCm2: 208 }],
  porosity: () => [{ porosity: 'low' }, { porosity: 'high' }],
  naturalCoilDiameterMm: () => [{ naturalCoilDiameterMm: 4.5 }, { naturalCoilDiameterMm: 14 }],
  shrinkage: () => [{ shrinkage: 0.35 }, { shrinkage: 0.7 }],
  circumferenceCm: () => [{ circumferenceCm: 54 }, { circumferenceCm: 58 }],
  stretchedLengthCm: (head) => {
    const factor = (cm: number) => cm / meanLengthCm(head);
    const scaled = (cm: number) => ({
      stretchedLengthCm: perZone((zone) => head.stretchedLengthCm[zone] * factor(cm)),
    });
    return [scaled(USUAL_HEAD.stretchedLengthCm * 0.6), scaled(USUAL_HEAD.stretchedLengthCm * 1.6)];
  },
};

/** A head whose field is at either end of what is common: what not knowing it may mean. */
export const extremesOf = (field: Knowable, head: Head): readonly [Head, Head] => {
  const [low, high] = EXTREMES[field](head);
  return [
    { ...head, ...low },
    { ...head, ...high },
  ];
};

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
