import { defineRole } from './role';

export const cream = defineRole({
  id: 'cream',
  label: 'Cream',
  waterShare: 0.72,
  filmSM: 90,
  hold: 0.25,
  weight: 3,
  dosePerG: 0.12,
  isSealant: false,
  isHold: false,
});
