import { hair } from '../coefficients/hair';
import { result } from '../coefficients/result';
import type { Bundle, Rod } from './bundle';

/** How a section of hair lies on a rod, wound edge to edge from the tip (set-geometry §4). */
export interface RodFit {
  readonly bandWidthMm: number;
  readonly bandThicknessMm: number;
  /** Radius of the middle of the band, mm. */
  readonly radiusMm: number;
  /** Slope of the wrap from the circumference, radians. */
  readonly slopeRad: number;
  readonly turns: number;
  /** Length of rod the wrap takes up, mm. */
  readonly axialMm: number;
  /** That length over the rod's working length. */
  readonly fill: number;
  readonly layers: number;
  readonly fits: boolean;
  /** The band is wider than the rod: the hair's own pattern shows at the root. */
  readonly bandTooWide: boolean;
  /** So much hair that one turn cannot close edge to edge. */
  readonly impossible: boolean;
  readonly longestHairMm: number;
  readonly smallestFittingMm: number;
  /** Months of growth until the wraps no longer fit in one layer, for slow and fast growth. */
  readonly monthsUntilOutgrown: { readonly slow: number; readonly fast: number };
}

/** The steepest wrap that is still drawn; beyond it a rod is impossible for the section. */
const STEEPEST = 0.999;

/**
 * Fit of one section on one rod, closed edge to edge.
 *
 * @throws RangeError when the rod has no diameter or working length
 * @source set-geometry §4, spiral wrap
 */
export function fitRod(bundle: Pick<Bundle, 'grossMm2' | 'lengthMm'>, rod: Rod): RodFit {
  if (!(rod.diameterMm > 0) || !(rod.workingLengthMm > 0)) {
    throw new RangeError(`rod ${rod.diameterMm} × ${rod.workingLengthMm} mm: both must be above 0`);
  }
  const aspect = result.value.bandAspect;
  const bandThicknessMm = Math.sqrt(bundle.grossMm2 / aspect);
  const bandWidthMm = aspect * bandThicknessMm;
  const radiusMm = (rod.diameterMm + bandThicknessMm) / 2;
  const sine = bandWidthMm / (2 * Math.PI * radiusMm);
  const impossible = sine >= 1;
  const slopeRad = Math.asin(Math.min(STEEPEST, sine));
  const turns = (bundle.lengthMm * Math.cos(slopeRad)) / (2 * Math.PI * radiusMm);
  const axialMm = bundle.lengthMm * Math.sin(slopeRad);
  const fill = axialMm / rod.workingLengthMm;
  const longestHairMm = rod.workingLengthMm / Math.sin(slopeRad);
  const spareMm = Math.max(0, longestHairMm - bundle.lengthMm);
  return {
    bandWidthMm,
    bandThicknessMm,
    radiusMm,
    slopeRad,
    turns,
    axialMm,
    fill,
    layers: Math.ceil(fill),
    fits: fill <= 1 && !impossible,
    bandTooWide: bandWidthMm > rod.diameterMm,
    impossible,
    longestHairMm,
    smallestFittingMm: Math.max(
      0,
      (bundle.lengthMm * bandWidthMm) / (Math.PI * rod.workingLengthMm) - bandThicknessMm,
      bandWidthMm / Math.PI - bandThicknessMm,
    ),
    monthsUntilOutgrown: {
      slow: spareMm / hair.value.growthSlowMmPerMonth,
      fast: spareMm / hair.value.growthFastMmPerMonth,
    },
  };
}

/** How far overlapping wraps stand off the rod at a place along the hair: nothing at the tip, most at the root. */
export const overlapRadiusMm = (fit: RodFit, shareFromRoot: number): number =>
  Math.max(0, fit.fill - 1) * fit.bandThicknessMm * (1 - shareFromRoot);

/**
 * The next rod to take: the smallest owned that fits on its own working length and is no narrower than the band.
 *
 * @returns null when none owned fits
 */
export function nextRodUp<R extends Rod>(
  bundle: Pick<Bundle, 'grossMm2' | 'lengthMm'>,
  owned: readonly R[],
): R | null {
  const fitting = owned.filter((rod) => {
    const fit = fitRod(bundle, rod);
    return fit.fits && !fit.bandTooWide;
  });
  return fitting.sort((a, b) => a.diameterMm - b.diameterMm)[0] ?? null;
}
