/** Guesses that are free. */
const FREE = 5;
const FIRST_WAIT_MS = 15_000;
const LONGEST_WAIT_MS = 15 * 60_000;

/**
 * How long must be waited after so many wrong guesses in a row, ms: nothing after the first five, then 15 s, doubling to
 * a quarter of an hour.
 *
 * @example
 * waitAfterMs(4) // 0
 * waitAfterMs(6) // 30000
 */
export const waitAfterMs = (wrong: number): number =>
  wrong < FREE ? 0 : Math.min(LONGEST_WAIT_MS, FIRST_WAIT_MS * 2 ** Math.min(wrong - FREE, 20));

/**
 * How long is left to wait, in words.
 *
 * @example
 * waitWords(15000) // '15 seconds'
 * waitWords(300000) // '5 minutes'
 */
export function waitWords(leftMs: number): string {
  const seconds = Math.max(1, Math.ceil(leftMs / 1000));
  const [count, unit] = seconds < 90 ? [seconds, 'second'] : [Math.ceil(seconds / 60), 'minute'];
  return `${count} ${unit}${count === 1 ? '' : 's'}`;
}
