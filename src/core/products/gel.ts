import { defineRole } from './role';

export const gel = defineRole({
  id: 'gel',
  label: 'Gel',
  waterShare: 0.9,
  filmSM: 60,
  hold: 0.85,
  weight: 2,
  dosePerG: 0.22,
  handUnit: 'dime',
  gramsPerMl: 1.02,
  residue: { stays: 0.06, leftPerWash: 0.1 },
  isSealant: false,
  isHold: true,
});
