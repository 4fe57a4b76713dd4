import { defineRole } from './role';

export const pomade = defineRole({
  id: 'pomade',
  label: 'Pomade',
  waterShare: 0.03,
  filmSM: 70,
  hold: 0.35,
  weight: 4,
  dosePerG: 0.07,
  isSealant: true,
  isHold: true,
});
