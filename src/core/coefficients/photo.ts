import { coefficients } from './coefficient';

/** What measuring on a picture is calibrated with: fitted on generated pictures, not on people (photo §1 to §10). */
export const photo = coefficients({
  cardTolerance: [0.0015, 'share', 0.0005, 0.003, 'P', 'what cards of bank size differ by (ISO/IEC 7810)'],
  leastSigma: [0.01, 'share', 0.005, 0.02, 'A', 'lens and paper: no picture is better than this'],
  depthMm: [10, 'mm', 5, 20, 'A', 'hair lies so far before or behind the card'],
  tapPx: [1.5, 'px', 1, 3, 'A', 'how far off a tap on a ruler is'],
  pitchSigma: [0.017, 'share', 0.01, 0.03, 'F', 'spread of pitch against what was generated'],
  diameterSigma: [0.1, 'share', 0.06, 0.15, 'F', 'the same of the width of a curl'],
  byHandSigma: [0.2, 'share', 0.15, 0.3, 'A', 'the same where the width is that of the box'],
  definitionSigma: [1.2, 'of 10', 0.7, 2.1, 'F', 'spread of the definition index within a head'],
  frizzSigma: [0.8, 'of 10', 0.5, 1.2, 'F', 'the same of the frizz index'],
  widthSigma: [0.011, 'share', 0.005, 0.02, 'F', 'the same of width and height'],
  areaSigma: [0.026, 'share', 0.01, 0.04, 'F', 'the same of the area'],
  frizzHaloMm: [0.05, 'mm', 0.03, 0.1, 'F', 'halo that the frizz index begins at'],
  frizzSpan: [41, '1', 30, 60, 'F', 'halo over that at which it is full, one more'],
});
