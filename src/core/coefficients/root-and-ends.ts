/**
 * How roots are started. One row a method (set-geometry §8, §10; assumed or fitted): minutes to do and undo,
 * and how long a piece stays stretched flat.
 */
export interface RootMethod {
  readonly label: string;
  readonly phrase: string;
  readonly installMin: number;
  readonly takedownMin: number;
  readonly stretchedMm: number;
  /** Visible over true length of that piece. */
  readonly stretch: number;
  readonly volume: number;
  /** Tension at the scalp worth a caution at the hairline. */
  readonly pulls: boolean;
  /** Plaited: lies for drying as a plait does. */
  readonly isPlaited: boolean;
}

export const rootMethods = {
  plain: { label: 'Plain', phrase: 'plain root', installMin: 0, takedownMin: 0, stretchedMm: 0, stretch: 0, volume: 0, pulls: false, isPlaited: false },
  braided: { label: 'Braided', phrase: 'braided root', installMin: 0.9, takedownMin: 0.4, stretchedMm: 40, stretch: 0.93, volume: -0.4, pulls: true, isPlaited: true },
  'outside-plaited': { label: 'Outside-plaited', phrase: 'outside-plaited root', installMin: 1, takedownMin: 0.45, stretchedMm: 40, stretch: 0.93, volume: -0.4, pulls: true, isPlaited: true },
  stretched: { label: 'Banded or stretched', phrase: 'stretched root', installMin: 0.4, takedownMin: 0.2, stretchedMm: 40, stretch: 0.9, volume: -0.4, pulls: true, isPlaited: false },
} as const satisfies Record<string, RootMethod>; // prettier-ignore

export type RootMethodId = keyof typeof rootMethods;

/** How ends are held. One row a method (set-geometry §9, §10). */
export interface EndsMethod {
  readonly label: string;
  readonly phrase: string;
  readonly installMin: number;
  readonly takedownMin: number;
  readonly definition: number;
}

export const endsMethods = {
  twisted: { label: 'Twisted to the tip', phrase: 'twisted to the tip', installMin: 0, takedownMin: 0, definition: -0.4 },
  'finger-coiled': { label: 'Coiled on a finger', phrase: 'coiled ends', installMin: 0.12, takedownMin: 0, definition: 0 },
  rod: { label: 'Small rod', phrase: 'ends on rods', installMin: 0.9, takedownMin: 0.1, definition: 0.35 },
  band: { label: 'Rubber band', phrase: 'ends banded', installMin: 0.2, takedownMin: 0.1, definition: 0 },
  pin: { label: 'Pin', phrase: 'ends pinned', installMin: 0.2, takedownMin: 0.1, definition: -0.1 },
  pasted: { label: 'Pasted flat', phrase: 'ends pasted flat', installMin: 0.1, takedownMin: 0, definition: 0.15 },
  tucked: { label: 'Tucked', phrase: 'ends tucked', installMin: 0, takedownMin: 0, definition: 0 },
} as const satisfies Record<string, EndsMethod>; // prettier-ignore

export type EndsMethodId = keyof typeof endsMethods;
/** Their ids, as they are offered. */
export const ROOT_METHOD_IDS = Object.keys(rootMethods) as RootMethodId[];
/** Their ids, as they are offered. */
export const ENDS_METHOD_IDS = Object.keys(endsMethods) as EndsMethodId[];
