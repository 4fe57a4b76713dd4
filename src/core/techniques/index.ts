import { rodSet } from './rod-set';
import type { Technique } from './technique';
import { twoStrandTwist } from './two-strand-twist';

/** Every technique that can be forecast, by id. */
export const techniques = {
  [twoStrandTwist.id]: twoStrandTwist,
  [rodSet.id]: rodSet,
} as const satisfies Record<string, Technique>;

export type TechniqueId = keyof typeof techniques;
export const TECHNIQUE_IDS = Object.keys(techniques) as TechniqueId[];

/** A technique by its id, with the shared contract's type. */
export const techniqueOf = (id: TechniqueId): Technique => techniques[id];
