import { AIR_HEAT_CAPACITY, AIR_PRANDTL, airProperties, kelvin } from './air';

const forcedFactor = (prandtl: number): number =>
  (0.62 * Math.cbrt(prandtl)) / (1 + (0.4 / prandtl) ** (2 / 3)) ** 0.25;
const naturalFactor = (prandtl: number): number => 0.387 / (1 + (0.559 / prandtl) ** (9 / 16)) ** (8 / 27);
const IN_AIR = { forced: forcedFactor(AIR_PRANDTL), natural: naturalFactor(AIR_PRANDTL) } as const;

/**
 * Nusselt number of a cylinder in cross-flow.
 *
 * @param factor what the Prandtl number makes of it, where that is known already
 * @source Churchill & Bernstein 1977, J. Heat Transfer 99
 */
export const nusseltForced = (reynolds: number, prandtl: number, factor = forcedFactor(prandtl)): number =>
  0.3 + factor * Math.sqrt(reynolds) * (1 + (reynolds / 282_000) ** 0.625) ** 0.8;

/**
 * Nusselt number of a horizontal cylinder in natural convection.
 *
 * @param factor what the Prandtl number makes of it, where that is known already
 * @source Churchill & Chu 1975, Int. J. Heat Mass Transfer 18
 */
export const nusseltNatural = (rayleigh: number, prandtl: number, factor = naturalFactor(prandtl)): number =>
  (0.6 + factor * Math.sqrt(Math.cbrt(rayleigh))) ** 2;

/** What the air round a bundle brings to its heat and mass transfer; the same for every bundle in it. */
export interface FilmAir {
  readonly conductivityWMK: number;
  readonly viscosityM2S: number;
  /** Rayleigh number of a cylinder of 1 m at 1 K. */
  readonly rayleighPerM3K: number;
  /** Lewis number. */
  readonly lewis: number;
  /** Mass over heat transfer coefficient, m³ K/J. */
  readonly massPerHeat: number;
}

/** The air at a film temperature, °C. */
export function filmAir(filmC: number): FilmAir {
  const { densityKgM3, viscosityM2S, conductivityWMK, diffusivityM2S } = airProperties(filmC);
  const heatDiffusivity = conductivityWMK / (densityKgM3 * AIR_HEAT_CAPACITY);
  const lewis = heatDiffusivity / diffusivityM2S;
  return {
    conductivityWMK,
    viscosityM2S,
    rayleighPerM3K: 9.81 / (kelvin(filmC) * viscosityM2S * heatDiffusivity),
    lewis,
    massPerHeat: 1 / (densityKgM3 * AIR_HEAT_CAPACITY * lewis ** (2 / 3)),
  };
}

/** Heat and mass transfer at the surface of a bundle of hair. */
export interface Transfer {
  /** Heat transfer coefficient h, W/(m² K). */
  readonly heatWM2K: number;
  /** Mass transfer coefficient h_m, m/s. */
  readonly massMS: number;
}

/**
 * Transfer coefficients of a cylinder in slow or fast air: forced and natural flow blended by cubes,
 * mass from heat by the Chilton–Colburn analogy.
 *
 * @param diameterM diameter, m
 * @param speedMS air speed, m/s
 * @param differenceK temperature difference that drives natural flow, K
 * @source drying §5.2
 */
export function cylinderTransfer(
  diameterM: number,
  speedMS: number,
  film: FilmAir,
  differenceK: number,
): Transfer {
  const reynolds = (speedMS * diameterM) / film.viscosityM2S;
  const rayleigh = film.rayleighPerM3K * differenceK * diameterM ** 3;
  const forced = nusseltForced(reynolds, AIR_PRANDTL, IN_AIR.forced);
  const natural = nusseltNatural(rayleigh, AIR_PRANDTL, IN_AIR.natural);
  const heatWM2K = (Math.cbrt(forced ** 3 + natural ** 3) * film.conductivityWMK) / diameterM;
  return { heatWM2K, massMS: heatWM2K * film.massPerHeat };
}
