import { clamp } from '../units/clamp';

/** Five-point Gauss–Legendre nodes on 0 … 1, root to tip, and their weights. */
export const ALONG_HAIR = [0.04691007703, 0.23076534495, 0.5, 0.76923465505, 0.95308992297] as const;
export const ALONG_WEIGHTS = [
  0.11846344253, 0.23931433525, 0.28444444444, 0.23931433525, 0.11846344253,
] as const;

/** One value for each node along the hair. */
export const alongHair = <T>(valueAt: (shareFromRoot: number, index: number) => T): T[] =>
  ALONG_HAIR.map(valueAt);

/**
 * Share of what each node stands for that lies beyond a place along the hair, so that a piece of it weighs what it is.
 *
 * @example sharesBeyond(0.75).map((share) => Math.round(100 * share)) // => [0, 0, 0, 55, 100]
 */
export function sharesBeyond(place: number): number[] {
  let from = 0;
  return ALONG_WEIGHTS.map((weight) => {
    from += weight;
    return clamp((from - place) / weight, 0, 1);
  });
}

/** Mean along the hair of one value per node. */
export const meanAlongHair = (values: readonly number[]): number =>
  values.reduce((sum, value, i) => sum + value * ALONG_WEIGHTS[i]!, 0);
