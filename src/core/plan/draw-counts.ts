/**
 * Heads drawn before a plan is shown again, and in the end: what is printed or kept is drawn as often. Powers of two: the
 * points they are drawn from are balanced there.
 */
export const SHOWN_AT_DRAWS: readonly number[] = [64, 256];
export const SETTLED_DRAWS = 256;
