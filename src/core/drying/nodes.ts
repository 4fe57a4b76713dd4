import { drying } from '../coefficients/drying';
import { hair } from '../coefficients/hair';
import type { Zone } from '../hair/zone';

/** How a technique lays hair in space for drying (drying §4). Packing is of wet hair. */
export type DryingShape =
  | {
      readonly kind: 'rope';
      readonly packing: number;
      /** Axial length over hair length. */
      readonly axialRatio: number;
      /** Wetted perimeter over that of one round rope. */
      readonly perimeterFactor: number;
      readonly rootExposure: number;
      /** Hair that hangs in clumps dries as several thinner ropes of at most this radius. */
      readonly clumpRadiusMm?: number;
    }
  | {
      readonly kind: 'layer';
      readonly packing: number;
      readonly rootExposure: number;
      readonly lengthExposure: number;
    };

/** Equal sections of one zone: everything the drying model needs to know of them. */
export interface SectionClass {
  readonly zone: Zone;
  /** How many such sections there are; may be a fraction in a check table. */
  readonly count: number;
  readonly sectionAreaCm2: number;
  readonly hairsPerCm2: number;
  readonly strandUm: number;
  readonly lengthCm: number;
  readonly shape: DryingShape;
  /** The rod a layer lies on; required for the `layer` shape. */
  readonly rod: { readonly diameterMm: number; readonly woundWidthMm: number } | null;
}

export const LEVELS = ['root', 'middle', 'ends'] as const;
export type Level = (typeof LEVELS)[number];

/** One level of one section, in SI units. */
export interface DryingNode {
  readonly massKg: number;
  /** Wetted area, m². */
  readonly areaM2: number;
  /** Rope radius or layer thickness, m. */
  readonly depthM: number;
  /** Characteristic diameter for air flow, m. */
  readonly diameterM: number;
  /** Mean-to-surface difference of a parabolic profile: 1/4 rope, 1/3 layer. */
  readonly profileFactor: number;
  readonly packing: number;
}

/**
 * Segment masses and wetted areas of one section at root, middle and ends.
 *
 * @throws RangeError when a layer has no rod
 * @source drying §4
 */
export function sectionNodes(section: SectionClass): readonly [DryingNode, DryingNode, DryingNode] {
  const c = drying.value;
  const lengthM = section.lengthCm / 100;
  const rootM = Math.min(c.rootSegmentCm / 100, c.rootSegmentShare * lengthM);
  const endM = c.endSegmentShare * lengthM;
  const segments = [
    { lengthM: rootM, survival: 1 },
    { lengthM: lengthM - rootM - endM, survival: c.middleSurvival },
    { lengthM: endM, survival: c.endSurvival },
  ] as const;
  const fibreM2 =
    section.hairsPerCm2 * section.sectionAreaCm2 * (Math.PI / 4) * (section.strandUm * 1e-6) ** 2;
  const masses = segments.map((s) => hair.value.fibreDensity * fibreM2 * s.lengthM * s.survival);
  const { shape } = section;

  if (shape.kind === 'layer') {
    if (!section.rod) throw new RangeError('a layer needs the rod it lies on');
    const radiusM = section.rod.diameterMm / 2000;
    const widthM = section.rod.woundWidthMm / 1000;
    const totalKg = masses.reduce((sum, mass) => sum + mass, 0);
    const volumeM3 = totalKg / (hair.value.fibreDensity * shape.packing);
    const thicknessM = -radiusM + Math.sqrt(radiusM ** 2 + volumeM3 / (Math.PI * widthM));
    const outerM2 = 2 * Math.PI * (radiusM + thicknessM) * widthM;
    const node = (level: number): DryingNode => ({
      massKg: masses[level]!,
      areaM2:
        ((outerM2 * masses[level]!) / totalKg) * (level === 0 ? shape.rootExposure : shape.lengthExposure),
      depthM: thicknessM,
      diameterM: 2 * (radiusM + thicknessM),
      profileFactor: 1 / 3,
      packing: shape.packing,
    });
    return [node(0), node(1), node(2)];
  }

  const sideM = Math.sqrt(section.sectionAreaCm2 * 1e-4);
  const rootExposure = shape.rootExposure * (1 - c.coneLoss * Math.min(1, sideM / (2 * segments[0].lengthM)));
  const node = (level: 0 | 1 | 2): DryingNode => {
    const segment = segments[level];
    const whole = Math.sqrt((fibreM2 * segment.survival) / (shape.packing * shape.axialRatio) / Math.PI);
    const clumpM = (shape.clumpRadiusMm ?? Infinity) / 1000;
    const clumps = Math.max(1, (whole / clumpM) ** 2);
    const radiusM = Math.min(whole, clumpM);
    return {
      massKg: masses[level]!,
      areaM2:
        clumps *
        2 *
        Math.PI *
        radiusM *
        segment.lengthM *
        shape.axialRatio *
        shape.perimeterFactor *
        (level === 0 ? rootExposure : 1),
      depthM: radiusM,
      diameterM: 2 * radiusM,
      profileFactor: 1 / 4,
      packing: shape.packing,
    };
  };
  return [node(0), node(1), node(2)];
}
