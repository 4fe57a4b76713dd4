/** How hair goes into a knot: rolled as it is, or two-strand twisted first. */
export const KNOT_PREPARED = {
  rolled: { label: 'Rolled', ropeFactor: 1 },
  // Twisted rope does not pack as close (set-geometry §4).
  twisted: { label: 'Two-strand twisted first', ropeFactor: 1.12 },
} as const;
export type KnotPrepared = keyof typeof KNOT_PREPARED;
export const KNOT_PREPARED_IDS = Object.keys(KNOT_PREPARED) as KnotPrepared[];

/** A knot as it is planned. */
export interface KnotWay {
  /** Turns round the base at most; null winds all of it. What is left is twirled and tucked. */
  readonly turns: number | null;
  readonly prepared: KnotPrepared;
}

/** All of it wound, rolled. */
export const USUAL_KNOT: KnotWay = { turns: null, prepared: 'rolled' };
