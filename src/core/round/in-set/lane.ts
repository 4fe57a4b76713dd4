import { setShape } from '../../coefficients/set-shape';
import { radians } from '../../units/angle';
import { NODES } from '../hair/axis';
import { framed, type Framed } from '../hair/curl-on-axis';
import { onScalp } from '../head/scalp';
import { add } from '../vec';
import { ropeHangs, ropesOut } from './ropes';
import type { InSet, SetPiece } from './set-piece';
import { strandOnAxis } from './strand-on-axis';

/** A rope that picks hair up grows from this share of its area by the rest of it. */
const [STARTS, GROWS] = [0.34, 0.66] as const;
const grown = (share: number) => Math.sqrt(STARTS + GROWS * share);

/** Lane, then free end, as one axis; and how long the lane is. */
function laneAxis({ section, axis, hand, scale }: SetPiece): {
  path: Framed;
  laneCm: number;
  freeCm: number;
} {
  const ropeCm = section.ropeMm / 10;
  const points = [...section.spine!].reverse();
  const lane = points.map((point, i) => {
    const { at, normal } = onScalp(point, scale);
    return add(at, normal, ropeCm * (0.7 + (0.3 * i) / points.length));
  });
  const free: number[][] = axis
    ? Array.from({ length: NODES - 1 }, (_, i) => Array.from(axis.at.slice(3 * i + 3, 3 * i + 6)))
    : [];
  const laneCm = lane.slice(1).reduce((sum, at, i) => sum + Math.hypot(...add(at, lane[i]!, -1)), 0);
  const all = [...lane.map((at) => [...at]), ...free];
  // Evenly spaced, as a strand that is wound about it wants.
  const steps = 60;
  const long: number[] = [0];
  for (let i = 1; i < all.length; i++)
    long.push(long[i - 1]! + Math.hypot(...all[i]!.map((value, k) => value - all[i - 1]![k]!)));
  const total = long.at(-1)!;
  const even = new Float64Array(3 * (steps + 1));
  let k = 0;
  for (let i = 0; i <= steps; i++) {
    const s = (total * i) / steps;
    while (k + 2 < all.length && long[k + 1]! < s) k++;
    const t = Math.min(1, (s - long[k]!) / (long[k + 1]! - long[k]! || 1));
    even.set(
      all[k]!.map((value, c) => value + t * (all[k + 1]![c]! - value)),
      3 * i,
    );
  }
  return { path: framed(even, 0, hand, steps + 1), laneCm, freeCm: total - laneCm };
}

/** A flat twist: two ropes that grow along a lane of the scalp, their free end hanging from its end. */
export const lane: InSet = {
  hangs: (section) =>
    section.spine
      ? {
          lengthCm: 0.8 * section.lengthCm * Math.cos(radians(setShape.value.flatTwistLay)),
          radiusCm: section.ropeMm / 10,
        }
      : ropeHangs(section),
  draw: (piece, mesh) => {
    const { section, sides, seed, axis, lengthCm } = piece;
    const { ropes } = section.technique.coefficients.value;
    const ropeCm = section.ropeMm / 10;
    const out = ropeCm * ropesOut(ropes);
    const pitchCm = (2 * Math.PI * out) / Math.tan(radians(setShape.value.flatTwistLay)) / 1.25;
    const { path, laneCm, freeCm } = section.spine
      ? laneAxis(piece)
      : { path: axis!, laneCm: 0, freeCm: lengthCm };
    const total = laneCm + freeCm;
    const thick = (share: number) => {
      const s = share * total;
      return s < laneCm ? grown(s / laneCm) : Math.sqrt(1 - 0.7 * ((s - laneCm) / Math.max(1, freeCm)));
    };
    for (let k = 0; k < ropes; k++) {
      const phase = (2 * Math.PI * k) / ropes;
      const points = strandOnAxis(
        path,
        total,
        pitchCm,
        (angle) => [out * Math.cos(angle + phase), out * Math.sin(angle + phase)],
        11,
        thick,
      );
      mesh.tube(points, sides, {
        tier: 'third',
        kind: 'tube',
        half: (share) => 0.53 * ropeCm * thick(share),
        seed: (seed + 0.41 * k) % 1,
      });
    }
  },
};
