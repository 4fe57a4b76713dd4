import { defineRole } from './role';

export const leaveIn = defineRole({
  id: 'leave-in',
  label: 'Leave-in',
  waterShare: 0.88,
  filmSM: 40,
  hold: 0.05,
  weight: 1,
  dosePerG: 0.08,
  isSealant: false,
  isHold: false,
});
