import { setShape } from '../coefficients/set-shape';
import { knotForm } from './knot-form';
import { defineTechnique } from './technique';
import { techniqueCoefficients } from './technique-coefficients';

export const bantuKnot = defineTechnique({
  id: 'bantu-knot',
  label: 'Bantu knot',
  noun: ['knot', 'knots'],
  summary: 'A rope wound round its own base. Bouncy, wide spiral; comfortable only with a loose first turn.',
  chairLine:
    'Roll or twist the section, leave the first turn loose, wind it round its base and tuck the end under.',
  takedownLine: 'Free the end, let the knot down from its tip, then unroll it against the turn.',
  styleName: 'knot out',
  curlName: 'curl',
  motif: 'spiral',
  inSet: 'knot',
  sectionAspect: 1,
  usualPattern: 'brick',
  usualSections: 15,
  tool: null,
  rootMethods: ['plain', 'stretched'],
  endsMethods: ['tucked', 'pin', 'band'],
  coefficients: techniqueCoefficients({
    ropes: [1, 1, 1, 'P'],
    packing: [0.5, 0.4, 0.6, 'A'],
    retentionCap: [0.84, 0.7, 0.95, 'F'],
    installMin: [0.5, 0.3, 0.8, 'F'],
    installMinPerCm: [0.035, 0.02, 0.06, 'F'],
    installPower: [0.3, 0.2, 0.5, 'F'],
    takedownMin: [0.15, 0.05, 0.3, 'F'],
    takedownMinPerCm: [0.015, 0.005, 0.03, 'F'],
    medianDays: [3, 2, 4, 'C'],
    lnDaysSd: [0.32, 0.2, 0.45, 'F'],
    definition: [0.2, -0.8, 1.2, 'A'],
    frizz: [0.2, -0.4, 0.8, 'A'],
    volume: [0.6, 0, 1.2, 'A'],
    opening: [0.4, 0, 1, 'F'],
    shortestCm: [8, 6, 12, 'C'],
    longestCm: [70, 50, 100, 'C'],
    tension: [0.6, 0, 1, 'A'],
  }),
  dryingShape: { kind: 'ball', packing: 0.34, openShare: 0.63 },
  pressesAsleep: true,
  form: (hair) => {
    const knot = knotForm(hair, hair.knot);
    return {
      nodes: knot.nodes,
      ends: null,
      thicknessMm: setShape.value.knotOutside * knot.ropeMm,
      definingMm: setShape.value.knotDefining * knot.ropeMm,
      fit: null,
      knot,
    };
  },
});
