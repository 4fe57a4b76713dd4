import { defineDryingMethod } from './method';

export const fan = defineDryingMethod({
  id: 'fan',
  label: 'Fan, open air',
  phrase: 'in front of a fan',
  dryer: 'fan',
  isBlown: false,
  airC: null,
  airSpeedMS: 1,
  speedShare: [0.4, 0.75, 1],
  exchangeMmS: [12, 60, 80],
  scalpC: 33,
  sweatGM2H: 12,
  radiant: { from: 'room', offsetK: 0 },
  cover: null,
  duty: 1,
  usualHours: 4,
  canSleepIn: true,
});
