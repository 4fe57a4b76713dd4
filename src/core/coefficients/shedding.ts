import { coefficients } from './coefficient';

/** Hair that falls by itself (published, quoted from memory: dermatology handbooks). What fell while a set was in comes out at once. */
export const shedding = coefficients({
  fewestADay: [50, 'hairs/day', 30, 60, 'M', 'fall of a healthy scalp, low'],
  mostADay: [100, 'hairs/day', 80, 150, 'M', 'fall of a healthy scalp, high'],
});
