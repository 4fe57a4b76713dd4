import { clamp } from '../units/clamp';

/**
 * Moisture of the core and of the shell of a knot from its mean, g per g: the core lags behind.
 *
 * @param mean mean moisture of the knot
 * @param limit moisture it tends to in the air round it
 * @param start mean moisture at the start
 * @source drying §5.6, fitted to a radial finite-volume reference
 */
export function knotLevels(
  mean: number,
  limit: number,
  start: number,
  porosityFactor: number,
): { core: number; shell: number } {
  const lag = 2 + 0.6 * clamp((start - 0.25) / 0.3, 0, 1);
  const core = Math.max(mean, Math.min(limit + lag * (mean - limit), 0.38 * porosityFactor, start));
  return { core, shell: Math.max(Math.min(limit, mean), mean - (core - mean)) };
}
