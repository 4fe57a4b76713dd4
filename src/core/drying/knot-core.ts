import { knotCore } from '../coefficients/drying';
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
  const c = knotCore.value;
  const lag = c.lag + c.lagFromWet * clamp((start - c.wetFrom) / c.wetOver, 0, 1);
  const core = Math.max(mean, Math.min(limit + lag * (mean - limit), c.soaked * porosityFactor, start));
  return { core, shell: Math.max(Math.min(limit, mean), mean - (core - mean)) };
}
