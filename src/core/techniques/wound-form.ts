import { setShape } from '../coefficients/set-shape';
import { alongHair } from '../curl/along-hair';
import { overlapRadiusMm, type ToolFit } from './rod-fit';
import type { SetForm } from './technique';

/** Form of hair wound on a tool: the helix of the fit, looser where wraps overlap. */
export const woundForm = (fit: ToolFit): SetForm => ({
  nodes: alongHair((share) => {
    const radiusMm = fit.radiusMm + overlapRadiusMm(fit, share);
    return { radiusMm, pitchMm: radiusMm * Math.tan(fit.slopeRad) };
  }),
  thicknessMm: fit.bandThicknessMm,
  ends: null,
  definingMm: setShape.value.bandDefining * fit.bandThicknessMm,
  fit,
  knot: null,
});
