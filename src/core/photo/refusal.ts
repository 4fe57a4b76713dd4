/** Why something was not measured, in words that say what to change. One row a finding. */
export const refusals = {
  'card-small': 'Card too small: come closer.',
  'card-edges': 'Could not follow the card’s edge. Tap where the straight edges would meet.',
  'card-not-found': 'Card not found: show all four squares, no glare.',
  'card-tilted': 'The card is turned away too far: hold it square to the camera.',
  'ruler-short': 'Too short on the picture: tap two marks further apart, or come closer.',
  'bar-off': 'The bar measures 47 to 53 mm on a card that can be used: print it again at 100 %.',
  detail: 'Too little detail: value not recorded.',
  'no-repeat': 'No regular coil: drag along two turns of one curl.',
  'drag-short': 'Drag further: 8 mm of one curl at least.',
  'box-small': 'Mark at least 20 mm a side, all of it hair.',
  dark: 'Too dark: turn to a window.',
  bright: 'Overexposed: turn from the light, or lower the exposure.',
  background: 'Use a plain wall of another colour.',
  'cut-off': 'Hair is cut off: step back.',
  'no-hair': 'No hair was found: tap on hair, and then on the wall.',
  'line-short': 'A length takes two points at least.',
  'too-long': 'Visible cannot exceed stretched: measure both again, in the same zone.',
  'white-off': 'The white of the card is too bright or too dark to go by.',
  'no-scale': 'This takes a size: lay a card or a ruler beside the hair.',
  'other-view': 'Different view: not joined to the line.',
} as const;
export type Refusal = keyof typeof refusals;

/** What came of measuring: a value, or why there is none. A refused value is missing, never 0. */
export type Measuring<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly refusal: Refusal };

export const refused = (refusal: Refusal): { readonly ok: false; readonly refusal: Refusal } => ({
  ok: false,
  refusal,
});

export const measured = <T>(value: T): { readonly ok: true; readonly value: T } => ({ ok: true, value });

/** A figure with its standard deviation, and what makes it worse. */
export interface Figure {
  readonly value: number;
  readonly sigma: number;
}
