import { setShape } from '../coefficients/set-shape';
import { helixFromLay } from '../curl/helix';
import { ropeForm } from './rope-form';
import { radians } from '../units/angle';
import { defineTechnique } from './technique';
import { techniqueCoefficients } from './technique-coefficients';

export const threeStrandTwist = defineTechnique({
  id: 'three-strand-twist',
  label: 'Three-strand twist',
  noun: ['three-strand twist', 'three-strand twists'],
  summary: 'Three ropes wound, not plaited. Fuller and more even than two strands, less stringy.',
  chairLine: 'Three equal ropes, each laid over the next the same way round, kept apart to the tip.',
  takedownLine: 'From the tip, lay the three ropes back one over the other.',
  styleName: 'three-strand twist out',
  curlName: 'curl',
  motif: 'rope',
  inSet: 'ropes',
  sectionAspect: 1,
  usualPattern: 'brick',
  usualSections: 18,
  tool: null,
  rootMethods: ['braided', 'plain', 'outside-plaited', 'stretched'],
  endsMethods: ['finger-coiled', 'twisted', 'rod', 'band', 'pin'],
  coefficients: techniqueCoefficients({
    ropes: [3, 3, 3, 'P'],
    packing: [0.45, 0.35, 0.6, 'A'],
    retentionCap: [0.87, 0.75, 0.95, 'F'],
    installMin: [0.35, 0.2, 0.6, 'F'],
    installMinPerCm: [0.045, 0.02, 0.08, 'F'],
    installPower: [0.35, 0.2, 0.5, 'F'],
    takedownMin: [0.12, 0.05, 0.2, 'F'],
    takedownMinPerCm: [0.013, 0.005, 0.02, 'F'],
    medianDays: [3.7, 3, 5, 'C'],
    lnDaysSd: [0.28, 0.2, 0.4, 'F'],
    definition: [0.6, -0.4, 1.6, 'A'],
    frizz: [-0.1, -0.6, 0.4, 'A'],
    volume: [0.6, 0, 1.2, 'A'],
    opening: [0.06, 0, 0.2, 'F'],
    shortestCm: [7, 5, 10, 'C'],
    longestCm: [120, 60, 120, 'C'],
    tension: [0.2, 0, 1, 'A'],
  }),
  dryingShape: { kind: 'rope', packing: 0.33, axialRatio: 0.78, perimeterFactor: 1.28, rootExposure: 0.78 },
  leaveInDays: 14,
  form: ({ ropeMm }) =>
    ropeForm(ropeMm, () => helixFromLay(ropeMm / Math.sqrt(3), radians(setShape.value.threeStrandLay))),
});
