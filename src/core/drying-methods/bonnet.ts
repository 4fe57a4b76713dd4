import { defineDryingMethod } from './method';

export const bonnet = defineDryingMethod({
  id: 'bonnet',
  label: 'Satin bonnet, asleep',
  phrase: 'under a satin bonnet',
  dryer: null,
  isBlown: false,
  airC: null,
  airSpeedMS: 0.03,
  speedShare: [0.5, 0.8, 1],
  exchangeMmS: [2.5, 26, 20],
  scalpC: 34,
  sweatGM2H: 15,
  radiant: { from: 'room', offsetK: 1.5 },
  // Light satin, Ret about 4 m²Pa/W, 70 s/m, and the still air outside it (overnight §3).
  cover: { resistanceSM: 170, share: 0.15, areaRatio: 2.4 },
  duty: 1,
  usualHours: 8,
  canSleepIn: true,
});
