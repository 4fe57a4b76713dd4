import { setShape } from '../coefficients/set-shape';
import { curveMeans, equivalentHelix, scaledHelix, twiceTwistedStrand } from './strand-curves';
import { ropeForm } from './rope-form';
import { radians } from '../units/angle';
import { defineTechnique } from './technique';
import { techniqueCoefficients } from './technique-coefficients';

const MEANS = curveMeans(twiceTwistedStrand(radians(setShape.value.doubleTwistLay)));
/** For a pair of radius 1 mm. */
const UNIT_HELIX = equivalentHelix(MEANS.curvature, MEANS.lengthRatio);

export const doubleTwoStrandTwist = defineTechnique({
  id: 'double-two-strand-twist',
  label: 'Double two-strand twist',
  noun: ['double twist', 'double twists'],
  summary:
    'Each rope is twisted on itself before the two are wound. Tighter and more coil-like than a plain twist.',
  chairLine: 'Twist each rope on itself first, then wind the two the other way, firmly, to the tip.',
  takedownLine: 'From the tip, unwind the two ropes, then let each unroll by itself.',
  styleName: 'double-twist out',
  curlName: 'curl',
  motif: 'rope',
  inSet: 'twice-twisted',
  sectionAspect: 1,
  usualPattern: 'brick',
  usualSections: 18,
  tool: null,
  rootMethods: ['plain', 'braided', 'outside-plaited', 'stretched'],
  endsMethods: ['finger-coiled', 'twisted', 'rod', 'band', 'pin'],
  coefficients: techniqueCoefficients({
    ropes: [2, 2, 2, 'P'],
    packing: [0.5, 0.4, 0.6, 'A'],
    retentionCap: [0.88, 0.75, 0.95, 'F'],
    installMin: [0.35, 0.2, 0.6, 'F'],
    installMinPerCm: [0.045, 0.02, 0.08, 'F'],
    installPower: [0.35, 0.2, 0.5, 'F'],
    takedownMin: [0.12, 0.05, 0.2, 'F'],
    takedownMinPerCm: [0.012, 0.005, 0.02, 'F'],
    medianDays: [3.7, 3, 5, 'C'],
    lnDaysSd: [0.28, 0.2, 0.4, 'F'],
    definition: [0.8, -0.2, 1.8, 'A'],
    frizz: [-0.2, -0.7, 0.3, 'A'],
    volume: [0.1, -0.5, 0.8, 'A'],
    opening: [0.014, 0, 0.05, 'F'],
    shortestCm: [6, 4, 9, 'C'],
    longestCm: [120, 60, 120, 'C'],
    tension: [0.2, 0, 1, 'A'],
  }),
  dryingShape: { kind: 'rope', packing: 0.34, axialRatio: 0.76, perimeterFactor: 1.34, rootExposure: 0.78 },
  leaveInDays: 14,
  form: ({ ropeMm }) => ropeForm(ropeMm, () => scaledHelix(UNIT_HELIX, ropeMm / 2)),
});
