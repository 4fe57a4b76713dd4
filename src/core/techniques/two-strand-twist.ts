import { setShape } from '../coefficients/set-shape';
import { helixFromLay } from '../curl/helix';
import { ropeForm } from './rope-form';
import { radians } from '../units/angle';
import { defineTechnique } from './technique';
import { techniqueCoefficients } from './technique-coefficients';

export const twoStrandTwist = defineTechnique({
  id: 'two-strand-twist',
  label: 'Two-strand twist',
  noun: ['twist', 'twists'],
  summary: 'Two equal ropes wound round each other. Soft spiral, the quickest set to put in.',
  chairLine: 'Two equal ropes, wound firmly and kept apart to the tip.',
  takedownLine: 'From the tip, unwind each twist against its turn; pull nothing through.',
  styleName: 'twist out',
  curlName: 'curl',
  motif: 'rope',
  inSet: 'ropes',
  sectionAspect: 1,
  usualPattern: 'brick',
  usualSections: 18,
  tool: null,
  rootMethods: ['plain', 'braided', 'outside-plaited', 'stretched'],
  endsMethods: ['finger-coiled', 'twisted', 'rod', 'band', 'pin'],
  coefficients: techniqueCoefficients({
    ropes: [2, 2, 2, 'P'],
    packing: [0.45, 0.35, 0.6, 'A'],
    retentionCap: [0.86, 0.75, 0.95, 'F'],
    installMin: [0.2, 0.1, 0.4, 'F'],
    installMinPerCm: [0.027, 0.01, 0.05, 'F'],
    installPower: [0.35, 0.2, 0.5, 'F'],
    takedownMin: [0.1, 0.05, 0.2, 'F'],
    takedownMinPerCm: [0.01, 0.005, 0.02, 'F'],
    medianDays: [3.5, 3, 4, 'C'],
    lnDaysSd: [0.28, 0.2, 0.4, 'F'],
    definition: [0.5, -0.5, 1.5, 'A'],
    frizz: [0, -0.5, 0.5, 'A'],
    volume: [0.3, -0.5, 1, 'A'],
    opening: [0.06, 0, 0.2, 'F'],
    shortestCm: [5, 3, 8, 'C'],
    longestCm: [120, 60, 120, 'C'],
    tension: [0.1, 0, 1, 'A'],
  }),
  dryingShape: { kind: 'rope', packing: 0.32, axialRatio: 0.8, perimeterFactor: 1.34, rootExposure: 0.78 },
  plaitedRootShape: {
    kind: 'rope',
    packing: 0.34,
    axialRatio: 0.82,
    perimeterFactor: 1.28,
    rootExposure: 0.78,
  },
  leaveInDays: 14,
  form: ({ ropeMm }) => ropeForm(ropeMm, () => helixFromLay(ropeMm / 2, radians(setShape.value.twistLay))),
});
