import { drying } from '../coefficients/drying';
import { ZONES, type PerZone, type Zone } from '../hair/zone';
import { normalQuantile } from '../stats/normal';
import { clamp } from '../units/clamp';
import type { DryingShape, SectionClass } from './nodes';

/** Equal sections of one zone. */
export interface ZoneSections {
  readonly zone: Zone;
  readonly count: number;
  readonly areaCm2: number;
}

/** What all sections of a head share. */
export interface HeadForDrying {
  readonly hairsPerCm2: number;
  readonly strandUm: number;
  readonly lengthCm: PerZone<number>;
  readonly shape: DryingShape;
  readonly rod: SectionClass['rod'];
}

/** No section is parted smaller than this share of an even one. */
const SMALLEST_SHARE = 0.3;

/**
 * Area of the largest of `count` hand-parted sections over an even one: the middle value of what parting
 * by hand gives. One section alone is as large as it is.
 *
 * @source drying §7: the largest of n log-normal sections
 */
export function largestSectionFactor(count: number): number {
  if (count <= 1) return 1;
  const factor = Math.exp(drying.value.unevenParting * normalQuantile(0.5 ** (1 / count)));
  return Math.min(factor, count - (count - 1) * SMALLEST_SHARE);
}

/**
 * Classes of the drying model: in each zone the one largest section, which decides when every root is dry,
 * and the others, which share the rest of the zone.
 */
export function handPartedClasses(zones: readonly ZoneSections[], head: HeadForDrying): SectionClass[] {
  return ZONES.flatMap((zone) => {
    const sections = zones.find((z) => z.zone === zone);
    if (!sections || sections.count === 0) return [];
    const common = {
      zone,
      hairsPerCm2: head.hairsPerCm2,
      strandUm: head.strandUm,
      lengthCm: head.lengthCm[zone],
      shape: head.shape,
      rod: head.rod,
    };
    const { count, areaCm2 } = sections;
    if (count === 1) return [{ ...common, count, sectionAreaCm2: areaCm2 }];
    const largest = clamp(largestSectionFactor(count), 1, count);
    return [
      { ...common, count: count - 1, sectionAreaCm2: (areaCm2 * (count - largest)) / (count - 1) },
      { ...common, count: 1, sectionAreaCm2: areaCm2 * largest },
    ];
  });
}
