/** Last moment that any time of the product may name: the end of 2199 (UTC), epoch ms. */
export const MAX_TIME_MS = Date.UTC(2200, 0, 1) - 1;

/** Whether a number is a moment that the product can show. */
export const isTimeMs = (ms: number): boolean => Number.isInteger(ms) && ms >= 0 && ms <= MAX_TIME_MS;
