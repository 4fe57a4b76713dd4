import { bantuKnot } from './bantu-knot';
import { braid } from './braid';
import { braidWithRods } from './braid-with-rods';
import { combCoil } from './comb-coil';
import { doubleTwoStrandTwist } from './double-two-strand-twist';
import { fingerCoil } from './finger-coil';
import { flatTwist } from './flat-twist';
import { flexibleRodSet } from './flexible-rod-set';
import { rodSet } from './rod-set';
import { shingling } from './shingling';
import { spiralFormer } from './spiral-former';
import type { Technique } from './technique';
import { threeStrandTwist } from './three-strand-twist';
import { twoStrandTwist } from './two-strand-twist';

/** Every technique, by id, in the order shown. */
export const techniques = {
  [twoStrandTwist.id]: twoStrandTwist,
  [doubleTwoStrandTwist.id]: doubleTwoStrandTwist,
  [threeStrandTwist.id]: threeStrandTwist,
  [flatTwist.id]: flatTwist,
  [braid.id]: braid,
  [braidWithRods.id]: braidWithRods,
  [bantuKnot.id]: bantuKnot,
  [rodSet.id]: rodSet,
  [flexibleRodSet.id]: flexibleRodSet,
  [spiralFormer.id]: spiralFormer,
  [fingerCoil.id]: fingerCoil,
  [combCoil.id]: combCoil,
  [shingling.id]: shingling,
} as const satisfies Record<string, Technique>;

export type TechniqueId = keyof typeof techniques;
/** Their ids, as they are offered. */
export const TECHNIQUE_IDS = Object.keys(techniques) as TechniqueId[];

/** A technique by its id, with the shared contract's type. */
export const techniqueOf = (id: TechniqueId): Technique => techniques[id];
