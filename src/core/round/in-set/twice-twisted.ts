import { setShape } from '../../coefficients/set-shape';
import { radians } from '../../units/angle';
import type { InSet } from './set-piece';
import { strandOnAxis, taper } from './strand-on-axis';

/** A twist of twists: two ropes, each of two strands, with three turns of their own to one of the pair. */
export const twiceTwisted: InSet = {
  hangs: ({ lengthCm, ropeMm }) => ({
    lengthCm: lengthCm * Math.cos(radians(setShape.value.doubleTwistLay)) * 0.95,
    radiusCm: ropeMm / 10,
  }),
  draw: ({ axis, section, lengthCm, sides, seed }, mesh) => {
    const ropeCm = section.ropeMm / 10;
    const out = ropeCm / 2;
    const own = ropeCm / 4;
    const pitchCm = (2 * Math.PI * out) / Math.tan(radians(setShape.value.doubleTwistLay));
    for (let rope = 0; rope < 2; rope++)
      for (let strand = 0; strand < 2; strand++) {
        const phase = Math.PI * rope;
        const points = strandOnAxis(
          axis!,
          lengthCm,
          pitchCm,
          (angle) => {
            const turn = 3 * angle + Math.PI * strand;
            const far = out + own * Math.cos(turn);
            const [cos, sin] = [Math.cos(angle + phase), Math.sin(angle + phase)];
            return [
              far * cos - own * Math.sin(turn) * sin * 0.6,
              far * sin + own * Math.sin(turn) * cos * 0.6,
            ];
          },
          18,
        );
        mesh.tube(points, Math.max(4, sides - 2), {
          tier: 'third',
          kind: 'tube',
          half: (share) => 0.29 * ropeCm * taper(share),
          seed: (seed + 0.29 * (2 * rope + strand)) % 1,
        });
      }
  },
};
