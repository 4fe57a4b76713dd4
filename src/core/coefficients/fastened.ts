/** How flexible rods are closed. One row a way (common practice; figures assumed). */
export interface Fastened {
  readonly label: string;
  readonly phrase: string;
  /** More minutes a rod. */
  readonly installMin: number;
  /** × how much of the set stays. */
  readonly retention: number;
}

export const fastened = {
  root: { label: 'At the root only', phrase: 'rods bent over at the root', installMin: 0, retention: 1 },
  both: { label: 'At both ends', phrase: 'rods folded in at both ends', installMin: 0.12, retention: 1.02 },
} as const satisfies Record<string, Fastened>;

export type FastenedId = keyof typeof fastened;
/** Their ids, as they are offered. */
export const FASTENED_IDS = Object.keys(fastened) as FastenedId[];
