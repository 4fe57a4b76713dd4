import { defineRole } from './role';

export const gel = defineRole({
  id: 'gel',
  label: 'Gel',
  waterShare: 0.9,
  filmSM: 60,
  hold: 0.85,
  weight: 2,
  dosePerG: 0.22,
  isSealant: false,
  isHold: true,
});
