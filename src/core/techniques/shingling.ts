import { coilForm } from './coil-form';
import { defineTechnique } from './technique';
import { techniqueCoefficients } from './technique-coefficients';

export const shingling = defineTechnique({
  id: 'shingling',
  label: 'Shingling',
  noun: ['slice', 'slices'],
  summary:
    'Product smoothed through fine slices and wound in by hand. The hair’s own coils, separated; for the longer top of a short cut.',
  chairLine: 'Smooth product through a fine slice from root to tip and wind it the way it wants to curl.',
  takedownLine: null,
  styleName: 'shingled coils',
  curlName: 'curl',
  motif: 'coil',
  sectionAspect: 2,
  usualPattern: 'rows',
  usualSections: 60,
  tool: null,
  rootMethods: ['plain'],
  endsMethods: ['twisted', 'finger-coiled'],
  coefficients: techniqueCoefficients({
    ropes: [1, 1, 1, 'P'],
    packing: [0.45, 0.35, 0.6, 'A'],
    retentionCap: [0.9, 0.8, 0.97, 'F'],
    installMin: [0.3, 0.15, 0.6, 'F'],
    installMinPerCm: [0.02, 0.01, 0.04, 'F'],
    installPower: [0.3, 0.1, 0.5, 'F'],
    takedownMin: [0, 0, 0, 'A'],
    takedownMinPerCm: [0, 0, 0, 'A'],
    medianDays: [4.5, 3, 7, 'C'],
    lnDaysSd: [0.35, 0.2, 0.5, 'F'],
    definition: [1.2, 0.2, 2.2, 'A'],
    frizz: [-0.3, -0.9, 0.3, 'A'],
    volume: [-0.2, -0.9, 0.5, 'A'],
    opening: [0.03, 0, 0.1, 'F'],
    shortestCm: [3, 2, 5, 'C'],
    longestCm: [40, 25, 60, 'C'],
    tension: [0, 0, 1, 'A'],
  }),
  dryingShape: { kind: 'rope', packing: 0.28, axialRatio: 0.6, perimeterFactor: 1.2, rootExposure: 0.78 },
  needsWet: true,
  form: (hair) => coilForm(hair, 0.7),
});
