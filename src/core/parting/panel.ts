import { ZONE_BORDER, type Zone } from '../hair/zone';
import type { FramePoint } from '../sphere/crown-chart';
import { hairlinePolygon } from '../sphere/hairline';
import { clipPolygon, ROW_FRAME, type CutFrame } from '../sphere/polygon';
import { sideFrame } from './part-line';
import { RADIAL_FRAME, radialScalp } from './radial-frame';

/** What bounds a panel: a stretch from nape to face, a strip across, and a side of the part. */
interface PanelShape {
  readonly across: 'all' | 'strip' | 'left-zone' | 'right-zone';
  readonly side: 'left' | 'right' | null;
  /** Its side ends at the middle of the head, not at the part that is worn. */
  readonly isHalf?: boolean;
  readonly isRadial?: boolean;
}

/**
 * Every panel that a head can be cut into, by the id that recipes use. `t` limits come from the recipe's own
 * row lines. Ids that end in L or R lie beside the part; BL and BR are halves of the back, for a trial.
 */
export const PANELS = {
  W: { across: 'all', side: null },
  O: { across: 'all', side: null, isRadial: true },
  L: { across: 'all', side: 'left' },
  R: { across: 'all', side: 'right' },
  B: { across: 'all', side: null },
  BL: { across: 'all', side: 'left', isHalf: true },
  BR: { across: 'all', side: 'right', isHalf: true },
  F: { across: 'all', side: null },
  FL: { across: 'all', side: 'left' },
  FR: { across: 'all', side: 'right' },
  nape: { across: 'all', side: null },
  back: { across: 'all', side: null },
  left: { across: 'left-zone', side: null },
  right: { across: 'right-zone', side: null },
  C: { across: 'strip', side: null },
  CL: { across: 'strip', side: 'left' },
  CR: { across: 'strip', side: 'right' },
  crown: { across: 'strip', side: null },
  crownL: { across: 'strip', side: 'left' },
  crownR: { across: 'strip', side: 'right' },
  front: { across: 'strip', side: null },
  frontL: { across: 'strip', side: 'left' },
  frontR: { across: 'strip', side: 'right' },
} as const satisfies Record<string, PanelShape>;

export type PanelId = keyof typeof PANELS;
/** Every panel that a parting may have, by its name in a recipe. */
export const PANEL_IDS = Object.keys(PANELS) as PanelId[];

/** Panels that are one zone, worked in its own way. */
export const zoneOfPanel = (id: PanelId): Zone | null => {
  const name = id.replace(/[LR]$/, '');
  return name === 'nape' ||
    name === 'back' ||
    name === 'left' ||
    name === 'right' ||
    name === 'crown' ||
    name === 'front'
    ? name
    : null;
};

const SCALP = hairlinePolygon();
const RADIAL_SCALP = radialScalp();

/** A panel as a polygon of its own coordinates, and the frame that leads back to the chart. */
export interface Panel {
  readonly id: PanelId;
  readonly polygon: readonly FramePoint[];
  readonly frame: CutFrame;
}

const middle = () => 0;

/** Whether a panel ends at the part that is worn. */
export const isBesidePart = (id: PanelId): boolean => {
  const shape: PanelShape = PANELS[id];
  return shape.side !== null && !shape.isHalf;
};

/** Farthest row coordinates of the scalp. */
export const BACKMOST = Math.min(...SCALP.map((point) => point.t));
export const FOREMOST = Math.max(...SCALP.map((point) => point.t));

/**
 * The region of a panel.
 *
 * @param fromT back limit
 * @param toT front limit
 * @param part where the part runs across, at any `t`
 */
export function panelOf(id: PanelId, fromT: number, toT: number, part: (t: number) => number): Panel {
  const shape: PanelShape = PANELS[id];
  if (shape.isRadial) return { id, polygon: RADIAL_SCALP, frame: RADIAL_FRAME };
  let polygon: readonly FramePoint[] = SCALP;
  if (fromT > BACKMOST) polygon = clipPolygon(polygon, 't', fromT, 'above');
  if (toT < FOREMOST) polygon = clipPolygon(polygon, 't', toT, 'below');
  const { side } = ZONE_BORDER;
  if (shape.across === 'left-zone') polygon = clipPolygon(polygon, 'f', -side, 'below');
  if (shape.across === 'right-zone') polygon = clipPolygon(polygon, 'f', side, 'above');
  if (shape.across === 'strip') {
    polygon = clipPolygon(clipPolygon(polygon, 'f', side, 'below'), 'f', -side, 'above');
  }
  if (shape.side === null) return { id, polygon, frame: ROW_FRAME };
  const frame = sideFrame(shape.isHalf ? middle : part, shape.side);
  return {
    id,
    polygon: clipPolygon(polygon.map(frame.from), 'f', 0, shape.side === 'left' ? 'below' : 'above', frame),
    frame,
  };
}
