import { defineDryingMethod } from './method';

export const hoodHot = defineDryingMethod({
  id: 'hood-hot',
  label: 'Hot hood',
  phrase: 'under the hood on hot',
  dryer: 'hood',
  isBlown: true,
  airC: 58,
  airSpeedMS: 2,
  speedShare: [0.4, 0.65, 1],
  exchangeMmS: [55, 110, 180],
  scalpC: 37,
  sweatGM2H: 40,
  radiant: { from: 'air', offsetK: -8 },
  cover: null,
  duty: 1,
  usualHours: 0.5,
  canSleepIn: false,
});
