import { hair } from '../coefficients/hair';
import type { Bend, Polar } from './helix';

/** The angle is found to this. */
const TOLERANCE_RAD = 1e-9;

/** Stiffness of one hair, N mm². */
export interface Stiffness {
  readonly bending: number;
  readonly torsional: number;
}

/** Bending and torsional stiffness of a round hair. */
export function hairStiffness(strandUm: number): Stiffness {
  const bending = (hair.value.modulusMPa * Math.PI * (strandUm / 1000) ** 4) / 64;
  return { bending, torsional: bending / (1 + hair.value.poissonRatio) };
}

/**
 * Weight of one hair per mm of length, N/mm.
 *
 * @example 1e8 * hairWeightNPerMm(70) // => 4.983
 */
export const hairWeightNPerMm = (strandUm: number): number =>
  (Math.PI / 4) * (strandUm / 1000) ** 2 * hair.value.fibreDensity * 1e-9 * 9.81;

/**
 * How a helix of given own shape hangs under an axial force with its tip free to turn: the angle that
 * minimises bending, twisting and load energy, found where its slope is nought.
 *
 * @param relaxed rate and angle of the unloaded shape
 * @param forceN axial force on one hair, N (≥ 0)
 * @source heavy elastic rod with intrinsic curvature (set-geometry §6; published, from memory)
 */
export function hang(relaxed: Polar, forceN: number, { bending, torsional }: Stiffness): Polar {
  const { rate, angleRad } = relaxed;
  if (forceN <= 0 || angleRad <= 0 || rate <= 0) return relaxed;
  const slope = (angle: number) => {
    const [sin, cos] = [Math.sin(angle), Math.cos(angle)];
    const away = Math.sin(angleRad - angle);
    const compliance = (cos * cos) / bending + (sin * sin) / torsional;
    const complianceSlope = 2 * sin * cos * (1 / torsional - 1 / bending);
    return (
      0.5 *
        rate *
        rate *
        ((-2 * away * Math.cos(angleRad - angle)) / compliance -
          (away * away * complianceSlope) / compliance ** 2) +
      forceN * sin
    );
  };
  // Regula falsi of the Illinois kind: keeps a bracket, and needs a third of the steps of halving it.
  let [low, high] = [0, angleRad];
  let [atLow, atHigh] = [slope(low), slope(high)];
  let angle = high;
  let side = 0;
  for (let i = 0; i < 60 && high - low > TOLERANCE_RAD; i++) {
    angle = atLow < 0 && atHigh > 0 ? (low * atHigh - high * atLow) / (atHigh - atLow) : (low + high) / 2;
    const at = slope(angle);
    if (Math.abs(at) < 1e-16) break;
    if (at < 0) {
      if (angle - low < TOLERANCE_RAD && i > 0) break;
      [low, atLow] = [angle, at];
      if (side < 0) atHigh /= 2;
      side = -1;
    } else {
      if (high - angle < TOLERANCE_RAD && i > 0) break;
      [high, atHigh] = [angle, at];
      if (side > 0) atLow /= 2;
      side = 1;
    }
  }
  const [sin, cos] = [Math.sin(angle), Math.cos(angle)];
  return {
    angleRad: angle,
    rate:
      (rate * (bending * Math.sin(angleRad) * sin + torsional * Math.cos(angleRad) * cos)) /
      (bending * sin * sin + torsional * cos * cos),
  };
}

/**
 * The unloaded shape behind a hanging one, so that weight is not counted twice.
 *
 * @returns the shape and the force it stands for, capped so that the own torsion stays positive
 * @source set-geometry §6, closed form
 */
export function unload(
  hanging: Bend,
  forceN: number,
  { bending, torsional }: Stiffness,
): { own: Bend; forceN: number } {
  const rate = Math.hypot(hanging.curvature, hanging.torsion);
  if (rate === 0) return { own: hanging, forceN };
  const sin = hanging.curvature / rate;
  const cos = hanging.torsion / rate;
  const most = sin === 0 ? Infinity : (0.9 * hanging.torsion * torsional * rate) / (sin * sin);
  const force = Math.min(forceN, most);
  return {
    own: {
      curvature: hanging.curvature + (force * sin * cos) / (bending * rate),
      torsion: hanging.torsion - (force * sin * sin) / (torsional * rate),
    },
    forceN: force,
  };
}
