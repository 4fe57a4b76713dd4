/** Why a style was given up. */
export interface EndReason {
  readonly label: string;
  /** Whether it ended by itself; otherwise it was cut short. */
  readonly ended: boolean;
  /** Whether it is asked if it would have gone another day: what began to fail is taken down sooner too. */
  readonly asks: boolean;
}

/** One row a reason. What ended by itself counts as a failure of the style; what was cut short is right-censored. */
export const endReasons = {
  frizz: { label: 'Too frizzy', ended: true, asks: false },
  'lost-shape': { label: 'Lost its shape', ended: true, asks: false },
  limp: { label: 'Went limp', ended: true, asks: false },
  dull: { label: 'Dull or dirty', ended: true, asks: false },
  disliked: { label: 'Not liked any more', ended: true, asks: false },
  sore: { label: 'Sore or itchy scalp', ended: true, asks: false },
  'got-wet': { label: 'Got wet or sweated out', ended: false, asks: false },
  booking: { label: 'Taken down for a booking', ended: false, asks: true },
  'wash-day': { label: 'Planned wash day', ended: false, asks: true },
  'change-of-mind': { label: 'Change of mind', ended: false, asks: true },
  unknown: { label: 'Nobody said why', ended: false, asks: false },
} as const satisfies Record<string, EndReason>;

export type EndReasonId = keyof typeof endReasons;
/** Their ids. */
export const END_REASON_IDS = Object.keys(endReasons) as EndReasonId[];
/** Those that are offered to who knows. */
export const OFFERED_REASONS = END_REASON_IDS.filter((id) => id !== 'unknown');

/**
 * Whether a style ended by itself, for what its days tell about it. Taken down while still good it is cut short, unless
 * it would not have gone another day.
 */
export const hasEnded = (reason: string, wouldHaveGoneOn: boolean | null): boolean => {
  const known = END_REASON_IDS.find((id) => id === reason) ?? 'unknown';
  return endReasons[known].ended || (endReasons[known].asks && wouldHaveGoneOn === false);
};
