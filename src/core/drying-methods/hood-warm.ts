import { defineDryingMethod } from './method';

export const hoodWarm = defineDryingMethod({
  id: 'hood-warm',
  label: 'Warm hood',
  phrase: 'under the hood on warm',
  dryer: 'hood',
  isBlown: true,
  airC: 50,
  airSpeedMS: 2,
  speedShare: [0.4, 0.65, 1],
  exchangeMmS: [55, 110, 180],
  scalpC: 36,
  sweatGM2H: 25,
  radiant: { from: 'air', offsetK: -8 },
  cover: null,
  duty: 1,
  usualHours: 1,
  canSleepIn: false,
});
