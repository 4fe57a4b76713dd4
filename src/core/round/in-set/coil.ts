import type { RoundPen } from '../mesh';
import type { RoundSection } from '../model';
import type { InSet, SetPiece } from './set-piece';
import { strandOnAxis, taper } from './strand-on-axis';

const slowly = (share: number) => 0.35 + 0.65 * taper(share);

/** Radius of a coil's axis line and its pitch, cm. */
export const coilOf = ({ form }: RoundSection): { radiusCm: number; pitchCm: number } => {
  const { radiusMm, pitchMm } = form.nodes[2]!;
  return { radiusCm: radiusMm / 10, pitchCm: (2 * Math.PI * pitchMm) / 10 };
};

export const coilHangs: InSet['hangs'] = (section) => {
  const { radiusCm, pitchCm } = coilOf(section);
  return {
    lengthCm: (section.lengthCm * pitchCm) / Math.hypot(2 * Math.PI * radiusCm, pitchCm),
    radiusCm: radiusCm + section.ropeMm / 20,
  };
};

/** Strands of a coil, beside each other where there are several. */
export function drawCoil(
  { section, axis, lengthCm, sides, seed }: SetPiece,
  mesh: RoundPen,
  strands: number,
): void {
  const { radiusCm, pitchCm } = coilOf(section);
  const ropeCm = section.ropeMm / 10 / Math.sqrt(strands);
  for (let k = 0; k < strands; k++) {
    const phase = strands === 1 ? 0 : (k - (strands - 1) / 2) * Math.min(1.1, (0.9 * ropeCm) / radiusCm);
    const points = strandOnAxis(
      axis!,
      lengthCm,
      pitchCm,
      (angle) => {
        const open = 0.35 + 0.65 * Math.min(1, angle / Math.PI);
        return [open * radiusCm * Math.cos(angle + phase), open * radiusCm * Math.sin(angle + phase)];
      },
      11,
      slowly,
    );
    mesh.tube(points, sides, {
      tier: 'third',
      kind: 'tube',
      half: (share) => 0.5 * ropeCm * slowly(share),
      seed: (seed + 0.23 * k) % 1,
    });
  }
}

/** A coil wound on a finger or a comb. */
export const coil: InSet = { hangs: coilHangs, draw: (piece, mesh) => drawCoil(piece, mesh, 1) };
