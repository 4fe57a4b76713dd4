import { defineRole } from './role';

export const settingLotion = defineRole({
  id: 'setting-lotion',
  label: 'Setting lotion',
  waterShare: 0.92,
  filmSM: 30,
  hold: 0.65,
  weight: 1,
  dosePerG: 0.13,
  handUnit: 'foam-pump',
  gramsPerMl: 1.0,
  residue: { stays: 0.06, leftPerWash: 0.05 },
  isSealant: false,
  isHold: true,
});
