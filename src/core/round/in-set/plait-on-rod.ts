import { drawPlait, plaitHangs } from './plait';
import type { InSet } from './set-piece';
import { drawTool, drawWrap } from './wound-on';
import { across, add, type Vec } from '../vec';

/** Length of a rod that is drawn on ends, cm. */
const END_ROD_CM = 5;

/** A plait whose ends are wound on a small rod of their own. */
export const plaitOnRod: InSet = {
  hangs: (section) => {
    const free = plaitHangs(section)!;
    return { ...free, lengthCm: free.lengthCm * (1 - (section.form.ends?.share ?? 0)) };
  },
  draw: (piece, mesh) => {
    drawPlait(piece, mesh);
    const { section, axis, hand, seed } = piece;
    const { ends } = section.form;
    if (!ends || !section.tool) return;
    const { at, u } = axis!;
    const last = at.length - 3;
    const tip: Vec = [at[last]!, at[last + 1]!, at[last + 2]!];
    const side = across([u[last]!, 0, u[last + 2]!], [0, 1, 0]);
    const radiusCm = section.tool.diameterMm / 20;
    const middle: Vec = add(tip, [0, -1, 0], 0.4 * radiusCm);
    const path = [add(middle, side, -END_ROD_CM / 2), middle, add(middle, side, END_ROD_CM / 2)];
    drawTool(path, radiusCm, section.tool.diameterMm / 40, mesh);
    const widthCm = (1.1 * section.ropeMm) / 10;
    drawWrap(
      path,
      {
        radiusCm: ends.helix.radiusMm / 10 + 0.1,
        stepCm: widthCm,
        widthCm,
        thicknessCm: 0.25,
        fromCm: END_ROD_CM / 2 - 1.3,
        lengthCm: 2.6,
        hand,
        seed,
      },
      mesh,
    );
  },
};
