/** Letters and numerals that nobody takes for one another when they are read aloud or typed: no 0 and O, 1, I and L, U and V. */
const LETTERS = '23456789ABCDEFGHJKMNPQRSTWXYZ';
/** Letters of a code that is typed. */
const LENGTH = 8;
/** How long a code pairs, ms. */
export const CODE_LASTS_MS = 120_000;

/**
 * A code to type, from numbers by chance: 29⁸, some 5 · 10¹¹, of which one pairs for two minutes.
 *
 * @param chance numbers from 0 up to 2³², eight of them
 */
export const typedCode = (chance: ArrayLike<number>): string =>
  Array.from({ length: LENGTH }, (_, i) => LETTERS[chance[i]! % LETTERS.length]).join('');

/**
 * A code as it is shown, in two halves.
 *
 * @example
 * shownCode('ABCD2345') // 'ABCD-2345'
 */
export const shownCode = (code: string): string => `${code.slice(0, LENGTH / 2)}-${code.slice(LENGTH / 2)}`;

/**
 * A code as it was typed, however: small letters, with gaps and strokes; null where it cannot be one.
 *
 * @example
 * readCode('abcd 2345') // 'ABCD2345'
 * readCode('abc') // null
 */
export function readCode(typed: string): string | null {
  const code = typed.toUpperCase().replace(/[\s-]/g, '');
  return code.length === LENGTH && [...code].every((letter) => LETTERS.includes(letter)) ? code : null;
}
