import { defineRole } from './role';

export const butter = defineRole({
  id: 'butter',
  label: 'Butter',
  waterShare: 0.08,
  filmSM: 70,
  hold: 0.15,
  weight: 5,
  dosePerG: 0.04,
  handUnit: 'teaspoon',
  gramsPerMl: 0.92,
  residue: { stays: 1, leftPerWash: 0.35 },
  isSealant: true,
  isHold: false,
});
