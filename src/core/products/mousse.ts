import { defineRole } from './role';

export const mousse = defineRole({
  id: 'mousse',
  label: 'Mousse or foam',
  waterShare: 0.92,
  filmSM: 30,
  hold: 0.55,
  weight: 1,
  dosePerG: 0.13,
  isSealant: false,
  isHold: true,
});
