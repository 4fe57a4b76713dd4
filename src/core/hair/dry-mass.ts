import { drying } from '../coefficients/drying';
import { hair } from '../coefficients/hair';
import { strandAreaMm2 } from './head';

/**
 * Mean share of hairs over the length: root, middle and ends of the drying model, since lengths are uneven.
 *
 * @source drying §4, segments
 */
export function meanSurvival(lengthCm: number): number {
  const c = drying.value;
  const root = Math.min(c.rootSegmentCm, c.rootSegmentShare * lengthCm) / lengthCm;
  return root + (1 - root - c.endSegmentShare) * c.middleSurvival + c.endSegmentShare * c.endSurvival;
}

/**
 * Dry mass of `hairCount` hairs of `lengthCm`, g.
 *
 * @param survival mean share of hairs over the length, 1 when all reach the end
 * @example dryMassG(5940, 25, 70, 1) // => 7.543734
 */
export const dryMassG = (hairCount: number, lengthCm: number, strandUm: number, survival: number): number =>
  hairCount * strandAreaMm2(strandUm) * survival * lengthCm * 10 * hair.value.fibreDensity * 1e-6;
