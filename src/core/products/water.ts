import { defineRole } from './role';

export const water = defineRole({
  id: 'water',
  label: 'Water',
  waterShare: 1,
  filmSM: 0,
  hold: 0.05,
  weight: 0,
  dosePerG: 0.1,
  handUnit: 'teaspoon',
  gramsPerMl: 1,
  residue: { stays: 0, leftPerWash: 0 },
  isSealant: false,
  isHold: false,
});
