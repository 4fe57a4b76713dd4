import { defineRole } from './role';

export const oil = defineRole({
  id: 'oil',
  label: 'Oil',
  waterShare: 0,
  filmSM: 70,
  hold: 0.05,
  weight: 4,
  dosePerG: 0.02,
  handUnit: 'teaspoon',
  gramsPerMl: 0.92,
  residue: { stays: 1, leftPerWash: 0.25 },
  isSealant: true,
  isHold: false,
});
