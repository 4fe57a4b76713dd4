/** Degrees to radians. */
export const radians = (degrees: number): number => (degrees * Math.PI) / 180;
