import { coefficients } from './coefficient';

/** How live pace is read from the sections done so far. */
export const pace = coefficients({
  priorSections: [2, 'sections', 1, 5, 'A', 'sections before the plan counts for less than the hand'],
  sectionSd: [0.35, 'sd of ln min', 0.2, 0.5, 'A', 'one section against the next'],
  paceSd: [0.2, 'sd of ln min', 0.1, 0.3, 'A', 'a hand not yet seen today'],
});

/** Spread of ln hands-on time of a hand that is not learnt yet: about ± 20 % (set-geometry §12, assumed). */
export const UNKNOWN_HAND_LN_SD = 0.16;
