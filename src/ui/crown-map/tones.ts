/** Skin tones to choose from; the map defaults to a deep brown. */
export const SKIN_TONES = {
  espresso: { label: 'Espresso', fill: '#4f2f22', edge: '#2a160f' },
  mahogany: { label: 'Mahogany', fill: '#6b4230', edge: '#37190f' },
  chestnut: { label: 'Chestnut', fill: '#8a5a3c', edge: '#4a2a18' },
  amber: { label: 'Amber', fill: '#b07a4f', edge: '#6a4020' },
  honey: { label: 'Honey', fill: '#cf9d70', edge: '#7e5530' },
  sand: { label: 'Sand', fill: '#e6c4a0', edge: '#94704a' },
} as const;
export type SkinTone = keyof typeof SKIN_TONES;
export const DEFAULT_SKIN: SkinTone = 'mahogany';

/** Hair tones to choose from. */
export const HAIR_TONES = {
  black: { label: 'Black', stroke: '#1c1210' },
  'dark-brown': { label: 'Dark brown', stroke: '#3b2318' },
  auburn: { label: 'Auburn', stroke: '#6e2f1b' },
  copper: { label: 'Copper', stroke: '#99501f' },
  blonde: { label: 'Bleached blonde', stroke: '#a8782d' },
  silver: { label: 'Silver', stroke: '#6d6a6a' },
} as const;
export type HairTone = keyof typeof HAIR_TONES;
export const DEFAULT_HAIR: HairTone = 'black';

/** The tone of a stored name; one from a newer version shows as the default. */
export const skinTone = (name: string) => SKIN_TONES[name as SkinTone] ?? SKIN_TONES[DEFAULT_SKIN];
export const hairTone = (name: string) => HAIR_TONES[name as HairTone] ?? HAIR_TONES[DEFAULT_HAIR];
