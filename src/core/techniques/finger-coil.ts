import { coilForm } from './coil-form';
import { defineTechnique } from './technique';
import { techniqueCoefficients } from './technique-coefficients';

export const fingerCoil = defineTechnique({
  id: 'finger-coil',
  label: 'Finger coils',
  noun: ['coil', 'coils'],
  summary:
    'Small sections twirled round a finger from root to tip. Near the hair’s own size; longest to put in, longest to last.',
  chairLine: 'Smooth product through, then twirl from the root round a finger to the tip and let it hang.',
  takedownLine: null,
  styleName: 'finger coils',
  curlName: 'curl',
  motif: 'coil',
  sectionAspect: 1,
  usualPattern: 'brick',
  usualSections: 100,
  tool: null,
  rootMethods: ['plain', 'stretched'],
  endsMethods: ['twisted', 'finger-coiled', 'pasted'],
  coefficients: techniqueCoefficients({
    ropes: [1, 1, 1, 'P'],
    packing: [0.5, 0.35, 0.6, 'A'],
    retentionCap: [0.95, 0.85, 0.99, 'F'],
    installMin: [0.6, 0.3, 1, 'F'],
    installMinPerCm: [0.015, 0.005, 0.03, 'F'],
    installPower: [0.25, 0.1, 0.4, 'F'],
    takedownMin: [0.02, 0, 0.1, 'F'],
    takedownMinPerCm: [0.001, 0, 0.01, 'F'],
    medianDays: [14, 7, 21, 'C'],
    lnDaysSd: [0.44, 0.3, 0.6, 'F'],
    definition: [2, 1, 3, 'A'],
    frizz: [-0.9, -1.5, -0.3, 'A'],
    volume: [-0.8, -1.5, 0, 'A'],
    opening: [0.035, 0, 0.1, 'F'],
    shortestCm: [4, 3, 6, 'C'],
    longestCm: [60, 40, 80, 'C'],
    tension: [0, 0, 1, 'A'],
  }),
  dryingShape: { kind: 'rope', packing: 0.32, axialRatio: 0.6, perimeterFactor: 1.1, rootExposure: 0.78 },
  needsWet: true,
  form: (hair) => coilForm(hair, 1.2),
});
