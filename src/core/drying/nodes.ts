import { drying } from '../coefficients/drying';
import { hair } from '../coefficients/hair';
import type { Zone } from '../hair/zone';

/** How a technique lays hair in space for drying (drying §4). Packing is of wet hair. */
export type DryingShape = RopeShape | LayerShape | RibbonShape | BallShape;

interface RopeShape {
  readonly kind: 'rope';
  readonly packing: number;
  /** Axial length over hair length. */
  readonly axialRatio: number;
  /** Wetted perimeter over that of one round rope. */
  readonly perimeterFactor: number;
  readonly rootExposure: number;
  /** Share of the surface left open where it lies on the scalp: all along but for the ends, which hang free. */
  readonly openShare?: number;
  /** Hair is picked up along a lane of this length, so that the rope lies thinner and longer. */
  readonly laneCm?: number;
  /** Hair that hangs in clumps dries as several thinner ropes of at most this radius. */
  readonly clumpRadiusMm?: number;
  /** How much more freely air passes through, for hair that hangs loose. */
  readonly vent?: number;
}

interface LayerShape {
  readonly kind: 'layer';
  readonly packing: number;
  readonly rootExposure: number;
  readonly lengthExposure: number;
}

interface RibbonShape {
  readonly kind: 'ribbon';
  readonly packing: number;
  readonly axialRatio: number;
  readonly widthMm: number;
  readonly rootExposure: number;
  /** Vapour resistance of the sleeve, s/m. */
  readonly sleeveSM: number;
}

interface BallShape {
  readonly kind: 'ball';
  readonly packing: number;
  readonly openShare: number;
}

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
  /** Resistance of dried product films, s/m; that of the run when left out. */
  readonly filmResistanceSM?: number;
  /** The rod a layer lies on; required for the `layer` shape. */
  readonly rod: WoundRod | null;
  /** A rod on the ends of a rope. */
  readonly endRod?: WoundRod | null;
  /** Moisture when it was set, g per g; the run's own start where it is left out. */
  readonly startMoisture?: number;
  /** When it was set, h before the end of installing is 0. */
  readonly setBeforeEndH?: number;
}

/** A rod and the width of hair on it. */
export interface WoundRod {
  readonly diameterMm: number;
  readonly woundWidthMm: number;
}

/** Places along the hair, from the scalp. */
export const LEVELS = ['root', 'middle', 'ends'] as const;
export type Level = (typeof LEVELS)[number];

/** One level of one section, in SI units. */
export interface DryingNode {
  readonly level: 0 | 1 | 2;
  readonly massKg: number;
  /** Wetted area, m². */
  readonly areaM2: number;
  /** Rope or knot radius, or layer thickness, m. */
  readonly depthM: number;
  /** Characteristic diameter for air flow, m. */
  readonly diameterM: number;
  /** Mean-to-surface difference of a parabolic profile: 1/4 rope, 1/5 ball, 1/3 layer. */
  readonly profileFactor: number;
  readonly packing: number;
  /** Vapour resistance of a sleeve round it, s/m. */
  readonly sleeveSM: number;
  /** Where it touches the scalp, m²; never more than its section. */
  readonly footprintM2: number;
  /** A knot: one node stands for root, middle and ends. */
  readonly isKnot: boolean;
}

/** Width of hair on a rod that holds the ends of a braid or twist, mm (drying §4). */
export const END_ROD_WIDTH_MM = 30;
/** Share of a rod on the ends that the air reaches. */
const END_ROD_EXPOSURE = 0.8;
const THINNEST_RIBBON_M = 1e-4;

/** One node, always of one object shape: many heads are drawn. */
const nodeOf = (
  shape: DryingShape,
  level: 0 | 1 | 2,
  massKg: number,
  areaM2: number,
  depthM: number,
  diameterM: number,
  profileFactor: number,
  footprintM2: number,
): DryingNode => ({
  level,
  massKg,
  areaM2,
  depthM,
  diameterM,
  profileFactor,
  packing: shape.packing,
  sleeveSM: shape.kind === 'ribbon' ? shape.sleeveSM : 0,
  footprintM2,
  isKnot: shape.kind === 'ball',
});

/** Thickness of a layer of `volumeM3` wound over `widthM` of a rod of `radiusM`. */
const layerThicknessM = (volumeM3: number, radiusM: number, widthM: number): number =>
  -radiusM + Math.sqrt(radiusM ** 2 + volumeM3 / (Math.PI * widthM));

/**
 * Segment masses and wetted areas of one section: root, middle and ends, or one node for a knot.
 *
 * @throws RangeError when a layer has no rod
 * @source drying §4
 */
