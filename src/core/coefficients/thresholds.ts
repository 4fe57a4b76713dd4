import { coefficients } from './coefficient';

/** From where on something is said (common practice, or assumed): cautions, the shelf, the parting. */
export const thresholds = coefficients({
  hotAirC: [50, '°C', 45, 60, 'C', 'air that wants a heat protectant and a hand that tests it'],
  longestHotH: [3, 'h', 2, 4, 'C', 'longest that a client is kept under hot air'],
  longestDampCoveredH: [
    24,
    'h',
    16,
    30,
    'C',
    'damp hair that is covered longer than this, or again after it, can sour',
  ],
  leaveInDays: [3, 'days', 2, 7, 'C', 'a set may stay in once it is dry, where its technique says nothing'],
  fineUm: [60, 'µm', 55, 65, 'C', 'strands up to this are fine'],
  heavyWeight: [4, 'of 5', 3, 5, 'C', 'products from this on weigh hair down'],
  allButStraight: [0.85, 'share', 0.8, 0.95, 'A', 'stretch from which nobody would call it a curl'],
  sameCurl: [1.35, '×', 1.2, 1.5, 'C', 'a neighbouring rod gives the curl that was wanted up to this factor'],
  smallSection: [0.6, 'share', 0.5, 0.7, 'C', 'of the mean below which a section looks odd'],
  knotSlack: [0.1, '–', 0.05, 0.15, 'A', 'slack at the base of a knot below which it is watched'],
  highKnotMm: [32, 'mm', 25, 40, 'A', 'height from which a knot presses asleep'],
  closeKnot: [1.1, '×', 1, 1.2, 'A', 'width of a knot over its section from which it is watched'],
  crowdedKnot: [1.3, '×', 1.2, 1.5, 'A', 'and from which it pulls at its base'],
  shortHairCm: [8, 'cm', 6, 10, 'C', 'hair shorter than this is set by its length before anything else'],
  longSection: [3, '–', 2.5, 4, 'C', 'long over short side above which a section looks odd'],
});
