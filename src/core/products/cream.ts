import { defineRole } from './role';

export const cream = defineRole({
  id: 'cream',
  label: 'Cream',
  waterShare: 0.72,
  filmSM: 90,
  hold: 0.25,
  weight: 3,
  dosePerG: 0.12,
  handUnit: 'teaspoon',
  gramsPerMl: 0.98,
  residue: { stays: 0.2, leftPerWash: 0.15 },
  isSealant: false,
  isHold: false,
});
