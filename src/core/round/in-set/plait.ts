import { round } from '../../coefficients/round';
import { setShape } from '../../coefficients/set-shape';
import type { RoundPen } from '../mesh';
import type { InSet, SetPiece } from './set-piece';
import { strandOnAxis, taper } from './strand-on-axis';

/** How deep a strand of a plait crosses under the others, of how far it swings. */
const DEPTH = 0.55;

/** Three strands that cross over each other in turn: figures of eight along the plait. */
export function drawPlait({ axis, section, lengthCm, sides, seed }: SetPiece, mesh: RoundPen): void {
  const ropeCm = section.ropeMm / 10;
  const pitchCm = setShape.value.plaitPitch * ropeCm * 0.75;
  for (let k = 0; k < 3; k++) {
    const phase = (2 * Math.PI * k) / 3;
    const points = strandOnAxis(
      axis!,
      lengthCm,
      pitchCm,
      (angle) => [
        0.9 * ropeCm * Math.sin(angle + phase),
        0.9 * ropeCm * DEPTH * Math.sin(2 * (angle + phase)),
      ],
      14,
    );
    mesh.tube(points, sides, {
      tier: 'third',
      kind: 'tube',
      half: (share) => 0.56 * ropeCm * taper(share),
      seed: (seed + 0.31 * k) % 1,
    });
  }
}

export const plaitHangs: InSet['hangs'] = ({ lengthCm, ropeMm }) => ({
  lengthCm: round.value.plaitShows * lengthCm,
  radiusCm: (1.4 * ropeMm) / 10,
});

/** A three-strand plait. */
export const plait: InSet = { hangs: plaitHangs, draw: drawPlait };
