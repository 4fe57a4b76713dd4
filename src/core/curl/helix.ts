/** A helix by its radius and its pitch over 2π, mm. */
export interface Helix {
  readonly radiusMm: number;
  readonly pitchMm: number;
}

/** A helix by curvature and torsion, 1/mm. */
export interface Bend {
  readonly curvature: number;
  readonly torsion: number;
}

/** A helix by its rate √(κ²+τ²), 1/mm, and its angle from the axis, radians. */
export interface Polar {
  readonly rate: number;
  readonly angleRad: number;
}

/**
 * Curvature and torsion of a helix: κ = R/(R²+c²), τ = c/(R²+c²).
 *
 * @example bendOfHelix({ radiusMm: 3, pitchMm: 4 }) // => { curvature: 0.12, torsion: 0.16 }
 */
export function bendOfHelix({ radiusMm, pitchMm }: Helix): Bend {
  const square = radiusMm ** 2 + pitchMm ** 2;
  return { curvature: radiusMm / square, torsion: pitchMm / square };
}

/**
 * Radius and pitch of a curvature and torsion: R = κ/(κ²+τ²), c = τ/(κ²+τ²).
 *
 * @example helixOfBend({ curvature: 0.12, torsion: 0.16 }) // => { radiusMm: 3, pitchMm: 4 }
 */
export function helixOfBend({ curvature, torsion }: Bend): Helix {
  const square = curvature ** 2 + torsion ** 2;
  return { radiusMm: curvature / square, pitchMm: torsion / square };
}

/** Polar form of a curvature and torsion. */
export const polarOfBend = ({ curvature, torsion }: Bend): Polar => ({
  rate: Math.hypot(curvature, torsion),
  angleRad: Math.atan2(curvature, torsion),
});

/**
 * Helix of radius `radiusMm` whose hair lies at `layRad` to the axis.
 *
 * @example helixFromLay(5, Math.PI / 4) // => { radiusMm: 5, pitchMm: 5 }
 */
export const helixFromLay = (radiusMm: number, layRad: number): Helix => ({
  radiusMm,
  pitchMm: radiusMm / Math.tan(layRad),
});
