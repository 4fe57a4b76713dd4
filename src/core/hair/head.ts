import { hair, type Porosity } from '../coefficients/hair';
import type { PerZone } from './zone';

/** What can be measured of a head, or not be known: the usual is taken then, and ranges are wider. */
export const KNOWABLE = [
  'stretchedLengthCm',
  'shrinkage',
  'naturalCoilDiameterMm',
  'strandDiameterUm',
  'densityPerCm2',
  'porosity',
  'circumferenceCm',
] as const;
export type Knowable = (typeof KNOWABLE)[number];

/** A head as measured on one day. */
export interface Head {
  readonly circumferenceCm: number;
  readonly densityPerCm2: number;
  readonly strandDiameterUm: number;
  readonly naturalCoilDiameterMm: number;
  /** Where it differs from that. */
  readonly zoneCoilMm: Partial<PerZone<number>>;
  /** Share of the length that draws up, 0 to 0.92. */
  readonly shrinkage: number;
  readonly porosity: Porosity;
  readonly conditions: readonly string[];
  readonly stretchedLengthCm: PerZone<number>;
  /** Of its fields, those that stand at what is usual because nobody measured them. */
  readonly notKnown: readonly Knowable[];
}

/** Hair-bearing scalp, cm², from the circumference (set-geometry §2). @example scalpAreaCm2(56) // => 650 */
export const scalpAreaCm2 = (circumferenceCm: number): number =>
  hair.value.scalpAreaAt56Cm * (circumferenceCm / 56) ** 2;

/**
 * Cross-section of one hair, mm².
 *
 * @example 1000 * strandAreaMm2(70) // => 3.848
 */
export const strandAreaMm2 = (strandUm: number): number => (Math.PI / 4) * (strandUm / 1000) ** 2;

/**
 * Hairs held in a ponytail gripped to `circumferenceCm` (set-geometry §2).
 *
 * @example ponytailHairCount(8, 70) // => 72786
 */
export const ponytailHairCount = (circumferenceCm: number, strandUm: number): number =>
  (hair.value.ponytailPacking * 100 * circumferenceCm ** 2) / (4 * Math.PI) / strandAreaMm2(strandUm);

/** Hair density, per cm², when all of it is in that ponytail. */
export const ponytailDensityPerCm2 = (circumferenceCm: number, strandUm: number, scalpCm2: number): number =>
  ponytailHairCount(circumferenceCm, strandUm) / scalpCm2;
