/** Five-point Gauss–Legendre nodes on 0 … 1, root to tip, and their weights. */
export const ALONG_HAIR = [0.04691007703, 0.23076534495, 0.5, 0.76923465505, 0.95308992297] as const;
export const ALONG_WEIGHTS = [
  0.11846344253, 0.23931433525, 0.28444444444, 0.23931433525, 0.11846344253,
] as const;

/** One value for each node along the hair. */
export const alongHair = <T>(valueAt: (shareFromRoot: number, index: number) => T): T[] =>
  ALONG_HAIR.map(valueAt);

/** Mean along the hair of one value per node. */
export const meanAlongHair = (values: readonly number[]): number =>
  values.reduce((sum, value, i) => sum + value * ALONG_WEIGHTS[i]!, 0);
