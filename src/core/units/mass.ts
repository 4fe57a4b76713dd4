/** Exact by definition (international avoirdupois ounce). */
export const GRAMS_PER_OUNCE = 28.349523125;

/** Ounces from grams. */
export const ouncesFromGrams = (grams: number): number => grams / GRAMS_PER_OUNCE;

/** Grams from ounces. */
export const gramsFromOunces = (ounces: number): number => ounces * GRAMS_PER_OUNCE;
