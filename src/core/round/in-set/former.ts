import type { InSet } from './set-piece';
import { strandOnAxis } from './strand-on-axis';

const steady = () => 1;
/** Length at the root that goes straight into the sleeve, cm. */
const STRAIGHT_CM = 2;

/** Hair in the spiral of a sleeve: a wide ribbon of one pitch, between the two edges of what holds it. */
export const former: InSet = {
  hangs: ({ form, lengthCm, tool }) => ({
    lengthCm: Math.min(form.fit!.axialMm, tool!.workingLengthMm) / 10 + Math.min(STRAIGHT_CM, 0.2 * lengthCm),
    radiusCm: tool!.diameterMm / 20 + 0.2,
  }),
  draw: ({ section, axis, lengthCm, sides, seed }, mesh) => {
    const fit = section.form.fit!;
    const radiusCm = fit.radiusMm / 10;
    const pitchCm = 2 * Math.PI * radiusCm * Math.tan(fit.slopeRad);
    const width = Math.min(0.8 * pitchCm, Math.max(0.5, fit.bandWidthMm / 10));
    const wound = (off: number, out: number) =>
      strandOnAxis(
        axis!,
        lengthCm,
        pitchCm,
        (angle) => {
          const open = Math.min(1, angle / (2 * Math.PI * 0.6));
          const at = angle + (2 * Math.PI * off) / pitchCm;
          return [open * (radiusCm + out) * Math.cos(at), open * (radiusCm + out) * Math.sin(at)];
        },
        13,
        steady,
      );
    for (const [k, off] of [-0.22, 0.22].entries())
      mesh.tube(wound(off * width, 0), sides, {
        tier: 'third',
        kind: 'tube',
        half: () => 0.29 * width,
        seed: (seed + 0.3 * k) % 1,
      });
    for (const off of [-0.52, 0.52])
      mesh.tube(wound(off * width, 0.03), 3, {
        tier: 'third',
        kind: 'tool',
        half: () => 0.07,
        seed,
        swatch: section.tool!.diameterMm / 40,
      });
  },
};
