import { hair } from '../coefficients/hair';
import { result } from '../coefficients/result';
import type { Bundle, Tool } from './bundle';

/** How a section of hair lies on a rod or former (set-geometry §4). */
export interface ToolFit {
  readonly bandWidthMm: number;
  readonly bandThicknessMm: number;
  /** Radius of the middle of the band, mm. */
  readonly radiusMm: number;
  /** Slope of the wrap from the circumference, radians. */
  readonly slopeRad: number;
  readonly turns: number;
  /** Length of the tool that the hair takes up, mm. */
  readonly axialMm: number;
  /** That length over the tool's working length. */
  readonly fill: number;
  readonly layers: number;
  readonly fits: boolean;
  /** The band is wider than the rod: the hair's own pattern shows at the root. */
  readonly bandTooWide: boolean;
  /** So much hair that one turn cannot close. */
  readonly impossible: boolean;
  readonly longestHairMm: number;
  readonly smallestFittingMm: number;
  /** Months of growth until the hair no longer fits in one layer, for slow and fast growth. */
  readonly monthsUntilOutgrown: { readonly slow: number; readonly fast: number };
}

/** The steepest wrap that is still drawn; beyond it a rod is impossible for the section. */
const STEEPEST = 0.999;
const STRAIGHT_ENOUGH = 1e-9;

/** Months until hair has grown by `spareMm`, slow and fast; none where nothing is to spare. */
export const monthsOfGrowth = (spareMm: number) => ({
  slow: Math.max(0, spareMm) / hair.value.growthSlowMmPerMonth,
  fast: Math.max(0, spareMm) / hair.value.growthFastMmPerMonth,
});

/**
 * Thickness and width of the flat band that a section makes on a rod, mm.
 *
 * @example bandOf(45) // => { thicknessMm: 3, widthMm: 15 }
 */
export function bandOf(grossMm2: number): { thicknessMm: number; widthMm: number } {
  const thicknessMm = Math.sqrt(grossMm2 / result.value.bandAspect);
  return { thicknessMm, widthMm: result.value.bandAspect * thicknessMm };
}

/**
 * Fit of one section on one rod, closed edge to edge or with a gap between wraps.
 *
 * @param gap share of the band's width left between wraps, 0 edge to edge
 * @throws RangeError when the rod has no diameter or working length
 * @source set-geometry §4, spiral wrap
 */
export function fitRod(bundle: Pick<Bundle, 'grossMm2' | 'lengthMm'>, rod: Tool, gap = 0): ToolFit {
  if (!(rod.diameterMm > 0) || !(rod.workingLengthMm > 0)) {
    throw new RangeError(`rod ${rod.diameterMm} × ${rod.workingLengthMm} mm: both must be above 0`);
  }
  const band = bandOf(bundle.grossMm2);
  const stepMm = band.widthMm * (1 + gap);
  const radiusMm = (rod.diameterMm + band.thicknessMm) / 2;
  const sine = stepMm / (2 * Math.PI * radiusMm);
  const impossible = sine >= 1;
  const slopeRad = Math.asin(Math.min(STEEPEST, Math.max(STRAIGHT_ENOUGH, sine)));
  const axialMm = bundle.lengthMm * Math.sin(slopeRad);
  const fill = axialMm / rod.workingLengthMm;
  const longestHairMm = rod.workingLengthMm / Math.sin(slopeRad);
  return {
    bandWidthMm: band.widthMm,
    bandThicknessMm: band.thicknessMm,
    radiusMm,
    slopeRad,
    turns: (bundle.lengthMm * Math.cos(slopeRad)) / (2 * Math.PI * radiusMm),
    axialMm,
    fill,
    layers: Math.max(1, Math.ceil(fill)),
    fits: fill <= 1 && !impossible,
    bandTooWide: band.widthMm > rod.diameterMm,
    impossible,
    longestHairMm,
    smallestFittingMm: Math.max(
      0,
      (bundle.lengthMm * stepMm) / (Math.PI * rod.workingLengthMm) - band.thicknessMm,
      stepMm / Math.PI - band.thicknessMm,
    ),
    monthsUntilOutgrown: monthsOfGrowth(longestHairMm - bundle.lengthMm),
  };
}

/**
 * Fit of one section in a spiral former: a helix of the sleeve's diameter and of a pitch equal to it.
 *
 * @source set-geometry §4, former
 */
export function fitFormer(bundle: Pick<Bundle, 'grossMm2' | 'lengthMm'>, sleeve: Tool): ToolFit {
  const radiusMm = sleeve.diameterMm / 2;
  const slopeRad = Math.atan(1 / Math.PI);
  const axialMm = bundle.lengthMm * Math.sin(slopeRad);
  const fill = axialMm / sleeve.workingLengthMm;
  const longestHairMm = sleeve.workingLengthMm / Math.sin(slopeRad);
  const thicknessMm = Math.sqrt(bundle.grossMm2 / result.value.formerAspect);
  return {
    bandWidthMm: thicknessMm * result.value.formerAspect,
    bandThicknessMm: thicknessMm,
    radiusMm,
    slopeRad,
    turns: (bundle.lengthMm * Math.cos(slopeRad)) / (2 * Math.PI * radiusMm),
    axialMm,
    fill,
    layers: Math.max(1, Math.ceil(fill)),
    fits: fill <= 1,
    bandTooWide: false,
    impossible: thicknessMm > sleeve.diameterMm,
    longestHairMm,
    smallestFittingMm: thicknessMm,
    monthsUntilOutgrown: monthsOfGrowth(longestHairMm - bundle.lengthMm),
  };
}

/** How far overlapping wraps stand off the rod at a place along the hair: nothing at the tip, most at the root. */
export const overlapRadiusMm = (fit: ToolFit, shareFromRoot: number): number =>
  Math.max(0, fit.fill - 1) * fit.bandThicknessMm * (1 - shareFromRoot);

/**
 * The next rod to take: the smallest owned that fits on its own working length and is no narrower than the band.
 *
 * @returns null when none owned fits
 */
export function nextRodUp<R extends Tool>(
  bundle: Pick<Bundle, 'grossMm2' | 'lengthMm'>,
  owned: readonly R[],
  gap = 0,
): R | null {
  const fitting = owned.filter((rod) => {
    const fit = fitRod(bundle, rod, gap);
    return fit.fits && !fit.bandTooWide;
  });
  return [...fitting].sort((a, b) => a.diameterMm - b.diameterMm)[0] ?? null;
}
