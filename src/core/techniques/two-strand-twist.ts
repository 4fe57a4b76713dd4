import { coefficients } from '../coefficients/coefficient';
import { alongHair } from '../curl/along-hair';
import { helixFromLay } from '../curl/helix';
import { defineTechnique } from './technique';

/** Angle of the hair to the axis of a twist, degrees; ± 8 for a loose or firm hand (assumed). */
const LAY_DEG = 40;

export const twoStrandTwist = defineTechnique({
  id: 'two-strand-twist',
  label: 'Two-strand twist',
  noun: ['twist', 'twists'],
  summary: 'Two equal ropes wound round each other. Soft spiral, the quickest set to put in.',
  chairLine: 'Two equal ropes, wound firmly and kept apart to the tip.',
  styleName: 'twist out',
  motif: 'rope',
  sectionAspect: 1,
  usualSections: 18,
  tool: null,
  rootMethods: ['plain', 'braided', 'outside-plaited', 'stretched'],
  endsMethods: ['finger-coiled', 'twisted', 'rod', 'band', 'pin'],
  coefficients: coefficients({
    ropes: [2, '–', 2, 2, 'P', 'by definition'],
    packing: [0.45, '–', 0.35, 0.6, 'A', 'dry, released hair'],
    retentionCap: [0.86, '–', 0.75, 0.95, 'F', 'best share of the set that stays'],
    installMin: [0.2, 'min', 0.1, 0.4, 'F', 'each twist'],
    installMinPerCm: [0.027, 'min/cm', 0.01, 0.05, 'F', 'each cm of it'],
    installPower: [0.35, '–', 0.2, 0.5, 'F', 'growth with hair per section'],
    takedownMin: [0.1, 'min', 0.05, 0.2, 'F', 'each twist'],
    takedownMinPerCm: [0.01, 'min/cm', 0.005, 0.02, 'F', 'each cm of it'],
    medianDays: [3.5, 'days', 3, 4, 'C', 'first takedown to given up'],
    lnDaysSd: [0.28, 'sd of ln days', 0.2, 0.4, 'F', 'spread of the common range'],
    definition: [0.5, 'points', -0.5, 1.5, 'A', 'against a middling set'],
    frizz: [0, 'points', -0.5, 0.5, 'A', 'against a middling set'],
    volume: [0.3, 'points', -0.5, 1, 'A', 'against a middling set'],
    openingN: [1.5e-5, 'N', 0, 5e-5, 'F', 'opening kept from separating and fluffing'],
  }),
  dryingShape: {
    kind: 'rope',
    packing: 0.32,
    axialRatio: 0.8,
    perimeterFactor: 1.22,
    rootExposure: 0.78,
  },
  form: ({ ropeMm }) => ({
    nodes: alongHair(() => helixFromLay(ropeMm / 2, (LAY_DEG * Math.PI) / 180)),
    thicknessMm: ropeMm,
    definingMm: ropeMm,
    fit: null,
  }),
});
