import { braidStrand, curveMeans, equivalentHelix, scaledHelix } from './strand-curves';
import { ropeForm } from './rope-form';
import { defineTechnique } from './technique';
import { techniqueCoefficients } from './technique-coefficients';

const MEANS = curveMeans(braidStrand);
/** For a strand of diameter 1 mm. */
const UNIT_HELIX = equivalentHelix(MEANS.rmsCurvature, MEANS.lengthRatio);

/** The bends of one strand of a plait of ropes this thick. */
export const plaitedForm = (ropeMm: number) => ropeForm(ropeMm, () => scaledHelix(UNIT_HELIX, ropeMm));

export const braid = defineTechnique({
  id: 'braid',
  label: 'Braid',
  noun: ['braid', 'braids'],
  summary:
    'A three-strand plait. Crimped wave that holds its shape best; slower than twists by about half again.',
  chairLine:
    'Three equal ropes, plaited evenly; stop about 2.5 cm short and twist the tip, so that it undoes easily.',
  takedownLine: 'From the tip, unpick outer over middle, to the root.',
  styleName: 'braid out',
  curlName: 'crimp',
  motif: 'plait',
  inSet: 'plait',
  sectionAspect: 1,
  usualPattern: 'brick',
  usualSections: 20,
  tool: null,
  rootMethods: ['plain', 'outside-plaited', 'stretched'],
  endsMethods: ['finger-coiled', 'twisted', 'rod', 'band'],
  coefficients: techniqueCoefficients({
    ropes: [3, 3, 3, 'P'],
    packing: [0.48, 0.4, 0.6, 'A'],
    retentionCap: [0.9, 0.8, 0.97, 'F'],
    installMin: [0.38, 0.2, 0.6, 'F'],
    installMinPerCm: [0.058, 0.03, 0.08, 'F'],
    installPower: [0.5, 0.3, 0.7, 'F'],
    takedownMin: [0.15, 0.05, 0.3, 'F'],
    takedownMinPerCm: [0.025, 0.01, 0.04, 'F'],
    medianDays: [4, 3, 5, 'C'],
    lnDaysSd: [0.26, 0.2, 0.4, 'F'],
    definition: [0.5, -0.5, 1.5, 'A'],
    frizz: [0.1, -0.4, 0.6, 'A'],
    volume: [0.4, -0.2, 1, 'A'],
    opening: [0.06, 0, 0.2, 'F'],
    shortestCm: [6, 4, 9, 'C'],
    longestCm: [120, 60, 120, 'C'],
    tension: [0.5, 0, 1, 'A'],
  }),
  dryingShape: { kind: 'rope', packing: 0.36, axialRatio: 0.86, perimeterFactor: 1.3, rootExposure: 0.78 },
  leaveInDays: 42,
  form: ({ ropeMm }) => plaitedForm(ropeMm),
});
