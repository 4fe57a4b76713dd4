/**
 * How wet hair is when it is set. One row a state: effects on the set (set-geometry §7) and the start of
 * drying (drying §4). `free` is water above the saturated fibre, `left` a share of what dripping hair has to lose
 * in the room, `added` water above what the air of the room gives.
 */
export interface StartState {
  readonly label: string;
  readonly phrase: string;
  readonly retention: number;
  /** Share of the hair's own curl already straightened. */
  readonly straightened: number;
  readonly definition: number;
  readonly frizz: number;
  readonly volume: number;
  readonly lnDays: number;
  readonly doseFactor: number;
  /** Minutes a section, times the root of its thickness. */
  readonly extraMin: number;
  readonly moisture:
    | { readonly kind: 'free'; readonly regain: number }
    | { readonly kind: 'left'; readonly share: number }
    | { readonly kind: 'added'; readonly regain: number };
  /** Hair is brought to this state section by section, so that none of it dries while it waits. */
  readonly isMistedInTurn: boolean;
}

export const startStates = {
  dripping: {
    label: 'Dripping wet', phrase: 'set dripping wet', retention: 1, straightened: 0, definition: 0.5, frizz: -0.3,
    volume: -0.3, lnDays: 0, doseFactor: 0.85, extraMin: 0, moisture: { kind: 'free', regain: 1 }, isMistedInTurn: false,
  },
  wet: {
    label: 'Wet, not dripping', phrase: 'set wet', retention: 1, straightened: 0, definition: 0.4, frizz: -0.2,
    volume: -0.2, lnDays: 0, doseFactor: 0.92, extraMin: 0, moisture: { kind: 'free', regain: 0.7 }, isMistedInTurn: false,
  },
  damp: {
    label: 'Damp', phrase: 'set damp', retention: 0.98, straightened: 0.2, definition: 0.2, frizz: 0,
    volume: 0, lnDays: 0, doseFactor: 1, extraMin: 0.05, moisture: { kind: 'free', regain: 0.25 }, isMistedInTurn: false,
  },
  'nearly-dry': {
    label: '80–90 % dry', phrase: 'set nearly dry', retention: 0.95, straightened: 0.4, definition: -0.1, frizz: 0.2,
    volume: 0.2, lnDays: 0, doseFactor: 1.05, extraMin: 0.1, moisture: { kind: 'left', share: 0.1265 }, isMistedInTurn: false,
  },
  'stretched-misted': {
    label: 'Stretched, then misted', phrase: 'set on stretched, misted hair', retention: 0.9, straightened: 0.75,
    definition: -0.2, frizz: 0.1, volume: 0.8, lnDays: 0.15, doseFactor: 0.5, extraMin: -0.05,
    moisture: { kind: 'added', regain: 0.088 }, isMistedInTurn: true,
  },
  'stretched-dry': {
    label: 'Stretched and dry', phrase: 'set on stretched, dry hair', retention: 0.9, straightened: 0.75,
    definition: -0.2, frizz: 0.1, volume: 0.8, lnDays: 0.15, doseFactor: 0.5, extraMin: -0.05,
    moisture: { kind: 'added', regain: 0 }, isMistedInTurn: true,
  },
} as const satisfies Record<string, StartState>; // prettier-ignore

export type StartStateId = keyof typeof startStates;
/** Their ids, wettest first. */
export const START_STATE_IDS = Object.keys(startStates) as StartStateId[];
