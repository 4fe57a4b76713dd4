import { ALONG_HAIR } from '../curl/along-hair';
import type { Helix } from '../curl/helix';
import { result } from '../coefficients/result';
import { setShape } from '../coefficients/set-shape';
import { thresholds } from '../coefficients/thresholds';
import type { Bundle } from './bundle';
import { KNOT_PREPARED, USUAL_KNOT, type KnotWay } from './knot-way';
import { radians } from '../units/angle';

/** A rope wound round its own base (set-geometry §4, knot). */
export interface KnotForm {
  readonly ropeMm: number;
  readonly turns: number;
  readonly diameterMm: number;
  readonly heightMm: number;
  /** Slack left at the base; below 0 it pulls. */
  readonly slackLeft: number;
  /** Diameter over the side of the section. */
  readonly crowding: number;
  readonly comfort: 'easy' | 'watch' | 'tight';
  readonly nodes: readonly Helix[];
}

/**
 * Arc length of the conical spiral up to angle `theta`, mm.
 *
 * @example conicalSpiralMm(10, 1e-6, 0, Math.PI) // => 31.42
 */
export function conicalSpiralMm(r1: number, b: number, h: number, theta: number): number {
  const m2 = b * b + h * h;
  const m = Math.sqrt(m2);
  const integral = (x: number) => 0.5 * (x * Math.sqrt(x * x + m2) + m2 * Math.asinh(x / m));
  return (integral(r1 + b * theta) - integral(r1)) / b;
}

/** Angle at which the spiral is `lengthMm` long, by Newton. */
function angleAt(lengthMm: number, r1: number, b: number, h: number): number {
  if (lengthMm <= 0) return 0;
  let theta = lengthMm / r1;
  for (let i = 0; i < 40; i++) {
    const slope = Math.hypot(r1 + b * theta, Math.hypot(b, h));
    const next = theta - (conicalSpiralMm(r1, b, h, theta) - lengthMm) / slope;
    if (Math.abs(next - theta) < 1e-12) return next;
    theta = Math.max(0, next);
  }
  return theta;
}

function comfortOf(slackLeft: number, heightMm: number, crowding: number): KnotForm['comfort'] {
  const t = thresholds.value;
  if (slackLeft < 0 || crowding > t.crowdedKnot) return 'tight';
  return slackLeft < t.knotSlack || heightMm > t.highKnotMm || crowding > t.closeKnot ? 'watch' : 'easy';
}

/**
 * Geometry of a knot: a conical spiral of the rope round a post of itself.
 *
 * @param way turns at most, and how hair goes in; what is not wound is twirled and tucked, as wide as the last turn
 * @source set-geometry §4–5 (assumed cone and lay; nodes are helices of the local radius)
 * @example knotForm({ grossMm2: 55, lengthMm: 250, sectionCm2: 43.3 }).turns // => 1.91
 */
export function knotForm(
  bundle: Pick<Bundle, 'grossMm2' | 'lengthMm' | 'sectionCm2'>,
  { turns: mostTurns, prepared }: KnotWay = USUAL_KNOT,
): KnotForm {
  const slack = result.value.knotSlack;
  const c = setShape.value;
  const cone = radians(c.knotCone);
  const ropeMm = KNOT_PREPARED[prepared].ropeFactor * Math.sqrt((4 * bundle.grossMm2) / Math.PI);
  const ropeLengthMm = bundle.lengthMm * Math.cos(radians(c.knotLay));
  const postRadius = 0.5 * ropeMm * (1 + slack);
  const r1 = postRadius + ropeMm / 2;
  const b = (ropeMm * Math.cos(cone)) / (2 * Math.PI);
  const h = (ropeMm * Math.sin(cone)) / (2 * Math.PI);
  const postMm = Math.min(c.knotPostShare * ropeLengthMm, c.knotPostRopes * ropeMm);
  const most = mostTurns === null ? Infinity : 2 * Math.PI * mostTurns;
  const theta = Math.min(most, angleAt(ropeLengthMm - postMm, r1, b, h));
  const turns = theta / (2 * Math.PI);
  const diameterMm = 2 * (r1 + b * theta) + ropeMm;
  const heightMm = h * theta + ropeMm;
  const slackLeft = slack - c.knotSlackPerTurn * turns;
  const crowding = diameterMm / (10 * Math.sqrt(bundle.sectionCm2));
  return {
    ropeMm,
    turns,
    diameterMm,
    heightMm,
    slackLeft,
    crowding,
    comfort: comfortOf(slackLeft, heightMm, crowding),
    nodes: ALONG_HAIR.map((share) => {
      const radiusMm = r1 + b * Math.min(theta, angleAt(share * ropeLengthMm - postMm, r1, b, h));
      return { radiusMm, pitchMm: Math.hypot(h, c.knotPitch * radiusMm) };
    }),
  };
}
