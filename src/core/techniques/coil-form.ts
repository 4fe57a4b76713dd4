import { alongHair } from '../curl/along-hair';
import { clamp } from '../units/clamp';
import type { HairInSet } from './bundle';
import type { SetForm } from './technique';

/** A coil stands this share of its rope out from the curl (set-geometry §8). */
const OUTSIDE_ROPE = 0.6;

/**
 * Hair wound on itself: near its own coil, widened by the thickness of the rope.
 *
 * @param spread how much the rope widens the coil, × its diameter
 * @source set-geometry §5, coil
 */
export function coilForm(hair: HairInSet, spread: number): SetForm {
  const radiusMm = 0.5 * Math.hypot(hair.coilDiameterMm, spread * hair.ropeMm);
  const lengthRatio = clamp(
    1.15 * (1 - hair.shrinkage),
    Math.min(0.8, hair.ropeMm / (2 * Math.PI * radiusMm)),
    0.85,
  );
  const pitchMm = (radiusMm * lengthRatio) / Math.sqrt(1 - lengthRatio ** 2);
  return {
    nodes: alongHair(() => ({ radiusMm, pitchMm })),
    thicknessMm: OUTSIDE_ROPE * hair.ropeMm,
    definingMm: hair.ropeMm,
    fit: null,
    knot: null,
  };
}
