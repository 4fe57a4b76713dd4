import { defineRole } from './role';

export const humidityShield = defineRole({
  id: 'humidity-shield',
  label: 'Humidity shield',
  waterShare: 0,
  filmSM: 70,
  hold: 0.05,
  weight: 1,
  dosePerG: 0,
  fixedDoseG: 2,
  handUnit: 'pump',
  gramsPerMl: 0.95,
  residue: { stays: 1, leftPerWash: 0.15 },
  isSealant: true,
  isHold: false,
});
