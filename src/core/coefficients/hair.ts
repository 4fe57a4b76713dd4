import { coefficients } from './coefficient';

/** Hair and scalp (set-geometry §2, drying §2–4). */
export const hair = coefficients({
  scalpAreaAt56Cm: [650, 'cm²', 600, 700, 'C', 'hair-bearing scalp at 56 cm circumference'],
  ponytailPacking: [
    0.55,
    '–',
    0.45,
    0.65,
    'A',
    'share of a gripped ponytail that is hair; calibrate per head',
  ],
  fibreDensity: [1320, 'kg/m³', 1300, 1340, 'P', 'density of keratin fibre'],
  growthSlowMmPerMonth: [8, 'mm/month', 6, 10, 'P', 'published means for tightly coiled hair, from memory'],
  growthFastMmPerMonth: [12.5, 'mm/month', 10, 15, 'P', 'straight scalp hair, from memory'],
  ordinaryHumidity: [
    0.45,
    'share',
    0.35,
    0.55,
    'A',
    'hair that is dry in an ordinary room is dry in drier air too',
  ],
  dryAirHumidity: [
    0.72,
    'share',
    0.65,
    0.76,
    'F',
    'hair in balance with this air reads as dry; keratin is conditioned at .65',
  ],
  dampRoomMargin: [
    0.05,
    'share',
    0.02,
    0.08,
    'A',
    'in a damper room hair is dry this far above its humidity',
  ],
  keptOfWetting: [
    0.65,
    'share',
    0.4,
    0.8,
    'F',
    'of what wetting added that dry hair may still hold: wetted hair never starts dry',
  ],
  traceRegain: [0.02, 'g/g', 0.01, 0.03, 'A', 'so little more than the room gives is dry however it came'],
  hotDryingShare: [
    4,
    '–',
    2,
    8,
    'A',
    'how soon all-hot drying takes the measure of an ordinary room, per g/g it has to lose',
  ],
  glassRegain: [
    0.22,
    'g/g',
    0.18,
    0.26,
    'M',
    'above it keratin is soft at room temperature and a set does not hold',
  ],
  modulusMPa: [4000, 'N/mm²', 3500, 5000, 'P', 'Young modulus of one hair'],
  poissonRatio: [0.35, '–', 0.3, 0.4, 'A', 'for the torsional stiffness'],
});

/** Hairs per cm² that a stylist means by low, medium and high density (common practice). */
export const DENSITY_PER_CM2 = { low: 130, medium: 165, high: 210 } as const;

/** Strand diameters that a stylist means by fine, medium and coarse, µm (common practice). */
export const STRAND_UM = { fine: 55, medium: 70, coarse: 90 } as const;

/** Bound-water factor of drying and dose factor by porosity (drying §4, set-geometry §10). */
export const POROSITY = {
  low: { label: 'low', boundWater: 0.9, dose: 0.85 },
  medium: { label: 'medium', boundWater: 1, dose: 1 },
  high: { label: 'high', boundWater: 1.15, dose: 1.25 },
} as const;
export type Porosity = keyof typeof POROSITY;
