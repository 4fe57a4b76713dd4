/** Single keys at the chair, as shown under "?". */
export const CHAIR_KEYS = [
  { key: ' ', shown: 'Space', does: 'section done' },
  { key: 'Backspace', shown: '⌫', does: 'undo the last section' },
  { key: 'm', shown: 'M', does: 'misted' },
  { key: 'p', shown: 'P', does: 'pause or go on' },
  { key: 'd', shown: 'D', does: 'dryness check' },
  { key: 'n', shown: 'N', does: 'note' },
  { key: '?', shown: '?', does: 'show the keys' },
] as const;
export type ChairKey = (typeof CHAIR_KEYS)[number]['key'];
