import { add, anyAcross, cross, unit, type Vec } from '../vec';
import { laid, drawWound } from './rod';
import type { InSet } from './set-piece';

/** Of a flexible rod's end, what is bent over at the root, cm. */
const BENT_CM = 4.5;
const BEND_STEPS = 6;

/** A flexible rod: hair along it, its free end bent over at the root. */
export const bentRod: InSet = {
  hangs: () => null,
  draw: (piece, mesh) => {
    const { tool, form } = piece.section;
    const radiusCm = tool!.diameterMm / 20;
    const thick = form.fit!.bandThicknessMm / 10;
    const wound = Math.min(form.fit!.axialMm, tool!.workingLengthMm) / 10;
    const straight = Math.min(tool!.workingLengthMm / 10 - BENT_CM, wound + 3);
    const [first, last] = laid(piece, Math.max(4, straight), radiusCm + thick);
    const d = unit(add(last, first, -1));
    const side = cross(d, anyAcross(d));
    const up = unit(add(piece.base.normal, d, -0.2));
    const bend: Vec[] = Array.from({ length: BEND_STEPS }, (_, i) => {
      const angle = (Math.PI * 0.85 * (BEND_STEPS - i)) / BEND_STEPS;
      const r = 1.6 * radiusCm + thick;
      const rise = r * (1 - Math.cos(angle));
      const on = r * Math.sin(angle);
      return add(add(add(first, d, -on), up, rise), side, 0.1 * piece.hand * rise);
    });
    const tip = add(bend[0]!, d, BENT_CM - 2);
    drawWound(piece, [tip, ...bend, first, last], lengthTo(tip, bend, first) + 0.6, mesh);
  },
};

const lengthTo = (tip: Vec, bend: readonly Vec[], first: Vec) => {
  const path = [tip, ...bend, first];
  return path.slice(1).reduce((sum, point, i) => sum + Math.hypot(...add(point, path[i]!, -1)), 0);
};
