import { coefficients } from './coefficient';

/** How live pace is read from the sections done so far. */
export const pace = coefficients({
  priorSections: [2, 'sections', 1, 5, 'A', 'sections before the plan counts for less than the hand'],
  sectionSd: [0.35, 'sd of ln min', 0.2, 0.5, 'A', 'one section against the next'],
  paceSd: [0.2, 'sd of ln min', 0.1, 0.3, 'A', 'a hand not yet seen today'],
});