export function sectionNodes(section: SectionClass): readonly DryingNode[] {
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
  const totalKg = masses.reduce((sum, mass) => sum + mass, 0);
  const { shape } = section;
  const sectionM2 = section.sectionAreaCm2 * 1e-4;

  switch (shape.kind) {
    case 'layer': {
      if (!section.rod) throw new RangeError('a layer needs the rod it lies on');
      const radiusM = section.rod.diameterMm / 2000;
      const widthM = section.rod.woundWidthMm / 1000;
      const thicknessM = layerThicknessM(
        totalKg / (hair.value.fibreDensity * shape.packing),
        radiusM,
        widthM,
      );
      const outerM2 = 2 * Math.PI * (radiusM + thicknessM) * widthM;
      return LEVEL_NUMBERS.map((level) =>
        nodeOf(
          shape,
          level,
          masses[level]!,
          ((outerM2 * masses[level]!) / totalKg) * (level === 0 ? shape.rootExposure : shape.lengthExposure),
          thicknessM,
          2 * (radiusM + thicknessM),
          1 / 3,
          level === 0
            ? Math.min(sectionM2, (c.rodTouch * 2 * (radiusM + thicknessM) * widthM * masses[0]!) / totalKg)
            : 0,
        ),
      );
    }
    case 'ribbon': {
      const widthM = shape.widthMm / 1000;
      return LEVEL_NUMBERS.map((level) => {
        const segment = segments[level];
        const thicknessM = Math.max(
          THINNEST_RIBBON_M,
          (fibreM2 * segment.survival) / (shape.packing * shape.axialRatio * widthM),
        );
        return nodeOf(
          shape,
          level,
          masses[level]!,
          2 * widthM * segment.lengthM * shape.axialRatio * (level === 0 ? shape.rootExposure : 1),
          thicknessM / 2,
          widthM,
          1 / 3,
          level === 0 ? Math.min(sectionM2, widthM * segment.lengthM * shape.axialRatio) : 0,
        );
      });
    }
    case 'ball': {
      const volumeM3 = totalKg / (hair.value.fibreDensity * shape.packing);
      const radiusM = Math.cbrt((3 * volumeM3) / (4 * Math.PI));
      return [
        nodeOf(
          shape,
          1,
          totalKg,
          4 * Math.PI * radiusM ** 2 * shape.openShare,
          radiusM,
          2 * radiusM,
          1 / 5,
          Math.min(sectionM2, Math.PI * radiusM ** 2),
        ),
      ];
    }
    case 'rope': {
      // A lane is as wide as its hair over the way it is picked up along.
      const sideM = shape.laneCm ? sectionM2 / (shape.laneCm / 100) : Math.sqrt(sectionM2);
      const rootExposure =
        shape.rootExposure * (1 - c.coneLoss * Math.min(1, sideM / (2 * segments[0].lengthM)));
      return LEVEL_NUMBERS.map((level) => {
        const segment = segments[level];
        if (level === 2 && section.endRod) {
          const radiusM = section.endRod.diameterMm / 2000;
          const widthM = section.endRod.woundWidthMm / 1000;
          const thicknessM = layerThicknessM(
            masses[2]! / (hair.value.fibreDensity * shape.packing),
            radiusM,
            widthM,
          );
          return nodeOf(
            shape,
            level,
            masses[2]!,
            END_ROD_EXPOSURE * 2 * Math.PI * (radiusM + thicknessM) * widthM,
            thicknessM,
            2 * (radiusM + thicknessM),
            1 / 3,
            0,
          );
        }
        // A lane is rope too: the same hair over a longer way is thinner, and more of it meets the air.
        const axialM = lengthM * shape.axialRatio;
        const longer = level === 2 ? 1 : 1 + (shape.laneCm ?? 0) / 100 / axialM;
        const whole = Math.sqrt(
          (fibreM2 * segment.survival) / (shape.packing * shape.axialRatio * longer) / Math.PI,
        );
        const clumpM = (shape.clumpRadiusMm ?? Infinity) / 1000;
        const clumps = Math.max(1, (whole / clumpM) ** 2);
        const radiusM = Math.min(whole, clumpM);
        return nodeOf(
          shape,
          level,
          masses[level]!,
          clumps *
            2 *
            Math.PI *
            radiusM *
            segment.lengthM *
            shape.axialRatio *
            longer *
            shape.perimeterFactor *
            (level === 2 ? 1 : (shape.openShare ?? 1)) *
            (level === 0 ? rootExposure : 1),
          radiusM,
          2 * radiusM,
          1 / 4,
          level === 0 || (level === 1 && shape.laneCm)
            ? Math.min(sectionM2, clumps * 2 * radiusM * segment.lengthM * shape.axialRatio * longer)
            : 0,
        );
      });
    }
  }
}

const LEVEL_NUMBERS = [0, 1, 2] as const;
