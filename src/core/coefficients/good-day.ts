import { coefficients } from './coefficient';

/** When the ratings of a day say that a style is not good any more, read off the anchors of the scales. */
export const goodDay = coefficients({
  leastDefinition: [3, 'points', 2, 5, 'A', '“a few clumps, mostly ends” is not good any more; above it is'],
  mostFrizz: [8, 'points', 6, 9, 'A', '“clumps blurred” is not good any more; below it is'],
});
