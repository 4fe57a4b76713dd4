/**
 * Degrees to radians.
 *
 * @example radians(180) // => 3.142
 */
export const radians = (degrees: number): number => (degrees * Math.PI) / 180;
