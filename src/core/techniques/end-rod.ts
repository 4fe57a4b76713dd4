import { drying } from '../coefficients/drying';
import { END_ROD_WIDTH_MM } from '../drying/nodes';
import type { HairInSet, Tool } from './bundle';
import { fitRod } from './rod-fit';
import type { SetForm } from './technique';

/** The last quarter of a braid or twist wound on a rod of its own: its ends take the rod's curl. */
export function withEndRod(form: SetForm, hair: HairInSet, rod: Tool): SetForm {
  const ends = drying.value.endSegmentShare;
  const fit = fitRod(
    { grossMm2: hair.grossMm2 * drying.value.endSurvival, lengthMm: hair.lengthMm * ends },
    { diameterMm: rod.diameterMm, workingLengthMm: Math.max(END_ROD_WIDTH_MM, rod.workingLengthMm) },
  );
  const helix = { radiusMm: fit.radiusMm, pitchMm: fit.radiusMm * Math.tan(fit.slopeRad) };
  return { ...form, ends: { share: ends, helix }, fit };
}
