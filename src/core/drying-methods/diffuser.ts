import { defineDryingMethod } from './method';

export const diffuser = defineDryingMethod({
  id: 'diffuser',
  label: 'Diffuser',
  phrase: 'with a diffuser',
  dryer: 'diffuser',
  isBlown: true,
  airC: 55,
  airSpeedMS: 2.2,
  speedShare: [0.7, 0.7, 0.8],
  exchangeMmS: [75, 110, 180],
  scalpC: 36,
  sweatGM2H: 20,
  radiant: { from: 'room', offsetK: 0 },
  cover: null,
  duty: 0.45,
  usualHours: 0.75,
  canSleepIn: false,
});
