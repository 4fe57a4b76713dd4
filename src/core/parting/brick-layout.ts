import { zoneAt, type Zone } from '../hair/zone';
import {
  framePoint,
  fromFrame,
  sphereDistance,
  type ChartPoint,
  type FramePoint,
} from '../sphere/crown-chart';
import { hairlinePolygon } from '../sphere/hairline';
import { clipPolygon, polygonArea, polygonCentroid } from '../sphere/polygon';
import { planBrickRows, type RowProfile } from './row-plan';

/** One section of a layout, on the chart of a head with R = 1. */
export interface LaidSection {
  /** Working order, from 1: row by row from the nape, left to right. */
  readonly number: number;
  /** `row.col`, counted from the back and from the client's left. */
  readonly key: string;
  readonly row: number;
  readonly zone: Zone;
  readonly side: 'left' | 'middle' | 'right';
  /** Share of the scalp. */
  readonly share: number;
  readonly centroid: ChartPoint;
  readonly outline: readonly ChartPoint[];
  /** Which way hair is wound: away from the face at the front hairline, else alternating. */
  readonly winding: 'away-from-face' | 'to-left' | 'to-right';
}

/** Sections in working order and the row counts they came from, back row first. */
export interface Layout {
  readonly rows: readonly number[];
  readonly sections: readonly LaidSection[];
}

export const MIN_SECTIONS = 2;
export const MAX_SECTIONS = 600;

const PROFILE_SAMPLES = 72;
/** The outermost row lines are measured this far inside the hairline, R. */
const EDGE = 1e-6;
const LINE_SAMPLES = 24;
const FACE_AZIMUTH = (72 * Math.PI) / 180;
/** A centroid within this distance of the middle line counts as the middle, R. */
const MIDDLE = 0.02;
/** A corner this near the hairline touches it, R. */
const ON_HAIRLINE = 0.003;

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

function lineLengthAt(t: number): number {
  let [low, high] = [Infinity, -Infinity];
  for (let i = 0; i < SCALP.length; i++) {
    const a = SCALP[i]!;
    const b = SCALP[(i + 1) % SCALP.length]!;
    if (a.t < t === b.t < t) continue;
    const f = a.f + ((t - a.t) / (b.t - a.t)) * (b.f - a.f);
    low = Math.min(low, f);
    high = Math.max(high, f);
  }
  if (!(high > low)) return 0;
  let length = 0;
  let last = fromFrame(low, t);
  for (let i = 1; i <= LINE_SAMPLES; i++) {
    const next = fromFrame(low + ((high - low) * i) / LINE_SAMPLES, t);
    length += sphereDistance(last, next);
    last = next;
  }
  return length;
}

function profileOfScalp(): RowProfile {
  const back = Math.min(...SCALP.map((p) => p.t));
  const face = Math.max(...SCALP.map((p) => p.t));
  const inner = Array.from(
    { length: PROFILE_SAMPLES - 1 },
    (_, i) => back + ((face - back) * (i + 1)) / PROFILE_SAMPLES,
  );
  return {
    t: [back, ...inner, face],
    areaBehind: [0, ...inner.map((at) => polygonArea(clipPolygon(SCALP, 't', at, 'below'))), SCALP_AREA],
    lineLength: [back + EDGE, ...inner, face - EDGE].map(lineLengthAt),
  };
}

const PROFILE = profileOfScalp();

/** The line of equal `axis` that leaves `wanted` area on its low side, by guarded false position. */
function cutForArea(
  polygon: readonly FramePoint[],
  axis: 'f' | 't',
  wanted: number,
  tolerance: number,
): number {
  let low = Infinity;
  let high = -Infinity;
  for (const point of polygon) {
    low = Math.min(low, point[axis]);
    high = Math.max(high, point[axis]);
  }
  let [lowArea, highArea] = [0, polygonArea(polygon)];
  for (let step = 0; step < 40; step++) {
    const guess = (wanted - lowArea) / (highArea - lowArea);
    const at = low + (high - low) * (step % 3 === 2 ? 0.5 : Math.min(0.98, Math.max(0.02, guess)));
    const area = polygonArea(clipPolygon(polygon, axis, at, 'below'));
    if (Math.abs(area - wanted) < tolerance) return at;
    if (area < wanted) [low, lowArea] = [at, area];
    else [high, highArea] = [at, area];
  }
  return (low + high) / 2;
}

/** Cuts a polygon into pieces of equal area along one axis, low side first. */
function cutEqual(polygon: readonly FramePoint[], axis: 'f' | 't', areas: readonly number[]): FramePoint[][] {
  const tolerance = 2e-5 * Math.min(...areas);
  const pieces: FramePoint[][] = [];
  let rest = [...polygon];
  for (const area of areas.slice(0, -1)) {
    const at = cutForArea(rest, axis, area, tolerance);
    pieces.push(clipPolygon(rest, axis, at, 'below'));
    rest = clipPolygon(rest, axis, at, 'above');
  }
  return [...pieces, rest];
}

/**
 * Lays `count` sections of equal area on the crown in brick rows.
 *
 * @param count whole number, 2 to 600
 * @param aspect wanted width over height of a section on the head: 1 square, 1.5 for rods
 * @throws RangeError when `count` is out of range
 * @source parting-map §4: rows by dynamic programming, lines and cuts by equal area on the chart
 */
export function layBrick(count: number, aspect: number): Layout {
  if (!Number.isInteger(count) || count < MIN_SECTIONS || count > MAX_SECTIONS) {
    throw new RangeError(
      `${count} sections: a whole number from ${MIN_SECTIONS} to ${MAX_SECTIONS} is needed`,
    );
  }
  const rows = planBrickRows(PROFILE, count, aspect);
  const each = SCALP_AREA / count;
  const sections: LaidSection[] = [];
  cutEqual(
    SCALP,
    't',
    rows.map((size) => size * each),
  ).forEach((band, row) => {
    const columns = cutEqual(
      band,
      'f',
      Array.from({ length: rows[row]! }, () => each),
    );
    columns.forEach((outline, col) => {
      const centroid = polygonCentroid(outline);
      const touchesFace = outline.some(
        (p) => Math.abs(Math.atan2(p.x, p.y)) < FACE_AZIMUTH && isOnHairline(p),
      );
      sections.push({
        number: sections.length + 1,
        key: `${row + 1}.${col + 1}`,
        row,
        zone: zoneAt(framePoint(centroid)),
        side: centroid.x < -MIDDLE ? 'left' : centroid.x > MIDDLE ? 'right' : 'middle',
        share: polygonArea(outline) / SCALP_AREA,
        centroid,
        outline,
        winding: touchesFace ? 'away-from-face' : (row + col) % 2 === 0 ? 'to-right' : 'to-left',
      });
    });
  });
  return { rows, sections };
}
