import { coilForm } from './coil-form';
import { fingerCoil } from './finger-coil';
import { defineTechnique } from './technique';
import { techniqueCoefficients } from './technique-coefficients';

export const combCoil = defineTechnique({
  id: 'comb-coil',
  label: 'Comb coils',
  noun: ['coil', 'coils'],
  summary: 'Short hair turned into small ringlets with a comb or a brush. The set for a few centimetres.',
  chairLine:
    'Set the comb at the root, turn it and draw it out to the tip in one go; leave the coil to hang.',
  takedownLine: null,
  styleName: 'comb coils',
  curlName: 'curl',
  motif: 'coil',
  inSet: 'coil',
  sectionAspect: 1,
  usualPattern: 'brick',
  usualSections: 120,
  tool: null,
  rootMethods: ['plain'],
  endsMethods: ['twisted', 'finger-coiled'],
  coefficients: techniqueCoefficients({
    ropes: [1, 1, 1, 'P'],
    packing: [0.5, 0.35, 0.6, 'A'],
    retentionCap: [0.94, 0.85, 0.99, 'F'],
    installMin: [0.35, 0.2, 0.6, 'F'],
    installMinPerCm: [0.012, 0.005, 0.03, 'F'],
    installPower: [0.25, 0.1, 0.4, 'F'],
    takedownMin: [0.02, 0, 0.1, 'F'],
    takedownMinPerCm: [0.001, 0, 0.01, 'F'],
    medianDays: [8, 5, 14, 'C'],
    lnDaysSd: [0.4, 0.3, 0.6, 'F'],
    definition: [1.8, 0.8, 2.8, 'A'],
    frizz: [-0.7, -1.3, -0.1, 'A'],
    volume: [-0.7, -1.4, 0, 'A'],
    opening: [0.035, 0, 0.1, 'F'],
    shortestCm: [1.5, 1, 3, 'C'],
    longestCm: [15, 10, 20, 'C'],
    tension: [0.1, 0, 1, 'A'],
  }),
  dryingShape: fingerCoil.dryingShape,
  needsWet: true,
  form: (hair) => coilForm(hair, 1.2),
});
