/** Heads drawn before a plan is shown again, and in the end: what is printed or kept is drawn as often. */
export const SHOWN_AT_DRAWS: readonly number[] = [200, 1000];
export const SETTLED_DRAWS = 1000;
