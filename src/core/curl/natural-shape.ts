import type { Bend } from './helix';

/**
 * The hair's own hanging helix from what a stylist measures.
 *
 * @param coilDiameterMm diameter of the hair's own coil, mm
 * @param shrinkage share of the length that draws up, 0 straight … 0.92
 * @source set-geometry §6: cos α = 1 − S, R = D/2
 * @example naturalBend(6, 0.6).curvature // => 0.28
 */
export function naturalBend(coilDiameterMm: number, shrinkage: number): Bend {
  const cos = 1 - shrinkage;
  const sin = Math.sqrt(1 - cos * cos);
  const radius = coilDiameterMm / 2;
  return { curvature: (sin * sin) / radius, torsion: (sin * cos) / radius };
}
