import { defineRole } from './role';

export const wax = defineRole({
  id: 'wax',
  label: 'Wax',
  waterShare: 0.03,
  filmSM: 70,
  hold: 0.45,
  weight: 5,
  dosePerG: 0.07,
  handUnit: 'teaspoon',
  gramsPerMl: 0.95,
  residue: { stays: 0.8, leftPerWash: 0.45 },
  isSealant: true,
  isHold: true,
});
