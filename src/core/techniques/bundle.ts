/** A bundle of hair: one section as a technique takes it up (set-geometry §3). */
export interface Bundle {
  readonly hairCount: number;
  readonly lengthMm: number;
  /** Gross, packed cross-section of the whole section, mm². */
  readonly grossMm2: number;
  /** Diameter of one of its ropes, mm. */
  readonly ropeMm: number;
}

/** A rod as laid on one section. */
export interface Rod {
  readonly diameterMm: number;
  readonly workingLengthMm: number;
}
