import type { Zone } from '../hair/zone';
import type { ChartPoint } from '../sphere/crown-chart';
import { hairlinePolygon } from '../sphere/hairline';
import { polygonCentroid } from '../sphere/polygon';
import { remembered } from '../remembered';
import type { Layout } from './layout';
import type { Winding } from './winding';
import { clearAt, visualCentre } from './visual-centre';
import { zoneOutlines } from './zone-outlines';

/** Drawing units for one R: one decimal of them is a thousandth of R. */
export const UNITS_PER_R = 100;
/** Size of the drawing and where the crown centre stands in it (parting-map §9). */
export const DRAWING = { width: 316, height: 402, poleX: 158, poleY: 202 } as const;

/** A section ready to draw, face up. */
export interface DrawnSection {
  readonly number: number;
  readonly zone: Zone;
  readonly side: 'left' | 'middle' | 'right';
  /** Equal for sections of one row of one panel. */
  readonly row: string;
  /** SVG path data. */
  readonly path: string;
  readonly x: number;
  readonly y: number;
  readonly clearRadius: number;
  readonly winding: Winding;
  /** Side of a half-head trial: its product; null where all have the same. */
  readonly product: string | null;
  /** Points along a lane, from the back; null for sections that are not lanes. */
  readonly spine: readonly { readonly x: number; readonly y: number }[] | null;
}

/** Across a drawing: chart units of R to the units of the drawing, the client’s left on the left. */
export const drawnX = (point: ChartPoint): number => DRAWING.poleX + UNITS_PER_R * point.x;
/** Down a drawing: the face is up on the chart and on the drawing. */
export const drawnY = (point: ChartPoint): number => DRAWING.poleY - UNITS_PER_R * point.y;
/** The place on the chart of a point of the drawing. */
export const chartAt = (x: number, y: number): ChartPoint => ({
  x: (x - DRAWING.poleX) / UNITS_PER_R,
  y: (DRAWING.poleY - y) / UNITS_PER_R,
});
const rounded = (value: number) => Math.round(value * 10) / 10;

/** SVG path of a closed outline; points closer than a tenth of a unit are left out. */
export function outlinePath(points: readonly ChartPoint[]): string {
  let path = '';
  let last = '';
  for (const point of points) {
    const at = `${rounded(drawnX(point))} ${rounded(drawnY(point))}`;
    if (at === last) continue;
    path += `${path === '' ? 'M' : 'L'}${at}`;
    last = at;
  }
  return `${path}Z`;
}

const centreOf = remembered((outline: readonly ChartPoint[]) =>
  visualCentre(outline, polygonCentroid(outline)),
);
const pathOf = remembered(outlinePath);

/** Every section of a layout, ready to draw. */
export const drawLayout = (layout: Layout): DrawnSection[] =>
  layout.sections.map(({ number, product, zone, side, panel, row, outline, winding, spine }) => {
    const onLane = spine?.[Math.floor(spine.length / 2)];
    // Numbers of lanes stand in one line across the head.
    const centre = onLane ? clearAt(outline, onLane) : centreOf(outline);
    return {
      number,
      zone,
      side,
      row: `${panel}.${row}`,
      winding,
      product,
      path: pathOf(outline),
      x: rounded(drawnX(centre)),
      y: rounded(drawnY(centre)),
      clearRadius: rounded(UNITS_PER_R * centre.radius),
      spine: spine && spine.map((point) => ({ x: rounded(drawnX(point)), y: rounded(drawnY(point)) })),
    };
  });

/** The part that is worn, as an open path; null without one. */
export const drawPart = ({ partLine }: Layout): string | null =>
  partLine && outlinePath(partLine).replace(/Z$/, '');

/** The six zones as if each were one section, for measuring a head. */
export function drawZones(): DrawnSection[] {
  const outlines = zoneOutlines();
  return (Object.keys(outlines) as Zone[]).map((zone, i) => {
    const outline = outlines[zone];
    const centre = visualCentre(outline, polygonCentroid(outline));
    return {
      number: i + 1,
      zone,
      side: zone === 'left' || zone === 'right' ? zone : 'middle',
      row: zone,
      winding: 'to-right',
      product: null,
      spine: null,
      path: outlinePath(outline),
      x: rounded(drawnX(centre)),
      y: rounded(drawnY(centre)),
      clearRadius: rounded(UNITS_PER_R * centre.radius),
    };
  });
}

/** The hairline as SVG path data. */
export const hairlinePath = (): string => outlinePath(hairlinePolygon());
