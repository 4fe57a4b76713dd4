import { fitRod } from './rod-fit';
import { defineTechnique, toolOrThrow } from './technique';
import { techniqueCoefficients } from './technique-coefficients';
import { woundForm } from './wound-form';

export const rodSet = defineTechnique({
  id: 'rod-set',
  label: 'Rod set',
  noun: ['rod', 'rods'],
  summary: 'Hair wound edge to edge on rigid rods. Uniform ringlets of the rod’s own size.',
  chairLine: 'Comb smooth, paste the ends flat, wind edge to edge with no gaps and close across the root.',
  takedownLine: 'Open the closure and unwind towards the root; never pull a rod out.',
  styleName: 'rod set',
  curlName: 'curl',
  motif: 'rod',
  inSet: 'rod',
  sectionAspect: 1.5,
  usualPattern: 'brick',
  usualSections: 30,
  tool: 'rod',
  rootMethods: ['plain', 'stretched'],
  endsMethods: ['pasted', 'tucked'],
  coefficients: techniqueCoefficients({
    ropes: [1, 1, 1, 'P'],
    packing: [0.5, 0.35, 0.6, 'A'],
    retentionCap: [0.93, 0.85, 0.98, 'F'],
    // Every hair of the section is combed smooth and laid flat: time goes with the hair, little with the number of rods.
    installMin: [2.15, 1, 3, 'F'],
    installMinPerCm: [0.07, 0.01, 0.12, 'F'],
    installPower: [0.8, 0.2, 1, 'F'],
    takedownMin: [0.25, 0.1, 0.4, 'F'],
    takedownMinPerCm: [0.01, 0.005, 0.02, 'F'],
    medianDays: [6.8, 5, 8, 'C'],
    lnDaysSd: [0.24, 0.15, 0.35, 'F'],
    definition: [1.5, 0.5, 2.5, 'A'],
    frizz: [-0.6, -1.2, 0, 'A'],
    volume: [0.2, -0.5, 1, 'A'],
    opening: [0.75, 0.4, 1.1, 'F'],
    shortestCm: [4, 3, 6, 'C'],
    longestCm: [120, 60, 120, 'C'],
    tension: [0.4, 0, 1, 'A'],
  }),
  dryingShape: { kind: 'layer', packing: 0.32, rootExposure: 0.52, lengthExposure: 0.9 },
  pressesAsleep: true,
  form: (hair, rod) => woundForm(fitRod(hair, toolOrThrow(rod, 'a rod set'))),
});
