/** What is on the hands at takedown. One row a habit (set-geometry §9; oil and bare fitted, water and cream assumed). */
export interface TakedownHands {
  readonly label: string;
  /** Said after "on the hands". */
  readonly short: string;
  readonly phrase: string;
  /** Points of frizz. */
  readonly frizz: number;
  /** Points of definition. */
  readonly definition: number;
  /** ln of the days it stays presentable. */
  readonly lnDays: number;
}

export const takedownHands = {
  oiled: { label: 'Oil on the fingertips', short: 'a little oil', phrase: 'oiled hands at takedown', frizz: -0.3, definition: 0, lnDays: 0 },
  bare: { label: 'Nothing on them', short: 'nothing', phrase: 'bare hands at takedown', frizz: 0.2, definition: 0, lnDays: 0 },
  water: { label: 'Damp with water', short: 'water', phrase: 'damp hands at takedown', frizz: 0.1, definition: -0.2, lnDays: -0.08 },
  cream: { label: 'A little cream', short: 'a little cream', phrase: 'creamed hands at takedown', frizz: -0.2, definition: -0.1, lnDays: -0.03 },
} as const satisfies Record<string, TakedownHands>; // prettier-ignore

export type TakedownHandsId = keyof typeof takedownHands;
/** Their ids, as they are offered. */
export const TAKEDOWN_HANDS_IDS = Object.keys(takedownHands) as TakedownHandsId[];
