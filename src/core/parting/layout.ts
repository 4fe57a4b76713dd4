import { zoneAt, type Zone } from '../hair/zone';
import { remembered } from '../remembered';
import { framePoint, type ChartPoint, type FramePoint } from '../sphere/crown-chart';
import { hairlinePolygon } from '../sphere/hairline';
import { clipPolygon, polygonArea, polygonCentroid, type CutFrame } from '../sphere/polygon';
import { isBesidePart, PANELS, panelOf, zoneOfPanel, type PanelId } from './panel';
import { partAcross } from './part-line';
import { bandOf } from './plan-panel';
import { editCells, type Cell } from './recipe-edits';
import type { Quadrant } from './quadrant';
import type { PartingRecipe } from './recipe';
import type { Winding, WindingPatternId } from './winding';

/** One section of a layout, on the chart of a head with R = 1. */
export interface LaidSection {
  /** Working order, from 1. */
  readonly number: number;
  /** `panel.row.col`, counted from the back and from the client's left. */
  readonly key: string;
  readonly panel: PanelId;
  readonly row: number;
  readonly col: number;
  readonly zone: Zone;
  readonly side: 'left' | 'middle' | 'right';
  readonly quadrant: Quadrant;
  /** Share of the scalp. */
  readonly share: number;
  readonly centroid: ChartPoint;
  readonly outline: readonly FramePoint[];
  /** Coordinates it can be cut along; null once it was joined or cut out. */
  readonly frame: CutFrame | null;
  /** Which way hair is wound: away from the face at the front hairline, else alternating. */
  readonly winding: Winding;
  /** Which product it gets where sides differ; null where all get the same. */
  readonly product: string | null;
  /** Middle line of a lane from the back; null for sections that are not lanes. */
  readonly spine: readonly ChartPoint[] | null;
}

/** Sections in working order and what they were derived from. */
export interface Layout {
  readonly recipe: PartingRecipe;
  readonly sections: readonly LaidSection[];
  /** Edits of the recipe whose section is gone. */
  readonly unplaced: readonly string[];
  /** The part that is worn, as a line on the chart; null without one. */
  readonly partLine: readonly ChartPoint[] | null;
}

const FACE_AZIMUTH = (72 * Math.PI) / 180;
/** A centroid within this distance of the middle line counts as the middle, R. */
const MIDDLE = 0.02;
/** A corner this near the hairline touches it, R. */
const ON_HAIRLINE = 0.003;
const EAR_LINE_T = -0.12;
const SPINE_POINTS = 14;

const SCALP = hairlinePolygon();
const SCALP_AREA = polygonArea(SCALP);
const SCALP_RADII = SCALP.map((p) => Math.hypot(p.x, p.y));

function isOnHairline(point: ChartPoint): boolean {
  const count = SCALP_RADII.length;
  const turn = ((Math.atan2(point.x, point.y) / (2 * Math.PI)) * count + count) % count;
  const before = Math.floor(turn) % count;
  const share = turn - Math.floor(turn);
  const edge = SCALP_RADII[before]! * (1 - share) + SCALP_RADII[(before + 1) % count]! * share;
  return Math.hypot(point.x, point.y) > edge - ON_HAIRLINE;
}

const turnsFromFace = (outline: readonly ChartPoint[]) =>
  outline.some((p) => Math.abs(Math.atan2(p.x, p.y)) < FACE_AZIMUTH && isOnHairline(p));

/** Middle of a lane at even steps from its back end to its front. */
function spineOf(outline: readonly FramePoint[]): ChartPoint[] {
  const ts = outline.map((point) => point.t);
  const [back, front] = [Math.min(...ts), Math.max(...ts)];
  return Array.from({ length: SPINE_POINTS }, (_, i) => {
    const at = back + ((front - back) * (i + 0.5)) / SPINE_POINTS;
    const crossings: ChartPoint[] = [];
    outline.forEach((a, k) => {
      const b = outline[(k + 1) % outline.length]!;
      if (a.t < at === b.t < at) return;
      const share = (at - a.t) / (b.t - a.t);
      crossings.push({ x: a.x + share * (b.x - a.x), y: a.y + share * (b.y - a.y) });
    });
    return {
      x: crossings.reduce((sum, point) => sum + point.x, 0) / crossings.length,
      y: crossings.reduce((sum, point) => sum + point.y, 0) / crossings.length,
    };
  });
}

/** The sections of a panel, row by row from the back, from the client's left. */
function panelCells(panel: PartingRecipe['panels'][number], part: (t: number) => number): Cell[] {
  const region = panelOf(panel.id, panel.rowLines[0]!, panel.rowLines.at(-1)!, part);
  return panel.cuts.flatMap((cuts, row) => {
    const columns: (readonly FramePoint[])[] = [];
    let rest: readonly FramePoint[] = bandOf(region, panel.rowLines, row);
    for (const at of cuts) {
      columns.push(clipPolygon(rest, 'f', at, 'below', region.frame));
      rest = clipPolygon(rest, 'f', at, 'above', region.frame);
    }
    return [...columns, rest].map((outline, col): Cell => ({
      key: `${panel.id}.${row + 1}.${col + 1}`,
      panel: panel.id,
      row,
      col,
      outline,
      area: polygonArea(outline),
      frame: region.frame,
    }));
  });
}

/** Cells of a panel that no part bounds: the same for as long as its lines are. */
const freePanelCells = remembered((panel: PartingRecipe['panels'][number]) => panelCells(panel, () => 0));

