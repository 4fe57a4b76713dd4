/** Why a style was given up. `ended` says whether it ended by itself; otherwise it was cut short. */
export interface EndReason {
  readonly label: string;
  readonly ended: boolean;
}

/** One row a reason. What ended by itself counts as a failure of the style; what was cut short is right-censored. */
export const endReasons = {
  frizz: { label: 'Too frizzy', ended: true },
  'lost-shape': { label: 'Lost its shape', ended: true },
  limp: { label: 'Went limp', ended: true },
  dull: { label: 'Dull or dirty', ended: true },
  disliked: { label: 'Not liked any more', ended: true },
  sore: { label: 'Sore or itchy scalp', ended: true },
  'got-wet': { label: 'Got wet or sweated out', ended: false },
  booking: { label: 'Taken down for a booking', ended: false },
  'wash-day': { label: 'Wash day, still good', ended: false },
  'change-of-mind': { label: 'Change of mind, still good', ended: false },
} as const satisfies Record<string, EndReason>; // prettier-ignore

export type EndReasonId = keyof typeof endReasons;
/** Their ids, as they are offered. */
export const END_REASON_IDS = Object.keys(endReasons) as EndReasonId[];
