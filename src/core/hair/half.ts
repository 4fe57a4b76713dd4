/** The two sides of a half-head trial. */
export const SIDES = ['left', 'right'] as const;
export type Side = (typeof SIDES)[number];

/** Which hair something is about: the whole head, or one side of a half-head trial. */
export const HALVES = ['whole', ...SIDES] as const;
export type Half = (typeof HALVES)[number];
