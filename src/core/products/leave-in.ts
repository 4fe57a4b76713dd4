import { defineRole } from './role';

export const leaveIn = defineRole({
  id: 'leave-in',
  label: 'Leave-in',
  waterShare: 0.88,
  filmSM: 40,
  hold: 0.05,
  weight: 1,
  dosePerG: 0.08,
  handUnit: 'pump',
  gramsPerMl: 1.0,
  residue: { stays: 0.08, leftPerWash: 0.05 },
  isSealant: false,
  isHold: false,
});