/** The worn part as a line, from the back end of the panels beside it to the face. */
function partLineOf(recipe: PartingRecipe, part: (t: number) => number): ChartPoint[] | null {
  const beside = recipe.panels.filter(({ id }) => isBesidePart(id));
  if (beside.length === 0) return null;
  const from = Math.min(...beside.map(({ rowLines: t }) => t[0]!));
  const region = panelOf(beside[0]!.id, from, Infinity, part);
  return region.polygon
    .filter((point) => Math.abs(point.f) < 1e-9)
    .map(({ x, y }) => ({ x, y }))
    .sort((a, b) => a.y - b.y);
}

const sideOf = (x: number): LaidSection['side'] => (x < -MIDDLE ? 'left' : x > MIDDLE ? 'right' : 'middle');

/** The half of a trial that a section lies in: beside its part, or where its middle is. */
const halfOf = (panel: PanelId, x: number): 'left' | 'right' =>
  PANELS[panel].side ?? (x < 0 ? 'left' : 'right');

/**
 * Sections of a half-head trial in turns: one of the first side, then its mirror image on the other, so that both
 * sides wait equally long. What has no mirror image, as beside a part on one side, comes last.
 *
 * @source parting-map §4.7
 */
function inTurns(cells: readonly Cell[], first: 'left' | 'right'): Cell[] {
  const placed = cells.map((cell) => ({ cell, at: polygonCentroid(cell.outline) }));
  const isFirst = ({ cell, at }: (typeof placed)[number]) => halfOf(cell.panel, at.x) === first;
  const others = placed.filter((one) => !isFirst(one));
  const turns = placed.filter(isFirst).flatMap(({ cell, at }) => {
    const far = (other: ChartPoint) => Math.hypot(other.x + at.x, other.y - at.y);
    const twin = others.reduce<(typeof others)[number] | null>(
      (best, candidate) => (best && far(best.at) <= far(candidate.at) ? best : candidate),
      null,
    );
    if (twin) others.splice(others.indexOf(twin), 1);
    return twin ? [cell, twin.cell] : [cell];
  });
  return [...turns, ...others.map(({ cell }) => cell)];
}

/** Sides that stand for themselves change turns; panels beside the part come smaller side first as it is. */
const OTHER_SIDE: Partial<Record<PanelId, PanelId>> = { left: 'right', right: 'left' };
/** Nearer to each other across the head than this, two places lie one behind the other, R. */
const SAME_COLUMN = 0.001;

/** Sections from the client's right, as a part on the right wants: a head and its mirror image are worked alike. */
function fromTheRight(cells: readonly Cell[], panels: readonly PanelId[]): Cell[] {
  return cells
    .map((cell) => ({
      cell,
      turn: panels.indexOf(OTHER_SIDE[cell.panel] ?? cell.panel),
      x: polygonCentroid(cell.outline).x,
    }))
    .sort(
      (a, b) =>
        a.turn - b.turn || a.cell.row - b.cell.row || (Math.abs(a.x - b.x) < SAME_COLUMN ? 0 : b.x - a.x),
    )
    .map(({ cell }) => cell);
}

/** What the halves of a trial are called: the client's left and right. */
export const TRIAL_PRODUCT = { left: 'A', right: 'B' } as const;

const WINDING = { away: 'away-from-face', left: 'to-left', right: 'to-right' } as const;

/** Which way a section is wound by a pattern. */
function windingBy(pattern: WindingPatternId, isAtFace: boolean, x: number, isEven: boolean): Winding {
  if (pattern === 'away') return 'away-from-face';
  if (isAtFace && pattern !== 'alternate') return 'away-from-face';
  if (pattern === 'falls') return x < 0 ? 'to-left' : 'to-right';
  return isEven ? 'to-right' : 'to-left';
}

/** Derives every section of a recipe: outlines, sizes, zones and working order. */
export function layOut(recipe: PartingRecipe, winding: WindingPatternId = 'usual'): Layout {
  const part = recipe.part.points.length > 1 ? partAcross(recipe.part.points) : () => 0;
  const { cells, unplaced } = editCells(
    recipe.panels.flatMap((panel) =>
      isBesidePart(panel.id) ? panelCells(panel, part) : freePanelCells(panel),
    ),
    recipe,
  );
  const isLanes = recipe.pattern === 'lanes-back';
  const rowsOf = new Map(recipe.panels.map((panel) => [panel.id, panel.cuts.length]));
  const isTrial = recipe.trial;
  const first = recipe.part.kind === 'right' || recipe.part.kind === 'curved-right' ? 'right' : 'left';
  const fromFirst =
    first === 'right'
      ? fromTheRight(
          cells,
          recipe.panels.map(({ id }) => id),
        )
      : cells;
  const ordered = isTrial ? inTurns(fromFirst, first) : fromFirst;
  const sections = ordered.map(({ key, panel, row, col, outline, area, frame }, i): LaidSection => {
    const centroid = polygonCentroid(outline);
    const place = framePoint(centroid);
    const marked = recipe.marks[key]?.direction;
    return {
      number: i + 1,
      key,
      panel,
      row,
      col,
      zone: zoneOfPanel(panel) ?? zoneAt(place),
      side: isTrial ? halfOf(panel, centroid.x) : sideOf(centroid.x),
      quadrant: `${place.t < EAR_LINE_T ? 'back' : 'front'}-${centroid.x <= 0 ? 'left' : 'right'}`,
      share: area / SCALP_AREA,
      centroid,
      outline,
      frame,
      winding: marked
        ? WINDING[marked]
        : windingBy(winding, turnsFromFace(outline), centroid.x, (row + col) % 2 === 0),
      product: recipe.marks[key]?.product ?? (isTrial ? TRIAL_PRODUCT[halfOf(panel, centroid.x)] : null),
      spine: isLanes && rowsOf.get(panel) === 1 && frame ? spineOf(outline) : null,
    };
  });
  return { recipe, sections, unplaced, partLine: partLineOf(recipe, part) };
}
