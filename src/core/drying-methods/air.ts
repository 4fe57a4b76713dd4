import { defineDryingMethod } from './method';

export const air = defineDryingMethod({
  id: 'air',
  label: 'Open air',
  phrase: 'in open air',
  dryer: null,
  isBlown: false,
  airC: null,
  airSpeedMS: 0.12,
  speedShare: [0.3, 0.75, 1],
  exchangeMmS: [4, 24, 25],
  scalpC: 33.5,
  sweatGM2H: 12,
  radiant: { from: 'room', offsetK: 0 },
  cover: null,
  duty: 1,
  usualHours: 8,
  canSleepIn: true,
});
