import { coefficients } from './coefficient';

/**
 * How hair is drawn in the round, where the forecast does not say: for the eye, to be fitted to photographs one day.
 *
 * @source round: assumed unless marked
 */
export const round = coefficients({
  width0: [15.1, 'cm', 14, 17, 'A', 'width of the head without its hair, 56 cm round'],
  widthCurl: [0.4, 'cm', 0.2, 0.8, 'A', 'how far hair stands off the scalp beside its own curl, on either side'],
  widthPower: [1.5, '–', 1, 2, 'A', 'how the width grows with volume, of 0 to 1'],
  widthLengthCm: [25, 'cm', 15, 40, 'A', 'visible length from which more of it adds little to the width'],
  packedLoose: [0.09, 'share', 0.05, 0.15, 'A', 'share of a lock that is hair, in a clump that is all fly-away'],
  packedDefined: [0.21, 'share', 0.1, 0.4, 'A', 'what full definition adds to that'],
  lockOfCurl: [0.26, 'curls', 0.15, 0.35, 'A', 'half width of a lock at most, of the diameter of its curl'],
  clumpPower: [1.15, '–', 0.8, 1.6, 'A', 'how clumps come apart as definition goes'],
  drift: [1.2, 'rad', 0.5, 2, 'A', 'how far clumps run out of step by the tip, with no definition left'],
  frizzShare: [0.12, 'share', 0.05, 0.2, 'A', 'fine strands that leave their clump where there is no frizz'],
  frizzPerPoint: [0.075, 'share', 0.04, 0.1, 'A', 'what every point of frizz adds to that'],
  fineMm: [0.42, 'mm', 0.2, 0.6, 'A', 'width of a fine strand: several hairs that lie together'],
  lean: [0.5, '–', 0.2, 1, 'A', 'how far hair leans the way it is combed as it leaves the scalp'],
  flare: [0.16, '–', 0.05, 0.4, 'A', 'how far it hangs outwards as it falls'],
  frontKeptCm: [4.5, 'cm', 3, 7, 'A', 'how far front hair keeps the way it is combed'],
  besideFaceCm: [6.3, 'cm', 5.5, 7.5, 'A', 'from here on it hangs beside the face, from its middle'],
  shellCm2: [900, 'cm²', 700, 1200, 'A', 'room round a head for the pieces of short hair'],
  shellPerCm: [40, 'cm²/cm', 20, 60, 'A', 'what every centimetre of visible length adds to it'],
  curlFromCm: [2.2, 'cm', 1, 4, 'A', 'length in which curl comes in, past a root that lies flat'],
  hangsLoose: [0.07, 'share', 0.03, 0.15, 'A', 'how long ropes stand out from the scalp, of their length'],
  plaitShows: [0.86, 'share', 0.8, 0.92, 'A', 'length of a plait, of the hair in it'],
  tapers: [0.62, 'share', 0.4, 0.8, 'A', 'how much of the area of a rope is gone by its tip'],
  wetShrinkage: [0.45, 'share', 0.3, 0.7, 'A', 'how much of its shrinkage hair shows while it is wet'],
  ownDefinition: [4, 'of 10', 2, 6, 'A', 'definition of hair that dried as it grows'],
  ownFrizz: [4, 'of 10', 2, 7, 'A', 'its frizz'],
  ownVolume: [6, 'of 10', 4, 8, 'A', 'its volume'],
  wetDefinition: [8, 'of 10', 6, 9, 'A', 'definition of hair that is soaked'],
  wetVolume: [1, 'of 10', 0, 2, 'A', 'its volume'],
  darkWorn: [0.3, '1/cm', 0.15, 0.5, 'A', 'how quickly worn hair takes the light'],
  darkSet: [0.12, '1/cm', 0.05, 0.25, 'A', 'the same in the set'],
}); // prettier-ignore
