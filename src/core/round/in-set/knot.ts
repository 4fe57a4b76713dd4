import { cross, anyAcross, type Vec } from '../vec';
import type { InSet } from './set-piece';

const A_TURN = 20;
/** How a knot nestles into the hair at its base, of its rope. */
const SINKS = 0.25;

/** A rope wound round its own base: highest in the middle, every further turn lower and outside the last. */
export const knot: InSet = {
  hangs: () => null,
  draw: ({ section, base, hand, sides, seed }, mesh) => {
    const form = section.form.knot!;
    const { at, normal } = base;
    const u = anyAcross(normal);
    const v = cross(normal, u);
    const ropeCm = form.ropeMm / 10;
    const outer = form.diameterMm / 20 - ropeCm / 2;
    const high = form.heightMm / 10 - ropeCm;
    const inner = Math.max(0.12 * ropeCm, outer - form.turns * ropeCm * 0.82);
    const turns = Math.max(1, form.turns);
    const count = Math.ceil(turns * A_TURN) + 6;
    const points: number[] = [];
    const put = (radius: number, angle: number, up: number) => {
      const [c, s] = [radius * Math.cos(angle), hand * radius * Math.sin(angle)];
      for (let k = 0; k < 3; k++) points.push(at[k]! + u[k]! * c + v[k]! * s + normal[k]! * up);
    };
    for (let i = 0; i <= count; i++) {
      const share = i / count;
      const radius = inner + (outer - inner) * share;
      const up = ropeCm * (0.5 - SINKS) + high * (1 - share) ** 0.9;
      put(radius, 2 * Math.PI * turns * share, up);
    }
    // The end goes under.
    const end = 2 * Math.PI * turns;
    put(outer * 0.98, end + 0.35, ropeCm * 0.1);
    put(outer * 0.85, end + 0.7, -ropeCm * 0.2);
    mesh.tube(Float64Array.from(points), sides + 2, {
      tier: 'third',
      kind: 'tube',
      half: (share) => 0.52 * ropeCm * (share < 0.04 ? 0.75 : share > 0.96 ? 0.6 : 1),
      seed,
    });
    const crown: Vec[] = [0, 1].map((k) => [
      at[0] + normal[0] * (high + ropeCm * (0.2 + 0.35 * k)),
      at[1] + normal[1] * (high + ropeCm * (0.2 + 0.35 * k)),
      at[2] + normal[2] * (high + ropeCm * (0.2 + 0.35 * k)),
    ]);
    mesh.tube(Float64Array.from(crown.flat()), sides, {
      tier: 'third',
      kind: 'tube',
      half: (share) => 0.4 * ropeCm * (1 - 0.7 * share),
      seed: (seed + 0.5) % 1,
    });
  },
};
