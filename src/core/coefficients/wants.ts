/** What can matter about a set; two of them at once. */
export const WANTS = ['lasts', 'defined', 'big', 'long', 'soft', 'little-work', 'gentle'] as const;
export type Want = (typeof WANTS)[number];
export const MOST_WANTS = 2;

/** How each is asked for. */
export const WANT_LABEL: Readonly<Record<Want, string>> = {
  lasts: 'lasting',
  defined: 'defined',
  big: 'big',
  long: 'long',
  soft: 'soft',
  'little-work': 'little work',
  gentle: 'gentle',
};

/** What each figure weighs before anything is wished for (judgement). */
export const WANT_WEIGHT: Readonly<Record<Want, number>> = {
  lasts: 0.45,
  defined: 0.6,
  big: 0.15,
  long: 0.2,
  soft: 0.3,
  'little-work': 0.5,
  gentle: 0.3,
};

/** What each figure weighs: of itself, and what asking for it adds. */
export type WantWeights = Readonly<Record<Want, number>>;

/** Weights of some wishes. @param asked how much a wish adds */
export const weightsOf = (wants: readonly Want[], asked: number): WantWeights =>
  Object.fromEntries(
    WANTS.map((want) => [want, WANT_WEIGHT[want] + (wants.includes(want) ? asked : 0)]),
  ) as Record<Want, number>;
