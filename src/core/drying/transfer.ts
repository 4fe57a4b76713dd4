import { AIR_HEAT_CAPACITY, AIR_PRANDTL, airProperties, kelvin } from './air';

/**
 * Nusselt number of a cylinder in cross-flow.
 *
 * @source Churchill & Bernstein 1977, J. Heat Transfer 99
 */
export const nusseltForced = (reynolds: number, prandtl: number): number =>
  0.3 +
  ((0.62 * Math.sqrt(reynolds) * Math.cbrt(prandtl)) / (1 + (0.4 / prandtl) ** (2 / 3)) ** 0.25) *
    (1 + (reynolds / 282_000) ** 0.625) ** 0.8;

/**
 * Nusselt number of a horizontal cylinder in natural convection.
 *
 * @source Churchill & Chu 1975, Int. J. Heat Mass Transfer 18
 */
export const nusseltNatural = (rayleigh: number, prandtl: number): number =>
  (0.6 + (0.387 * rayleigh ** (1 / 6)) / (1 + (0.559 / prandtl) ** (9 / 16)) ** (8 / 27)) ** 2;

/** Heat and mass transfer at the surface of a bundle of hair. */
export interface Transfer {
  /** Heat transfer coefficient h, W/(m² K). */
  readonly heatWM2K: number;
  /** Mass transfer coefficient h_m, m/s. */
  readonly massMS: number;
  /** Lewis number. */
  readonly lewis: number;
}

/**
 * Transfer coefficients of a cylinder in slow or fast air: forced and natural flow blended by cubes,
 * mass from heat by the Chilton–Colburn analogy.
 *
 * @param diameterM diameter, m
 * @param speedMS air speed, m/s
 * @param filmC film temperature, °C
 * @param differenceK temperature difference that drives natural flow, K
 * @source drying §5.2
 */
export function cylinderTransfer(
  diameterM: number,
  speedMS: number,
  filmC: number,
  differenceK: number,
): Transfer {
  const { densityKgM3, viscosityM2S, conductivityWMK, diffusivityM2S } = airProperties(filmC);
  const heatDiffusivity = conductivityWMK / (densityKgM3 * AIR_HEAT_CAPACITY);
  const rayleigh = (9.81 * differenceK * diameterM ** 3) / (kelvin(filmC) * viscosityM2S * heatDiffusivity);
  const forced = nusseltForced((speedMS * diameterM) / viscosityM2S, AIR_PRANDTL);
  const natural = nusseltNatural(rayleigh, AIR_PRANDTL);
  const heatWM2K = (Math.cbrt(forced ** 3 + natural ** 3) * conductivityWMK) / diameterM;
  const lewis = heatDiffusivity / diffusivityM2S;
  return {
    heatWM2K,
    massMS: heatWM2K / (densityKgM3 * AIR_HEAT_CAPACITY * lewis ** (2 / 3)),
    lewis,
  };
}
