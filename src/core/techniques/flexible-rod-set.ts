import { fitRod } from './rod-fit';
import { defineTechnique, toolOrThrow } from './technique';
import { techniqueCoefficients } from './technique-coefficients';
import { toolKinds } from './tool-kind';
import { woundForm } from './wound-form';

export const flexibleRodSet = defineTechnique({
  id: 'flexible-rod-set',
  label: 'Flexible rod set',
  noun: ['rod', 'rods'],
  summary: 'Hair wound on bendable foam rods. Sleek ringlets, softer to sleep on than rigid rods.',
  chairLine:
    'Comb smooth, start at the ends, wind with a finger’s gap, and bend the rod over at the root only.',
  takedownLine: 'Straighten the rod, then unwind it from the end that was closed last.',
  styleName: 'flexible rod set',
  curlName: 'curl',
  motif: 'rod',
  inSet: 'bent-rod',
  sectionAspect: 1.5,
  usualPattern: 'brick',
  usualSections: 30,
  tool: 'flexible-rod',
  bends: true,
  rootMethods: ['plain', 'stretched'],
  endsMethods: ['pasted', 'tucked'],
  coefficients: techniqueCoefficients({
    ropes: [1, 1, 1, 'P'],
    packing: [0.5, 0.35, 0.6, 'A'],
    retentionCap: [0.92, 0.85, 0.98, 'F'],
    // Combed and laid as on rigid rods, without the closing at the root.
    installMin: [1.6, 0.8, 2.5, 'A'],
    installMinPerCm: [0.06, 0.01, 0.1, 'A'],
    installPower: [0.8, 0.2, 1, 'A'],
    takedownMin: [0.2, 0.1, 0.4, 'F'],
    takedownMinPerCm: [0.008, 0.004, 0.02, 'F'],
    medianDays: [6.2, 4, 8, 'C'],
    lnDaysSd: [0.26, 0.15, 0.35, 'F'],
    definition: [1.4, 0.4, 2.4, 'A'],
    frizz: [-0.5, -1.1, 0.1, 'A'],
    volume: [0.2, -0.5, 1, 'A'],
    opening: [0.75, 0.4, 1.1, 'F'],
    shortestCm: [5, 3, 8, 'C'],
    longestCm: [120, 60, 120, 'C'],
    tension: [0.2, 0, 1, 'A'],
  }),
  dryingShape: { kind: 'layer', packing: 0.3, rootExposure: 0.37, lengthExposure: 0.9 },
  form: (hair, rod) =>
    woundForm(fitRod(hair, toolOrThrow(rod, 'a flexible rod set'), toolKinds['flexible-rod'].gap)),
});
