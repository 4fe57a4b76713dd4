import { defineDryingMethod } from './method';

export const bonnet = defineDryingMethod({
  id: 'bonnet',
  label: 'Satin bonnet, asleep',
  phrase: 'under a satin bonnet',
  isHot: false,
  airC: null,
  airSpeedMS: 0.03,
  speedShare: [0.5, 0.8, 1],
  exchangeMmS: [4, 26, 20],
  scalpC: 34.5,
  sweatGM2H: 15,
  radiant: { from: 'room', offsetK: 4 },
  cover: { resistanceSM: 220, share: 0.3 },
  duty: 1,
  usualHours: 8,
  canSleepIn: true,
});
