import type { Condition } from '@/core/formats/brief';

/** Conditions as a stylist says them. */
export const CONDITION_LABEL: Readonly<Record<Condition, string>> = {
  bleached: 'Bleached',
  coloured: 'Coloured',
  'heat-damaged': 'Heat-damaged',
  transitioning: 'Transitioning',
  'due-a-trim': 'Due a trim',
  'blunt-trim': 'Fresh blunt trim',
  'tapered-cut': 'Tapered cut',
  'sore-scalp': 'Sore scalp',
  'flaking-scalp': 'Flaking scalp',
  child: 'A child',
  'protein-sensitive': 'Protein makes it stiff',
};
