import { defineDryingMethod } from './method';

export const diffuserRoots = defineDryingMethod({
  id: 'diffuser-roots',
  label: 'Diffuser, roots first',
  phrase: 'with a diffuser, roots first',
  dryer: 'diffuser',
  isBlown: true,
  airC: 55,
  airSpeedMS: 2.2,
  speedShare: [0.9, 0.65, 0.55],
  exchangeMmS: [100, 105, 140],
  scalpC: 36,
  sweatGM2H: 20,
  radiant: { from: 'room', offsetK: 0 },
  cover: null,
  duty: 0.45,
  isManner: true,
  usualHours: 0.75,
  canSleepIn: false,
});
