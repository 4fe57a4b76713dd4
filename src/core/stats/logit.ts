/** A correction of chances, on the scale of their logits. */
export interface ChanceCorrection {
  readonly shift: number;
  readonly slope: number;
}

/** Nearer to never or always is taken as this: nothing is corrected into certainty. */
export const LEAST_CHANCE = 0.005;

/** Log odds of a chance. */
export function logit(chance: number): number {
  const held = Math.min(1 - LEAST_CHANCE, Math.max(LEAST_CHANCE, chance));
  return Math.log(held / (1 - held));
}

/** Chance of log odds. */
export const expit = (x: number): number => 1 / (1 + Math.exp(-x));

/** A chance as it is told once it is corrected. */
export const correctedChance = ({ shift, slope }: ChanceCorrection, chance: number): number =>
  expit(shift + slope * logit(chance));
