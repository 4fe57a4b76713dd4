import { WANT_WEIGHT } from '../coefficients/suggestion';

/** What can matter about a set; at most two of them are asked for at once. */
export const WANTS = ['lasts', 'defined', 'big', 'long', 'soft', 'little-work', 'gentle'] as const;
export type Want = (typeof WANTS)[number];
export const MOST_WANTS = 2;

/** How each is asked for, and what it is worth saying beside a choice that it made. */
export const WANT_LABEL: Readonly<Record<Want, string>> = {
  lasts: 'lasting',
  defined: 'defined',
  big: 'big',
  long: 'long',
  soft: 'soft',
  'little-work': 'little work',
  gentle: 'gentle',
};

/** What each figure weighs: what it weighs of itself, and what asking for it adds. */
export type WantWeights = Readonly<Record<Want, number>>;

/** Weights of some wishes. `asked` is how much a wish adds. */
export const weightsOf = (wants: readonly Want[], asked: number): WantWeights =>
  Object.fromEntries(
    WANTS.map((want) => [want, WANT_WEIGHT[want] + (wants.includes(want) ? asked : 0)]),
  ) as Record<Want, number>;
