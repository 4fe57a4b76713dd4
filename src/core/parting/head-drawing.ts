import { DRAWING, drawnX, drawnY, UNITS_PER_R } from './drawn-layout';
import { chartPoint } from '../sphere/crown-chart';
import { hairlinePolarRad } from '../sphere/hairline';

const fixed = (value: number) => (Math.round(value * 10) / 10).toString();
const at = (x: number, y: number) => `${fixed(drawnX({ x, y }))} ${fixed(drawnY({ x, y }))}`;

/** The outline of the head a little outside the hairline, fuller at the forehead (parting-map §9). */
function headOutline(): string {
  const points: string[] = [];
  for (let deg = 0; deg < 360; deg += 4) {
    const azimuth = (deg * Math.PI) / 180;
    const fromFace = deg > 180 ? 360 - deg : deg;
    const edge = chartPoint(azimuth, hairlinePolarRad(azimuth));
    // The hairline dips at the ear; the skull does not.
    const smoothed =
      [-24, -12, 0, 12, 24].reduce((sum, off) => {
        const near = azimuth + (off * Math.PI) / 180;
        const p = chartPoint(near, hairlinePolarRad(near));
        return sum + Math.hypot(p.x, p.y);
      }, 0) / 5;
    const edgeRadius = Math.hypot(edge.x, edge.y);
    const radius =
      Math.max(edgeRadius + 0.07, smoothed + 0.1) +
      0.2 * Math.exp(-(fromFace * fromFace) / 2116) +
      (fromFace > 150 ? 0.02 : 0);
    points.push(at(radius * Math.sin(azimuth), radius * Math.cos(azimuth)));
  }
  return `M${points.join('L')}Z`;
}

const ear = (side: 1 | -1) =>
  `M${at(1.15 * side, 0.14)}C${at(1.34 * side, 0.24)} ${at(1.52 * side, 0.12)} ${at(1.48 * side, -0.1)}` +
  `C${at(1.46 * side, -0.26)} ${at(1.32 * side, -0.38)} ${at(1.18 * side, -0.26)}Z`;
const earFold = (side: 1 | -1) =>
  `M${at(1.3 * side, 0.06)}C${at(1.42 * side, 0.06)} ${at(1.42 * side, -0.1)} ${at(1.33 * side, -0.2)}`;
const brow = (side: 1 | -1) => `M${at(0.17 * side, 1.5)}Q${at(0.34 * side, 1.56)} ${at(0.52 * side, 1.44)}`;
const neck = (side: 1 | -1) =>
  `M${at(0.62 * side, -1.56)}Q${at(0.62 * side, -1.82)} ${at(0.84 * side, -1.97)}`;

/** The parts of the head round the crown map, as SVG path data. */
export const HEAD_DRAWING = {
  outline: headOutline(),
  ears: [ear(-1), ear(1)],
  earFolds: [earFold(-1), earFold(1)],
  brows: [brow(-1), brow(1)],
  nose: `M${at(-0.1, 1.6)}C${at(-0.17, 1.8)} ${at(0.17, 1.8)} ${at(0.1, 1.6)}`,
  neck: [neck(-1), neck(1)],
  centre: { x: DRAWING.poleX, y: DRAWING.poleY, radius: 1.5 * UNITS_PER_R },
} as const;
