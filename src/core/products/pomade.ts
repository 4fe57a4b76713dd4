import { defineRole } from './role';

export const pomade = defineRole({
  id: 'pomade',
  label: 'Pomade',
  waterShare: 0.03,
  filmSM: 70,
  hold: 0.35,
  weight: 4,
  dosePerG: 0.07,
  handUnit: 'teaspoon',
  gramsPerMl: 0.95,
  residue: { stays: 0.6, leftPerWash: 0.4 },
  isSealant: true,
  isHold: true,
});
