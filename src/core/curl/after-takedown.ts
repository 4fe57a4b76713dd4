import { result } from '../coefficients/result';
import { alongHair, meanAlongHair, sharesBeyond } from './along-hair';
import { hang, hairStiffness, hairWeightNPerMm, unload } from './hang';
import { bendOfHelix, polarOfBend, type Helix } from './helix';
import { naturalBend } from './natural-shape';

/** One section of hair as it was set and as it is worn. */
export interface WornHair {
  readonly lengthMm: number;
  readonly strandUm: number;
  readonly coilDiameterMm: number;
  readonly shrinkage: number;
  /** Helices of the hair in the set, root to tip. */
  readonly setNodes: readonly Helix[];
  /** Ends that were set otherwise: their share of the hair, and their helix. */
  readonly ends: { readonly share: number; readonly helix: Helix } | null;
  readonly thicknessMm: number;
  /** Share of the set that stays, 0 own pattern … 1 set. */
  readonly retention: number;
  /** Share of the own curl straightened. */
  readonly straightened: number;
  readonly hold: number;
  /** Opening kept from taking it out and handling it, over what its curl resists with. */
  readonly opening: number;
  /** Pieces each section is separated into, ≥ 1. */
  readonly separations: number;
  /** Share by which nights have opened the curl. */
  readonly opened: number;
  /** Root piece that stays stretched: its length, mm, and visible over true length. */
  readonly root: { readonly stretchedMm: number; readonly stretch: number };
}

/** The curl that is seen. */
export interface VisibleCurl {
  /** Outer diameter, mm. */
  readonly diameterMm: number;
  /** The same at the root and at the tip. */
  readonly rootDiameterMm: number;
  readonly tipDiameterMm: number;
  readonly visibleMm: number;
  /** Visible over stretched length, 0 to 1. */
  readonly stretch: number;
}

/**
 * Rate of hair that keeps a share of its set. Where its own coil is the tighter, radii are averaged; where it is the
 * looser, roots of the rates: either way the set shows, as it does on large rods and on loose hair alike.
 *
 * @source empirical (set-geometry §8, "Weak"): an average of rates alone gives 25 mm rods curls of 17 mm
 * @example blendedRate(0.1, 0.4, 0.8) // => 0.1176
 */
export function blendedRate(set: number, own: number, kept: number): number {
  return own > set
    ? 1 / (kept / set + (1 - kept) / own)
    : (kept * Math.sqrt(set) + (1 - kept) * Math.sqrt(own)) ** 2;
}

/**
 * The curl after takedown: set and own shape blended in polar form, then hung under the hair's own weight.
 *
 * @source set-geometry §8
 */
export function curlAfterTakedown(hair: WornHair): VisibleCurl {
  const stiffness = hairStiffness(hair.strandUm);
  const measured = naturalBend(hair.coilDiameterMm, hair.shrinkage);
  const weight = hairWeightNPerMm(hair.strandUm) * hair.lengthMm;
  const s = hair.retention;
  const stiffer = 1 + result.value.filmStiffness * hair.hold * s;
  const worn = { bending: stiffness.bending * stiffer, torsional: stiffness.torsional * stiffer };
  const handling = (hair.opening * s * (1 + Math.log2(hair.separations))) / 2;

  /** Length and radius of the curl at a place, from the helix it was set in there. */
  const curlAt = (share: number, helix: Helix) => {
    const { own, forceN } = unload(measured, weight * (1 - share), stiffness);
    const base = polarOfBend({
      curvature: own.curvature * (1 - hair.straightened),
      torsion: own.torsion * (1 - hair.straightened / 2),
    });
    const set = polarOfBend(bendOfHelix(helix));
    const blended = {
      angleRad: s * set.angleRad + (1 - s) * base.angleRad,
      rate: blendedRate(set.rate, base.rate, s),
    };
    const force =
      forceN * (1 + result.value.filmWeight * s) + handling * stiffness.bending * blended.rate ** 2;
    const hung = hang(blended, force, worn);
    const radius = hung.rate === 0 ? 0 : Math.sin(hung.angleRad) / hung.rate;
    const opened = Math.min(result.value.opennessPerNightCap, hair.opened);
    return { ratio: Math.sqrt(1 - ((1 - opened) * Math.sin(hung.angleRad)) ** 2), radius };
  };
  const { ends } = hair;
  const onEnds = ends ? sharesBeyond(1 - ends.share) : null;
  const curls = alongHair((share, i) => {
    const body = curlAt(share, hair.setNodes[i]!);
    const inEnds = onEnds?.[i] ?? 0;
    if (!ends || inEnds === 0) return body;
    const end = curlAt(share, ends.helix);
    return {
      ratio: body.ratio + inEnds * (end.ratio - body.ratio),
      radius: body.radius + inEnds * (end.radius - body.radius),
    };
  });
  const ratios = curls.map((curl) => curl.ratio);
  const radii = curls.map((curl) => curl.radius);

  const ratio = meanAlongHair(ratios);
  const rootMm = Math.min(hair.root.stretchedMm, hair.lengthMm / 2);
  const rootRatio = Math.max(ratio, s * hair.root.stretch + (1 - s) * ratio);
  const visibleMm = ratio * (hair.lengthMm - rootMm) + rootMm * rootRatio;
  const outside = (s * hair.thicknessMm) / Math.sqrt(hair.separations);
  return {
    diameterMm: 2 * meanAlongHair(radii) + outside,
    rootDiameterMm: 2 * radii[0]! + outside,
    tipDiameterMm: 2 * radii.at(-1)! + outside,
    visibleMm,
    stretch: visibleMm / hair.lengthMm,
  };
}
