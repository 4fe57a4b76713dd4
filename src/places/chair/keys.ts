/** Single keys at the chair, as shown under "?". */
export const CHAIR_KEYS = [
  { key: ' ', shown: 'Space', does: 'section done; so do Enter, Page down and the arrows of a foot switch' },
  { key: 'Backspace', shown: '⌫', does: 'undo the last section' },
  { key: 'm', shown: 'M', does: 'misted' },
  { key: 'p', shown: 'P', does: 'pause or go on' },
  { key: 'd', shown: 'D', does: 'dryness check' },
  { key: 'h', shown: 'H', does: 'how it dries: begin, stop, what would make it dry by a time' },
  { key: 's', shown: 'S', does: 'several sections at once' },
  { key: 'b', shown: 'B', does: 'what comes before the set' },
  { key: 'x', shown: 'X', does: 'part it otherwise: split, join, thin, leave out' },
  { key: 'r', shown: 'R', does: 'what would help to be in time, when it runs late' },
  { key: 'c', shown: 'C', does: 'how it is done, with drawings' },
  { key: 'w', shown: 'W', does: 'product used: counted or weighed' },
  { key: 'n', shown: 'N', does: 'note' },
  { key: '?', shown: '?', does: 'show the keys' },
] as const;

/** How a key is written on a button. */
export const shownKey = (key: ChairKey): string => CHAIR_KEYS.find((one) => one.key === key)!.shown;

/** What clickers and foot switches send, as the key that it stands for. */
export const SWITCH_KEYS: Readonly<Record<string, ChairKey>> = {
  Enter: ' ',
  PageDown: ' ',
  ArrowRight: ' ',
  ArrowDown: ' ',
  PageUp: 'Backspace',
  ArrowLeft: 'Backspace',
  ArrowUp: 'Backspace',
};

export type ChairKey = (typeof CHAIR_KEYS)[number]['key'];
