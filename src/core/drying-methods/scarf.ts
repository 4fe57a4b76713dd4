import { defineDryingMethod } from './method';

export const scarf = defineDryingMethod({
  id: 'scarf',
  label: 'Scarf, free at the back, asleep',
  phrase: 'under a scarf, free at the back',
  dryer: null,
  isBlown: false,
  airC: null,
  airSpeedMS: 0.03,
  speedShare: [0.5, 0.8, 1],
  exchangeMmS: [2.5, 26, 20],
  scalpC: 34,
  sweatGM2H: 15,
  radiant: { from: 'room', offsetK: 1.5 },
  // The same satin in one layer, the back of the head left free to the room (assumed).
  cover: { resistanceSM: 120, share: 0.15, areaRatio: 2.4 },
  duty: 1,
  usualHours: 8,
  canSleepIn: true,
});
