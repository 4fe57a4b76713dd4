/** What is known of the amount in a tub: the last weighing, and what sets took since. */
export interface Stock {
  /** Left at the last weighing, g; null when it was never weighed. */
  readonly leftG: number | null;
  /** Planned doses of the sets begun since, g. */
  readonly usedSinceG: number;
}

/**
 * Left in a tub as far as is known, g; null when it was never weighed.
 *
 * @example leftNowG({ leftG: 100, usedSinceG: 30 }) // => 70
 */
export const leftNowG = ({ leftG, usedSinceG }: Stock): number | null =>
  leftG === null ? null : Math.max(0, leftG - usedSinceG);

/** Whether a tub is a mix of which no batch was made yet: it can be planned, and must be made first. */
export const isUnmade = ({
  mixId,
  openedOn,
}: {
  readonly mixId: string | null;
  readonly openedOn: string | null;
}): boolean => mixId !== null && openedOn === null;

/** Price of one gram in minor units of money; null when price or size is not known. */
export const minorPerG = ({
  priceMinor,
  sizeG,
}: {
  readonly priceMinor: number | null;
  readonly sizeG: number | null;
}): number | null => (priceMinor === null || !sizeG ? null : priceMinor / sizeG);
