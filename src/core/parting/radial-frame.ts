import type { FramePoint } from '../sphere/crown-chart';
import { hairlinePolygon } from '../sphere/hairline';
import type { CutFrame } from '../sphere/polygon';

/** The whorl that radial sections turn about, R (common practice: a little behind the crown). */
const WHORL = { x: 0, y: -0.1 } as const;

const radiusAt = (() => {
  const rim = hairlinePolygon().map(({ x, y }) => ({
    angle: Math.atan2(x - WHORL.x, y - WHORL.y),
    radius: Math.hypot(x - WHORL.x, y - WHORL.y),
  }));
  rim.sort((a, b) => a.angle - b.angle);
  const turn = 2 * Math.PI;
  const ring = [
    { ...rim.at(-1)!, angle: rim.at(-1)!.angle - turn },
    ...rim,
    { ...rim[0]!, angle: rim[0]!.angle + turn },
  ];
  return (angle: number) => {
    let [low, high] = [0, ring.length - 1];
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if (ring[middle]!.angle <= angle) low = middle;
      else high = middle;
    }
    const [a, b] = [ring[low]!, ring[high]!];
    return a.radius + ((b.radius - a.radius) * (angle - a.angle)) / (b.angle - a.angle);
  };
})();

const at = (angle: number, distance: number): FramePoint => {
  const radius = distance * radiusAt(angle);
  return {
    x: WHORL.x + radius * Math.sin(angle),
    y: WHORL.y + radius * Math.cos(angle),
    f: angle,
    t: distance,
  };
};

/**
 * Polar coordinates about the whorl: `f` is the angle from the face, `t` the share of the way to the hairline,
 * counted from the outside so that rings are worked from the hairline in.
 */
export const RADIAL_FRAME: CutFrame = {
  at: (angle, t) => ({ ...at(angle, 1 - t), t }),
  of: ({ x, y }) => {
    const angle = Math.atan2(x - WHORL.x, y - WHORL.y);
    const distance = Math.hypot(x - WHORL.x, y - WHORL.y) / radiusAt(angle);
    return { x, y, f: angle, t: 1 - distance };
  },
  cutLength: (from, to, axis) =>
    axis === 't' ? Math.abs(to.f - from.f) * (1 - from.t) * 1.6 : Math.hypot(to.x - from.x, to.y - from.y),
};

/** The scalp in radial coordinates, slit along the back centre line. */
export function radialScalp(): FramePoint[] {
  const steps = 240;
  const rim = Array.from({ length: steps + 1 }, (_, i) =>
    RADIAL_FRAME.at(-Math.PI + (2 * Math.PI * i) / steps, 0),
  );
  const slit = (angle: number, inwards: boolean) =>
    Array.from({ length: 39 }, (_, i) => RADIAL_FRAME.at(angle, inwards ? (i + 1) / 40 : 1 - (i + 1) / 40));
  return [
    ...rim,
    ...slit(Math.PI, true),
    RADIAL_FRAME.at(Math.PI, 1),
    RADIAL_FRAME.at(-Math.PI, 1),
    ...slit(-Math.PI, false),
  ];
}
