/** How tightly a stylist works. One row a hand: what it does to how closely hair lies (set-geometry §3; assumed). */
export interface Hand {
  readonly label: string;
  readonly phrase: string;
  /** × the packing of a rope, a knot or hair on a rod. */
  readonly packing: number;
}

export const hands = {
  loose: { label: 'Loose', phrase: 'a loose hand', packing: 0.8 },
  usual: { label: 'As most', phrase: 'a hand like most', packing: 1 },
  firm: { label: 'Firm', phrase: 'a firm hand', packing: 1.2 },
} as const satisfies Record<string, Hand>;

export type HandId = keyof typeof hands;
/** Their ids, as they are offered. */
export const HAND_IDS = Object.keys(hands) as HandId[];
