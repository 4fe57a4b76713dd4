import { grouped } from '../grouped';
import { Matrix, inverse } from 'ml-matrix';
import type { Spreads } from '../coefficients/evidence';
import { normalKnowledge, type NormalMessage } from './normal-knowledge';

/** One set's ln time over the trade's, who set it and on whom. */
export interface PaceSeen {
  readonly headId: string;
  readonly technique: string;
  /** Empty where nobody said. */
  readonly stylist: string;
  readonly value: number;
}

/** A stylist's own pace, whatever head it is: ln time over the trade's. */
export interface StylistPace {
  readonly stylist: string;
  readonly mean: number;
  readonly variance: number;
  readonly sets: number;
}

/** Middle and variance of a number. */
export interface Middle {
  readonly mean: number;
  readonly variance: number;
}

/** What is known of the pace of stylists and heads. */
export interface Paces {
  readonly stylists: readonly StylistPace[];
  /** Pace of a stylist on a head; of a technique new to her where it is. */
  readonly on: (headId: string, technique: string | null, stylist: string) => Middle;
  /** What a head herself adds, whoever sets her. */
  readonly ofHead: (headId: string) => Middle;
}

/** How often one hand set one technique on a head, and what its paces come to. */
interface Tally {
  readonly sets: number;
  readonly sum: number;
}

/** Sets of one head by technique and hand: all that a pace is worked out from. */
export type PaceCells = ReadonlyMap<string, ReadonlyMap<string, Tally>>;

/** The tallies of one head's sets. */
export const paceCells = (seen: readonly PaceSeen[]): PaceCells =>
  new Map(
    [...grouped(seen, ({ technique }) => technique)].map(([technique, own]) => [
      technique,
      new Map(
        [...grouped(own, ({ stylist }) => stylist)].map(([stylist, by]) => [
          stylist,
          { sets: by.length, sum: by.reduce((sum, { value }) => sum + value, 0) },
        ]),
      ),
    ]),
  );

/** The tallies of all heads, by head. */
export const paceHeads = (seen: readonly PaceSeen[]): Map<string, PaceCells> =>
  new Map([...grouped(seen, ({ headId }) => headId)].map(([id, own]) => [id, paceCells(own)]));

/** A number that each set has, summed over the sets of one hand: its pace, or 1 where it is a certain hand's. */
type Summed = (hand: string, tally: Tally) => number;
const value: Summed = (_, { sum }) => sum;
const isBy =
  (name: string): Summed =>
  (hand, { sets }) =>
    hand === name ? sets : 0;

const total = (cell: ReadonlyMap<string, Tally>, of: Summed): number =>
  [...cell].reduce((sum, [hand, tally]) => sum + of(hand, tally), 0);
const setsIn = (cell: ReadonlyMap<string, Tally>): number => total(cell, (_, { sets }) => sets);

/** Product of whose hand it was with another number over one head, under its covariance, from sums within its cells. */
function form(cells: PaceCells, spreads: Spreads, name: string, other: Summed): number {
  const s2 = spreads.set ** 2;
  const c2 = spreads.technique ** 2;
  let [both, hers, others, ones] = [0, 0, 0, 0];
  for (const cell of cells.values()) {
    const n = setsIn(cell);
    const mine = cell.get(name);
    const [sx, sz] = [mine?.sets ?? 0, total(cell, other)];
    both += (mine ? other(name, mine) : 0) / s2 - (c2 / (s2 * (s2 + n * c2))) * sx * sz;
    const within = 1 / (s2 + n * c2);
    hers += within * sx;
    others += within * sz;
    ones += within * n;
  }
  const h2 = spreads.head ** 2;
  return both - (h2 / (1 + h2 * ones)) * hers * others;
}

/** What a head's sets say of her and of one technique on her, if they were these numbers and the stylist none. */
function onHead(cells: PaceCells, spreads: Spreads, technique: string | null, of: Summed) {
  const { both, wider, without } = normalKnowledge;
  const said = new Map(
    [...cells].map(([id, cell]): [string, NormalMessage] => {
      const n = setsIn(cell);
      return [id, { mean: total(cell, of) / n, variance: spreads.set ** 2 / n, ln: 0 }];
    }),
  );
  let head: NormalMessage = { mean: 0, variance: spreads.head ** 2, ln: 0 };
  for (const cell of said.values()) head = both(head, wider(cell, spreads.technique));
  const own = technique === null ? undefined : said.get(technique);
  const cell = own
    ? both(wider(without(head, wider(own, spreads.technique)), spreads.technique), own)
    : wider(head, spreads.technique);
  return { head, cell };
}

/**
 * Pace of stylists and of heads told apart: what a hand adds on every head, and what a head adds under every hand.
 *
 * @source crossed random effects, exact under the normal model: stylists by generalised least squares, heads given them
 */
export function pacesOf(heads: ReadonlyMap<string, PaceCells>, spreads: Spreads): Paces {
  const setsBy = new Map<string, number>();
  for (const cells of heads.values())
    for (const cell of cells.values())
      for (const [hand, { sets }] of cell) setsBy.set(hand, (setsBy.get(hand) ?? 0) + sets);
  const names = [...setsBy.keys()].sort();
  const precision = Matrix.diag(names.map(() => 1 / spreads.stylist ** 2));
  const right = names.map(() => 0);
  for (const cells of heads.values()) {
    names.forEach((name, i) => {
      right[i]! += form(cells, spreads, name, value);
      names.forEach((other, j) =>
        precision.set(i, j, precision.get(i, j) + form(cells, spreads, name, isBy(other))),
      );
    });
  }
  const covariance = names.length > 0 ? inverse(precision) : Matrix.zeros(0, 0);
  const means = names.length > 0 ? covariance.mmul(Matrix.columnVector(right)).to1DArray() : [];

  /** Of a number that is the hand's own pace, where one is given, and a part of the head's. */
  const combined = (
    headId: string,
    stylist: string | null,
    pick: (one: ReturnType<typeof onHead>) => NormalMessage,
    technique: string | null,
  ): Middle => {
    const cells: PaceCells = heads.get(headId) ?? new Map();
    const { mean, variance } = pick(onHead(cells, spreads, technique, value));
    const hand = stylist === null ? -1 : names.indexOf(stylist);
    const weights = names.map(
      (name, i) => (i === hand ? 1 : 0) - pick(onHead(cells, spreads, technique, isBy(name))).mean,
    );
    const row = Matrix.rowVector(weights);
    const fromHands = names.length === 0 ? 0 : row.mmul(covariance).mmul(row.transpose()).get(0, 0);
    // A hand that was never seen is anybody's.
    const unknownHand = stylist !== null && hand < 0 ? spreads.stylist ** 2 : 0;
    return {
      mean: mean + weights.reduce((sum, weight, i) => sum + weight * means[i]!, 0),
      variance: variance + fromHands + unknownHand,
    };
  };
  return {
    stylists: names.map((stylist, i) => ({
      stylist,
      mean: means[i]!,
      variance: covariance.get(i, i),
      sets: setsBy.get(stylist)!,
    })),
    on: (headId, technique, stylist) => combined(headId, stylist, ({ cell }) => cell, technique),
    ofHead: (headId) => combined(headId, null, ({ head }) => head, null),
  };
}
