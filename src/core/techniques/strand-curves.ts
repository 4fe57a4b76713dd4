import { setShape } from '../coefficients/set-shape';
import { helixOfBend, type Helix } from '../curl/helix';

type Vector = readonly [number, number, number];

/** What a curve amounts to: mean bend of a hair along it, and axis length over hair length. */
export interface CurveMeans {
  /** Mean curvature times the scale of the curve. */
  readonly curvature: number;
  /** Root mean square curvature times the scale. */
  readonly rmsCurvature: number;
  readonly lengthRatio: number;
  /** Arc of one turn over the scale. */
  readonly arcPerTurn: number;
}

const SAMPLES = 1440;

/**
 * Means of a periodic curve by central differences over one turn.
 *
 * @param at point of the curve at an angle, in units of its scale; z is the axis
 */
export function curveMeans(at: (theta: number) => Vector): CurveMeans {
  const step = (2 * Math.PI) / SAMPLES;
  const h = 1e-4;
  let [arc, bend, square] = [0, 0, 0];
  for (let i = 0; i < SAMPLES; i++) {
    const theta = i * step;
    const [before, here, after] = [at(theta - h), at(theta), at(theta + h)];
    const first = [0, 1, 2].map((k) => (after[k]! - before[k]!) / (2 * h)) as unknown as Vector;
    const second = [0, 1, 2].map(
      (k) => (after[k]! - 2 * here[k]! + before[k]!) / (h * h),
    ) as unknown as Vector;
    const speed = Math.hypot(...first);
    const cross = Math.hypot(
      first[1] * second[2] - first[2] * second[1],
      first[2] * second[0] - first[0] * second[2],
      first[0] * second[1] - first[1] * second[0],
    );
    const curvature = cross / speed ** 3;
    arc += speed * step;
    bend += curvature * speed * step;
    square += curvature ** 2 * speed * step;
  }
  return {
    curvature: bend / arc,
    rmsCurvature: Math.sqrt(square / arc),
    lengthRatio: Math.abs(at(2 * Math.PI)[2] - at(0)[2]) / arc,
    arcPerTurn: arc,
  };
}

/** The helix that bends as much and is as long: τ = κ·r/√(1−r²) (set-geometry §5, equivalent helix). */
export const equivalentHelix = (curvature: number, lengthRatio: number): Helix =>
  helixOfBend({ curvature, torsion: (curvature * lengthRatio) / Math.sqrt(1 - lengthRatio ** 2) });

/** One strand of a three-strand plait of strand diameter 1: a figure of eight along its pitch. */
export const braidStrand = (theta: number): Vector => [
  Math.sin(theta),
  setShape.value.plaitSwing * Math.sin(2 * theta),
  (setShape.value.plaitPitch * theta) / (2 * Math.PI),
];

/** A rope twisted on itself, then round another: three turns of its own in each turn of the pair, pair radius 1. */
export const twiceTwistedStrand =
  (layRad: number) =>
  (theta: number): Vector => {
    const c = 1 / Math.tan(layRad);
    const along = Math.hypot(1, c);
    const ropeRadius = setShape.value.twiceTwistedOwn;
    const [cos, sin] = [Math.cos(theta), Math.sin(theta)];
    const [cos3, sin3] = [Math.cos(3 * theta), Math.sin(3 * theta)];
    return [
      cos - ropeRadius * cos3 * cos + (ropeRadius * sin3 * c * sin) / along,
      sin - ropeRadius * cos3 * sin - (ropeRadius * sin3 * c * cos) / along,
      c * theta + (ropeRadius * sin3) / along,
    ];
  };

/** Scales a helix found for unit size. */
export const scaledHelix = (helix: Helix, scale: number): Helix => ({
  radiusMm: helix.radiusMm * scale,
  pitchMm: helix.pitchMm * scale,
});
