import type { KnotWay } from './knot-way';

/** A bundle of hair: one section as a technique takes it up (set-geometry §3). */
export interface Bundle {
  readonly hairCount: number;
  readonly lengthMm: number;
  /** Gross, packed cross-section of the whole section, mm². */
  readonly grossMm2: number;
  /** Diameter of one of its ropes, mm. */
  readonly ropeMm: number;
  /** Scalp the section takes up, cm². */
  readonly sectionCm2: number;
}

/** A section of hair with the curl of its own that it brings. */
export interface HairInSet extends Bundle {
  readonly coilDiameterMm: number;
  /** Share of the length that draws up, 0 to 0.92. */
  readonly shrinkage: number;
  /** How it goes into a knot, where it does. */
  readonly knot?: KnotWay;
}

/** A rod, flexible rod or spiral former as laid on one section. */
export interface Tool {
  readonly diameterMm: number;
  readonly workingLengthMm: number;
}
