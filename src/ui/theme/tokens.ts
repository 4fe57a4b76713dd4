/** Colours of the two schemes; `globals.css` holds the same names as CSS variables. Contrast pairs are tested. */
export const light = {
  ground: '#fbf5e9',
  raised: '#fffbf3',
  band: '#f6ecd9',
  ink: '#2b1a14',
  softInk: '#5f4a3e',
  line: '#e0d0b4',
  control: '#8a7560',
  act: '#2f3e8f',
  onAct: '#ffffff',
  actSoft: '#e4e6f6',
  now: '#f3b73b',
  onNow: '#2b1a14',
  dry: '#2e5b38',
  drySoft: '#dbe8cd',
  caution: '#8f3717',
  cautionSoft: '#f8e3d3',
} as const;

export type Tokens = { readonly [K in keyof typeof light]: string };

export const dark: Tokens = {
  ground: '#1c130f',
  raised: '#281b15',
  band: '#231712',
  ink: '#fbf0dc',
  softInk: '#d3bfa6',
  line: '#4b382d',
  control: '#9c8672',
  act: '#b9c2ff',
  onAct: '#161c4d',
  actSoft: '#2f3770',
  now: '#f3b73b',
  onNow: '#2b1a14',
  dry: '#aed49c',
  drySoft: '#27402b',
  caution: '#f5ae8c',
  cautionSoft: '#4d2415',
};

/** Pairs that text is set in: each must reach 4.5 : 1. */
export const TEXT_PAIRS: readonly (readonly [keyof Tokens, keyof Tokens])[] = [
  ['ink', 'ground'],
  ['ink', 'raised'],
  ['ink', 'band'],
  ['softInk', 'ground'],
  ['softInk', 'raised'],
  ['softInk', 'band'],
  ['act', 'ground'],
  ['act', 'raised'],
  ['onAct', 'act'],
  ['ink', 'actSoft'],
  ['onNow', 'now'],
  ['dry', 'ground'],
  ['dry', 'raised'],
  ['ink', 'drySoft'],
  ['dry', 'drySoft'],
  ['caution', 'ground'],
  ['caution', 'raised'],
  ['ink', 'cautionSoft'],
  ['caution', 'cautionSoft'],
];
