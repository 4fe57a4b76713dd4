import { sorption } from '../coefficients/drying';

const { monolayer: MONOLAYER, gabK: GAB_K, gabC: GAB_C } = sorption.value;

/**
 * Equilibrium regain of hair, g water per g dry hair, on the drying branch.
 *
 * @param activity water activity or relative humidity, 0 to 1
 * @param porosityFactor 0.9 low … 1.15 high or bleached
 * @source GAB isotherm fitted to human-hair regain quoted from memory of Robbins, raised for hysteresis
 * @example equilibriumRegain(0.65, 1) // => 0.138
 */
export function equilibriumRegain(activity: number, porosityFactor: number): number {
  const u = GAB_K * activity;
  return (porosityFactor * MONOLAYER * GAB_C * u) / ((1 - u) * (1 + (GAB_C - 1) * u));
}

/**
 * Water activity at a regain: the inverse of {@link equilibriumRegain}, 1 at and above saturation.
 *
 * @example activityAtRegain(0.138, 1) // => 0.6501
 */
export function activityAtRegain(regain: number, porosityFactor: number): number {
  if (regain <= 0) return 0;
  const b = GAB_C - 2 - (GAB_C * MONOLAYER * porosityFactor) / regain;
  const u = (b + Math.sqrt(b * b + 4 * (GAB_C - 1))) / (2 * (GAB_C - 1));
  return Math.min(1, u / GAB_K);
}

/**
 * Regain of the saturated fibre: water above it is free, capillary water.
 *
 * @example saturatedRegain(1) // => 0.3072
 */
export const saturatedRegain = (porosityFactor: number): number => equilibriumRegain(1, porosityFactor);
