import { drying } from '../coefficients/drying';
import type { Side } from '../hair/half';
import { normalQuantile } from '../stats/normal';
import { clamp } from '../units/clamp';
import type { SectionClass } from './nodes';

/** Sections of one zone: like one {@link SectionClass} for all of them, with their mean and largest size. */
export interface ZoneSections extends Omit<SectionClass, 'sectionAreaCm2'> {
  /** The half that is meant, where the layers of two halves differ. */
  readonly side?: Side | null;
  readonly areaCm2: number;
  /** The largest of them as planned; parting by hand makes one larger still. */
  readonly largestCm2: number;
}

/**
 * Area of the largest of `count` hand-parted sections over an even one. One section alone is as large as it is.
 *
 * @param quantile where in its distribution, 0.5 for the middle value
 * @source drying §7: the largest of n log-normal sections
 */
export function largestSectionFactor(count: number, quantile = 0.5): number {
  if (count <= 1) return 1;
  const factor = Math.exp(drying.value.unevenParting * normalQuantile(quantile ** (1 / count)));
  return Math.min(factor, count - (count - 1) * drying.value.smallestSectionShare);
}

/** What a draw changes of every section of a zone. */
export interface DrawnZone {
  /** × the hair density. */
  readonly density: number;
  readonly startMoisture: number;
  readonly filmResistanceSM: number;
  /** Where in the distribution of the largest section the zone lies, 0.5 in the middle. */
  readonly largestQuantile: number;
}

/** One class, written out: object spreads are slow and many heads are drawn. */
const classOf = (
  zone: ZoneSections,
  drawn: DrawnZone,
  count: number,
  sectionAreaCm2: number,
): SectionClass => ({
  zone: zone.zone,
  count,
  sectionAreaCm2,
  hairsPerCm2: zone.hairsPerCm2 * drawn.density,
  strandUm: zone.strandUm,
  lengthCm: zone.lengthCm,
  shape: zone.shape,
  rod: zone.rod,
  endRod: zone.endRod ?? null,
  startMoisture: drawn.startMoisture,
  filmResistanceSM: drawn.filmResistanceSM,
  setBeforeEndH: zone.setBeforeEndH ?? 0,
});

/**
 * Classes of the drying model: in each zone the one largest section, which decides when every root is dry,
 * and the others, which share the rest of the zone.
 *
 * @param drawnOf what is drawn for a zone
 */
export function handPartedClasses(
  zones: readonly ZoneSections[],
  drawnOf: (zoneIndex: number) => DrawnZone,
): SectionClass[] {
  return zones.flatMap((zone, index): SectionClass[] => {
    const { areaCm2, largestCm2, count } = zone;
    const drawn = drawnOf(index);
    if (count === 0) return [];
    if (count === 1) return [classOf(zone, drawn, 1, areaCm2)];
    const asked = Math.max(largestSectionFactor(count, drawn.largestQuantile), largestCm2 / areaCm2);
    const largest = clamp(asked, 1, count - (count - 1) * drying.value.smallestSectionShare);
    return [
      classOf(zone, drawn, count - 1, (areaCm2 * (count - largest)) / (count - 1)),
      classOf(zone, drawn, 1, areaCm2 * largest),
    ];
  });
}
