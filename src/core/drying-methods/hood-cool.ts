import { defineDryingMethod } from './method';

export const hoodCool = defineDryingMethod({
  id: 'hood-cool',
  label: 'Cool hood',
  phrase: 'under the hood on cool',
  dryer: 'hood',
  isBlown: true,
  airC: 44,
  airSpeedMS: 2,
  speedShare: [0.4, 0.65, 1],
  exchangeMmS: [55, 110, 180],
  scalpC: 35,
  sweatGM2H: 15,
  radiant: { from: 'air', offsetK: -8 },
  cover: null,
  duty: 1,
  usualHours: 1,
  canSleepIn: false,
});
