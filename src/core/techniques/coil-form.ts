import { setShape } from '../coefficients/set-shape';
import { alongHair } from '../curl/along-hair';
import { clamp } from '../units/clamp';
import type { HairInSet } from './bundle';
import type { SetForm } from './technique';

/**
 * Hair wound on itself: near its own coil, widened by the thickness of the rope.
 *
 * @param spread how much the rope widens the coil, × its diameter
 * @source set-geometry §5, coil
 */
export function coilForm(hair: HairInSet, spread: number): SetForm {
  const radiusMm = 0.5 * Math.hypot(hair.coilDiameterMm, spread * hair.ropeMm);
  const { coilLengthened, coilTightest, coilLongest } = setShape.value;
  const lengthRatio = clamp(
    coilLengthened * (1 - hair.shrinkage),
    Math.min(coilTightest, hair.ropeMm / (2 * Math.PI * radiusMm)),
    coilLongest,
  );
  const pitchMm = (radiusMm * lengthRatio) / Math.sqrt(1 - lengthRatio ** 2);
  return {
    nodes: alongHair(() => ({ radiusMm, pitchMm })),
    thicknessMm: setShape.value.coilOutside * hair.ropeMm,
    definingMm: hair.ropeMm,
    fit: null,
    ends: null,
    knot: null,
  };
}
