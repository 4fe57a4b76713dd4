import { shedding } from '../coefficients/shedding';

/** Hairs to expect at a takedown after so many days in a set: most of what fell meanwhile comes out at once. */
export const shedAfter = (days: number): { readonly low: number; readonly high: number } => ({
  low: Math.round(days * shedding.value.fewestADay),
  high: Math.round(days * shedding.value.mostADay),
});

/** A set that was in for fewer days holds no more than a comb does. */
export const SHED_FROM_DAYS = 3;

/** Who is asked where it is more. */
export const SHED_CAUTION = 'Much more than that for weeks, or bare patches: show it to a dermatologist.';
