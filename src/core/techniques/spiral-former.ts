import { fitFormer } from './rod-fit';
import { defineTechnique, toolOrThrow } from './technique';
import { techniqueCoefficients } from './technique-coefficients';
import { woundForm } from './wound-form';

export const spiralFormer = defineTechnique({
  id: 'spiral-former',
  label: 'Spiral former',
  noun: ['former', 'formers'],
  summary:
    'Stretched hair pulled through a flat spiral sleeve. Straight roots, then a ribbon-like spiral; shorter than expected.',
  chairLine:
    'Hook the smooth section through the sleeve, let it spring back, and check that the ends lie flat inside.',
  takedownLine: 'Hold the root and slide each former off downward.',
  styleName: 'former set',
  curlName: 'curl',
  motif: 'spiral',
  inSet: 'former',
  sectionAspect: 1.5,
  usualPattern: 'brick',
  usualSections: 40,
  tool: 'former',
  rootMethods: ['plain', 'stretched'],
  endsMethods: ['finger-coiled', 'pasted', 'twisted'],
  coefficients: techniqueCoefficients({
    ropes: [1, 1, 1, 'P'],
    packing: [0.5, 0.35, 0.6, 'A'],
    retentionCap: [0.93, 0.85, 0.98, 'F'],
    installMin: [0.8, 0.5, 1.2, 'F'],
    installMinPerCm: [0.03, 0.01, 0.06, 'F'],
    installPower: [0.2, 0.1, 0.4, 'F'],
    takedownMin: [0.15, 0.05, 0.3, 'F'],
    takedownMinPerCm: [0.01, 0.005, 0.02, 'F'],
    medianDays: [4, 3, 6, 'C'],
    lnDaysSd: [0.3, 0.2, 0.4, 'F'],
    definition: [1.1, 0.2, 2, 'A'],
    frizz: [-0.3, -0.9, 0.3, 'A'],
    volume: [-0.3, -1, 0.4, 'A'],
    opening: [0.11, 0, 0.3, 'F'],
    shortestCm: [10, 7, 14, 'C'],
    longestCm: [80, 50, 100, 'C'],
    tension: [0.2, 0, 1, 'A'],
  }),
  dryingShape: {
    kind: 'ribbon',
    packing: 0.25,
    axialRatio: 0.85,
    widthMm: 15,
    rootExposure: 0.6,
    // Woven sleeve 70 s/m and some 6 mm of still air 210, and only the outer face of the coiled ribbon open (assumed).
    sleeveSM: 750,
  },
  ownRoot: { stretchedMm: 20, stretch: 0.9 },
  needsStretched: true,
  // The ribbon is compared by all of its hair, not by its thickness.
  form: (hair, sleeve) => ({
    ...woundForm(fitFormer(hair, toolOrThrow(sleeve, 'a spiral former'))),
    definingMm: hair.ropeMm,
  }),
});
