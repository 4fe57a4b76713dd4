import { radians } from '../../units/angle';
import { sphereVector, type ChartPoint } from '../../sphere/crown-chart';
import { unit, type Vec } from '../vec';
import { scalpDistance } from './head-shape';

/** How far the middle of the chart leans back from straight above, degrees (for the eye: the hairline meets the brow). */
const LEAN_DEG = 28;
const [COS, SIN] = [Math.cos(radians(LEAN_DEG)), Math.sin(radians(LEAN_DEG))];
/** The middle of the chart, as a direction from the middle of the head. */
export const WHORL: Vec = [0, COS, -SIN];

/** Direction from the middle of the head in which a place of the chart lies. */
export function chartDirection(at: ChartPoint): Vec {
  const [right, face, up] = sphereVector(at);
  return [-right, up * COS + face * SIN, face * COS - up * SIN];
}

/** Place of the chart that lies in a direction from the middle of the head. */
export function directionOnChart(direction: Vec): ChartPoint {
  const [x, y, z] = unit(direction);
  const up = y * COS - z * SIN;
  const face = y * SIN + z * COS;
  const r = Math.sqrt(Math.max(0, 2 * (1 - up)));
  const across = Math.hypot(x, face) || 1;
  return { x: (-x / across) * r, y: (face / across) * r };
}

/** A place on the scalp, with the direction that hair leaves it in. */
export interface ScalpPlace {
  readonly at: Vec;
  readonly normal: Vec;
}

const TRACE_STEPS = 7;
const FAR_CM = 14;
const H = 0.02;

/**
 * Where a place of the chart lies on the head, by stepping in towards the cranium.
 *
 * @param scale times the size of a head of 56 cm round
 */
export function onScalp(chart: ChartPoint, scale: number): ScalpPlace {
  const d = chartDirection(chart);
  let t = FAR_CM;
  for (let step = 0; step < TRACE_STEPS; step++) t -= scalpDistance(d[0] * t, d[1] * t, d[2] * t);
  const [x, y, z] = [d[0] * t, d[1] * t, d[2] * t];
  const normal = unit([
    scalpDistance(x + H, y, z) - scalpDistance(x - H, y, z),
    scalpDistance(x, y + H, z) - scalpDistance(x, y - H, z),
    scalpDistance(x, y, z + H) - scalpDistance(x, y, z - H),
  ]);
  return { at: [x * scale, y * scale, z * scale], normal };
}
