import type { Spreads } from '../coefficients/evidence';

/**
 * How what is known of one number is written down and worked with: as a normal curve, or point by point. Scale factors
 * are carried along, so that the same walk gives posteriors and evidence.
 */
export interface Knowledge<M> {
  /** Nothing is known. */
  readonly none: M;
  /** Two independent messages about one number. */
  readonly both: (a: M, b: M) => M;
  /** A message taken out again of one that it went into. */
  readonly without: (all: M, one: M) => M;
  /** The same about a number that lies off by a normal error. */
  readonly wider: (message: M, sd: number) => M;
  /** A number that is 0 but for a normal error. */
  readonly aboutZero: (sd: number) => M;
  /** ln of how likely the data are that a message stands for, under a prior about 0. */
  readonly evidence: (message: M, sd: number) => number;
}

/** What sets of each technique say of a head, from one cut, colour or heat to the next. */
export type Period<M> = ReadonlyMap<string, M>;

/** One head's sets: what they say, period by period, oldest first. */
export interface PooledHead<M> {
  readonly periods: readonly Period<M>[];
}

/** A head once its messages are gathered. */
export interface Gathered<M> {
  readonly periods: readonly { readonly cells: Period<M>; readonly like: M; readonly upwards: M }[];
  /** What all of it says of the stylist's usual. */
  readonly message: M;
}

/** What is known of a head after everybody was heard. */
export interface KnownHead<M> {
  /** Of the newest period. */
  readonly head: M;
  /** Of each technique that was set in that period. */
  readonly cells: ReadonlyMap<string, M>;
}

/** Gathers what a head's sets say, from its techniques up. */
export function gathered<M>(by: Knowledge<M>, spreads: Spreads, { periods }: PooledHead<M>): Gathered<M> {
  const out: { cells: Period<M>; like: M; upwards: M }[] = [];
  let later: M | null = null;
  for (const cells of [...periods].reverse()) {
    let like = by.none;
    for (const cell of cells.values()) like = by.both(like, by.wider(cell, spreads.technique));
    if (later !== null) like = by.both(like, later);
    const upwards: M = by.wider(like, spreads.head);
    out.unshift({ cells, like, upwards });
    later = upwards;
  }
  return { periods: out, message: later ?? by.none };
}

/** What all heads together say of the stylist's usual. */
export const rootOf = <M>(by: Knowledge<M>, spreads: Spreads, messages: Iterable<M>): M => {
  let root = by.aboutZero(spreads.stylist);
  for (const message of messages) root = by.both(root, message);
  return root;
};

/** What is known of one head, from the root down. */
export function knownHead<M>(by: Knowledge<M>, spreads: Spreads, root: M, own: Gathered<M>): KnownHead<M> {
  let above = by.without(root, own.message);
  let head: M = by.wider(above, spreads.head);
  let cells: ReadonlyMap<string, M> = new Map();
  own.periods.forEach((period, i) => {
    head = by.both(by.wider(above, spreads.head), period.like);
    cells = period.cells;
    const next = own.periods[i + 1];
    if (next) above = by.without(head, next.upwards);
  });
  return {
    head,
    cells: new Map(
      [...cells].map(([technique, like]) => {
        const rest = by.without(head, by.wider(like, spreads.technique));
        return [technique, by.both(by.wider(rest, spreads.technique), like)];
      }),
    ),
  };
}

/** What is expected of a technique on a head that never had it, or on a head that was never set. */
export const unseen = <M>(by: Knowledge<M>, spreads: Spreads, { head }: Pick<KnownHead<M>, 'head'>): M =>
  by.wider(head, spreads.technique);
export const unseenHead = <M>(by: Knowledge<M>, spreads: Spreads, root: M): M =>
  by.wider(root, Math.hypot(spreads.head, spreads.technique));

/** ln of how likely all that was seen is, under these spreads. */
export function evidenceOf<M>(by: Knowledge<M>, spreads: Spreads, heads: Iterable<PooledHead<M>>): number {
  let all = by.none;
  for (const head of heads) all = by.both(all, gathered(by, spreads, head).message);
  return by.evidence(all, spreads.stylist);
}
