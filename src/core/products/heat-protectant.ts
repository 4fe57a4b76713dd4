import { defineRole } from './role';

export const heatProtectant = defineRole({
  id: 'heat-protectant',
  label: 'Heat protectant',
  waterShare: 0,
  filmSM: 70,
  hold: 0.05,
  weight: 1,
  dosePerG: 0,
  fixedDoseG: 2,
  handUnit: 'pump',
  gramsPerMl: 0.95,
  residue: { stays: 1, leftPerWash: 0.15 },
  isSealant: false,
  isHold: false,
});
