const LOCALE = 'en-GB';

/**
 * A count with its noun: "1 twist", "18 twists", "22,700 hairs".
 *
 * @example plural(3, 'twist') // => '3 twists'
 */
export const plural = (count: number, one: string, many = `${one}s`): string =>
  `${count.toLocaleString(LOCALE)} ${count === 1 ? one : many}`;

/** With a capital first: "hair is bleached" gives "Hair is bleached". */
export const capitalised = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** With a small first, to stand behind a colon. */
export const uncapitalised = (words: string): string => words.charAt(0).toLowerCase() + words.slice(1);

/** A whole sentence, capital first and a stop behind; of nothing, nothing. */
export const sentence = (words: string): string => (words === '' ? '' : `${capitalised(words)}.`);

/**
 * "3", "3 and 7", "3, 7 and 9".
 *
 * @example listed([3, 7, 9]) // => '3, 7 and 9'
 */
export const listed = (items: readonly (string | number)[]): string =>
  items.length < 2 ? items.join('') : `${items.slice(0, -1).join(', ')} and ${items.at(-1)}`;
