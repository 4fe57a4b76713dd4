import { strandAreaMm2 } from '../hair/head';
import type { HairInSet } from './bundle';
import type { KnotWay } from './knot-way';
import type { Technique } from './technique';

/** What a section is made of, whatever is done with it. */
export interface BundleSource {
  readonly sectionCm2: number;
  readonly densityPerCm2: number;
  readonly strandUm: number;
  readonly lengthCm: number;
  readonly coilDiameterMm: number;
  readonly shrinkage: number;
  /** × the packing that is usual, by the hand that works it. */
  readonly packed: number;
  readonly knot?: KnotWay;
}

/** A section of hair as a technique takes it up (set-geometry §3). */
export function bundleOf(technique: Technique, source: BundleSource): HairInSet {
  const { ropes, packing } = technique.coefficients.value;
  const hairCount = source.densityPerCm2 * source.sectionCm2;
  const grossMm2 = (hairCount * strandAreaMm2(source.strandUm)) / (packing * source.packed);
  return {
    hairCount,
    lengthMm: source.lengthCm * 10,
    grossMm2,
    ropeMm: Math.sqrt((4 * grossMm2) / (Math.PI * ropes)),
    sectionCm2: source.sectionCm2,
    coilDiameterMm: source.coilDiameterMm,
    shrinkage: source.shrinkage,
    ...(source.knot ? { knot: source.knot } : {}),
  };
}
