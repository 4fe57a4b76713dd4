import type { RoundPen } from '../mesh';
import { add, anyAcross, cross, scaled, unit, type Vec } from '../vec';

const ROUND_SIDES = 14;
/** Points of a wrap in one turn, and most of them on one tool. */
const [A_TURN, MOST] = [16, 200] as const;

/** A straight or bent path as points a step apart, with directions across it. */
function alongPath(path: readonly Vec[], s: number): { at: Vec; t: Vec } {
  let left = s;
  for (let i = 0; i + 1 < path.length; i++) {
    const step = add(path[i + 1]!, path[i]!, -1);
    const long = Math.hypot(...step);
    if (left <= long || i + 2 === path.length) return { at: add(path[i]!, step, left / long), t: unit(step) };
    left -= long;
  }
  return { at: path[0]!, t: [0, 1, 0] };
}
/** Points of a path as a mesh takes them. */
export const pointsOf = (path: readonly Vec[]): Float64Array => Float64Array.from(path.flat());

/** A tool along a path, with rounded ends. */
export function drawTool(path: readonly Vec[], radiusCm: number, swatch: number, mesh: RoundPen): void {
  const first = unit(add(path[0]!, path[1]!, -1));
  const last = unit(add(path.at(-1)!, path.at(-2)!, -1));
  const capped = [add(path[0]!, first, 0.25 * radiusCm), ...path, add(path.at(-1)!, last, 0.25 * radiusCm)];
  mesh.tube(pointsOf(capped), ROUND_SIDES, {
    tier: 'third',
    kind: 'tool',
    half: (share) => (share <= 0 || share >= 1 ? 0.05 : radiusCm),
    seed: 0.5,
    swatch,
  });
}

/** Hair wound on a tool. */
export interface Wrap {
  /** From the axis to the middle of the band, cm. */
  readonly radiusCm: number;
  /** Along the tool, from one wrap to the next, cm. */
  readonly stepCm: number;
  readonly widthCm: number;
  readonly thicknessCm: number;
  /** Where along the path it begins and how long it is, cm. */
  readonly fromCm: number;
  readonly lengthCm: number;
  readonly hand: 1 | -1;
  readonly seed: number;
}

/** A flat band of hair wound round a path, wrap beside wrap. */
export function drawWrap(path: readonly Vec[], wrap: Wrap, mesh: RoundPen): void {
  const turns = Math.max(0.5, wrap.lengthCm / wrap.stepCm);
  const count = Math.min(MOST, Math.ceil(turns * A_TURN));
  const points = new Float64Array(3 * (count + 1));
  const out: Vec[] = [];
  let across = anyAcross(alongPath(path, wrap.fromCm).t);
  for (let i = 0; i <= count; i++) {
    const share = i / count;
    const { at, t } = alongPath(path, wrap.fromCm + share * wrap.lengthCm);
    const along = across[0] * t[0] + across[1] * t[1] + across[2] * t[2];
    across = unit(add(across, t, -along));
    const third = scaled(cross(t, across), wrap.hand);
    const angle = 2 * Math.PI * turns * share;
    const radial = add(scaled(across, Math.cos(angle)), third, Math.sin(angle));
    out.push(radial);
    points.set(add(at, radial, wrap.radiusCm), 3 * i);
  }
  mesh.tube(
    points,
    6,
    {
      tier: 'third',
      kind: 'tube',
      half: (share) => (wrap.widthCm / 2) * (share > 0.94 ? 0.6 : 1),
      seed: wrap.seed,
    },
    (i) => out[i]!,
    Math.min(1, wrap.thicknessCm / wrap.widthCm),
  );
}
