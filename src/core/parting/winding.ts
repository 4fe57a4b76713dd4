/** Which way a section is wound or turned, seen from behind the chair. */
export type Winding = 'away-from-face' | 'to-left' | 'to-right';
/** Which way hair is wound on a tool, seen from behind the client. */
export const WINDINGS = ['away-from-face', 'to-left', 'to-right'] as const satisfies readonly Winding[];

/** The same in words, as one would say it across the chair. */
export const WINDING_WORDS: Readonly<Record<Winding, string>> = {
  'away-from-face': 'away from the face',
  'to-left': 'to her left',
  'to-right': 'to her right',
};

/**
 * Which way round hair is wound: 1 rises to the right as it is looked at, −1 to the left. What goes away from the face is
 * wound alike on either side of the head, as a mirror shows it.
 *
 * @param across where its section lies, below nought on her left
 */
export const windingHand = (winding: Winding, across: number): 1 | -1 =>
  winding === 'to-left' ? -1 : winding === 'to-right' ? 1 : across < 0 ? -1 : 1;

/** Which way sections are wound where none is said of a single one. One row a pattern (common practice). */
export const windingPatterns = {
  usual: { label: 'Face frame back, the rest in turns' },
  alternate: { label: 'Alternate, all over' },
  away: { label: 'All away from the face' },
  falls: { label: 'As it falls, to either side' },
} as const;
export type WindingPatternId = keyof typeof windingPatterns;
/** Their ids, as they are offered. */
export const WINDING_PATTERN_IDS = Object.keys(windingPatterns) as WindingPatternId[];
