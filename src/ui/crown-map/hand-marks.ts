/** Marks of the hands at one head, in the order they came to it; the colour of each is in the style of the map. */
const MARKS = ['●', '■', '▲', '◆'] as const;

/** A hand as the map draws it. */
export interface HandMark {
  readonly place: number;
  readonly mark: (typeof MARKS)[number];
  /** Whose it is, in words. */
  readonly words: string;
}

/** The mark of the hand that came as the `place`-th to a head, from 0; after four they begin again. */
export const handMark = (place: number, words: string): HandMark => ({
  place: place % MARKS.length,
  mark: MARKS[place % MARKS.length]!,
  words,
});
