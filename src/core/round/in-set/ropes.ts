import { setShape } from '../../coefficients/set-shape';
import { radians } from '../../units/angle';
import type { RoundPen } from '../mesh';
import type { RoundSection } from '../model';
import type { InSet, SetPiece } from './set-piece';
import { strandOnAxis, taper } from './strand-on-axis';

const layDeg = (ropes: number) => (ropes === 2 ? setShape.value.twistLay : setShape.value.threeStrandLay);
/** From the axis to the middle of one of so many ropes that touch, in ropes. */
export const ropesOut = (ropes: number): number => (ropes < 2 ? 0 : 0.5 / Math.sin(Math.PI / ropes));

/** How a rope of a section hangs. */
export const ropeHangs = (section: RoundSection) => {
  const { ropes } = section.technique.coefficients.value;
  return {
    lengthCm: section.lengthCm * Math.cos(radians(layDeg(ropes))),
    radiusCm: (section.ropeMm / 10) * (ropesOut(ropes) + 0.5),
  };
};

/** Ropes wound round each other along an axis. */
export function drawRopes({ axis, section, lengthCm, sides, seed }: SetPiece, mesh: RoundPen): void {
  const { ropes } = section.technique.coefficients.value;
  const ropeCm = section.ropeMm / 10;
  const out = ropeCm * ropesOut(ropes);
  const pitchCm = (2 * Math.PI * out) / Math.tan(radians(layDeg(ropes)));
  for (let k = 0; k < ropes; k++) {
    const phase = (2 * Math.PI * k) / ropes;
    const points = strandOnAxis(axis!, lengthCm, pitchCm, (angle) => [
      out * Math.cos(angle + phase),
      out * Math.sin(angle + phase),
    ]);
    mesh.tube(points, sides, {
      tier: 'third',
      kind: 'tube',
      half: (share) => 0.53 * ropeCm * taper(share) * (share > 0.97 ? 0.7 : 1),
      seed: (seed + 0.37 * k) % 1,
    });
  }
}

/** Two or three ropes wound round each other. */
export const ropes: InSet = { hangs: ropeHangs, draw: drawRopes };
