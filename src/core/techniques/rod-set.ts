import { coefficients } from '../coefficients/coefficient';
import { alongHair } from '../curl/along-hair';
import { fitRod, overlapRadiusMm } from './rod-fit';
import { defineTechnique } from './technique';

/** A band counts this many times its thickness when sections are compared for definition (fitted). */
const DEFINING_BAND = 2.2;

export const rodSet = defineTechnique({
  id: 'rod-set',
  label: 'Rod set',
  noun: ['rod', 'rods'],
  summary: 'Hair wound edge to edge on rigid rods. Uniform ringlets of the rod’s own size.',
  chairLine: 'Comb smooth, paste the ends flat, wind edge to edge with no gaps and close across the root.',
  styleName: 'rod set',
  motif: 'rod',
  sectionAspect: 1.5,
  usualSections: 30,
  tool: 'rod',
  rootMethods: ['plain', 'stretched'],
  endsMethods: ['pasted', 'tucked'],
  coefficients: coefficients({
    ropes: [1, '–', 1, 1, 'P', 'by definition'],
    packing: [0.5, '–', 0.35, 0.6, 'A', 'dry, released hair'],
    retentionCap: [0.93, '–', 0.85, 0.98, 'F', 'best share of the set that stays'],
    installMin: [1.45, 'min', 1, 2, 'F', 'each rod'],
    installMinPerCm: [0.025, 'min/cm', 0.01, 0.05, 'F', 'each cm wound'],
    installPower: [0.2, '–', 0.1, 0.4, 'F', 'growth with hair per section'],
    takedownMin: [0.25, 'min', 0.1, 0.4, 'F', 'each rod'],
    takedownMinPerCm: [0.01, 'min/cm', 0.005, 0.02, 'F', 'each cm unwound'],
    medianDays: [6.8, 'days', 5, 8, 'C', 'first takedown to given up'],
    lnDaysSd: [0.24, 'sd of ln days', 0.15, 0.35, 'F', 'spread of the common range'],
    definition: [1.5, 'points', 0.5, 2.5, 'A', 'against a middling set'],
    frizz: [-0.6, 'points', -1.2, 0, 'A', 'against a middling set'],
    volume: [0.2, 'points', -0.5, 1, 'A', 'against a middling set'],
    openingN: [6e-5, 'N', 3e-5, 9e-5, 'F', 'opening kept from sliding off and separating'],
  }),
  dryingShape: { kind: 'layer', packing: 0.32, rootExposure: 0.52, lengthExposure: 0.9 },
  form: (bundle, rod) => {
    if (!rod) throw new RangeError('a rod set needs a rod');
    const fit = fitRod(bundle, rod);
    return {
      nodes: alongHair((share) => {
        const radiusMm = fit.radiusMm + overlapRadiusMm(fit, share);
        return { radiusMm, pitchMm: radiusMm * Math.tan(fit.slopeRad) };
      }),
      thicknessMm: fit.bandThicknessMm,
      definingMm: DEFINING_BAND * fit.bandThicknessMm,
      fit,
    };
  },
});
