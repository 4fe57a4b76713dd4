import { sphereDistance, type FramePoint } from '../sphere/crown-chart';
import { clipPolygon, polygonArea, type CutFrame } from '../sphere/polygon';
import type { LoadOf } from './load';
import type { Panel } from './panel';
import type { PartingPattern } from './pattern';
import type { RecipePanel } from './recipe';
import { alignedJoints, brickJoints, planRows, type RowProfile } from './row-plan';

/** The lines of one panel in its own coordinates: row limits from the back, and the cuts within each row. */
export type PanelLines = Omit<RecipePanel, 'id'>;

const PROFILE_SAMPLES = 36;
const LINE_SAMPLES = 24;
/** The outermost row lines are measured this far inside the edge, as a share of the panel's length. */
const EDGE = 1e-4;
/** Cuts are found to this share of a section. */
const TOLERANCE = 2e-5;

const limits = (polygon: readonly FramePoint[], axis: 'f' | 't'): readonly [number, number] => {
  let [low, high] = [Infinity, -Infinity];
  for (const point of polygon) {
    low = Math.min(low, point[axis]);
    high = Math.max(high, point[axis]);
  }
  return [low, high];
};

/** Length of a row line within a polygon, measured on the head, R. */
export function lineLengthAt(polygon: readonly FramePoint[], frame: CutFrame, t: number): number {
  let [low, high] = [Infinity, -Infinity];
  for (let i = 0; i < polygon.length; i++) {
    const a = polygon[i]!;
    const b = polygon[(i + 1) % polygon.length]!;
    if (a.t < t === b.t < t) continue;
    const f = a.f + ((t - a.t) / (b.t - a.t)) * (b.f - a.f);
    low = Math.min(low, f);
    high = Math.max(high, f);
  }
  if (!(high > low)) return 0;
  let length = 0;
  let last = frame.at(low, t);
  for (let i = 1; i <= LINE_SAMPLES; i++) {
    const next = frame.at(low + ((high - low) * i) / LINE_SAMPLES, t);
    length += sphereDistance(last, next);
    last = next;
  }
  return length;
}

/** The polygon cut at every row line of `ts`, from the back: halves first, so that little is cut again. */
function bandsBetween(
  polygon: readonly FramePoint[],
  ts: readonly number[],
  frame: CutFrame,
): (readonly FramePoint[])[] {
  if (ts.length === 0) return [polygon];
  const middle = ts.length >> 1;
  const side = (keep: 'below' | 'above') => clipPolygon(polygon, 't', ts[middle]!, keep, frame);
  return [
    ...bandsBetween(side('below'), ts.slice(0, middle), frame),
    ...bandsBetween(side('above'), ts.slice(middle + 1), frame),
  ];
}

const runningSum = (values: readonly number[]): number[] => {
  let sum = 0;
  return [0, ...values.map((value) => (sum += value))];
};

function profileOf({ polygon, frame }: Panel, load: LoadOf): RowProfile {
  const [back, face] = limits(polygon, 't');
  const inner = Array.from(
    { length: PROFILE_SAMPLES - 1 },
    (_, i) => back + ((face - back) * (i + 1)) / PROFILE_SAMPLES,
  );
  const bands = bandsBetween(polygon, inner, frame);
  const edge = EDGE * (face - back);
  return {
    t: [back, ...inner, face],
    areaBehind: runningSum(bands.map(polygonArea)),
    loadBehind: runningSum(bands.map(load)),
    lineLength: [back + edge, ...inner, face - edge].map((t) => lineLengthAt(polygon, frame, t)),
  };
}

const profiles = new WeakMap<readonly FramePoint[], Map<LoadOf, RowProfile>>();

/** The profile of a panel, kept with its polygon: the whole scalp is asked for again and again. */
function keptProfile(panel: Panel, load: LoadOf): RowProfile {
  const ofPanel = profiles.get(panel.polygon) ?? new Map<LoadOf, RowProfile>();
  profiles.set(panel.polygon, ofPanel);
  const known = ofPanel.get(load) ?? profileOf(panel, load);
  ofPanel.set(load, known);
  return known;
}

/**
 * The line of equal `axis` that leaves `wanted` load on its low side: secants, kept between the nearest lines that
 * are known to lie to either side.
 *
 * @param between lines that the polygon lies between
 * @param firstTry where the cut is expected, when something is known of it
 */
export function cutForLoad(
  polygon: readonly FramePoint[],
  frame: CutFrame,
  axis: 'f' | 't',
  wanted: number,
  tolerance: number,
  load: LoadOf,
  between = limits(polygon, axis),
  firstTry?: number,
): number {
  let [low, high] = between;
  let [lowLoad, highLoad] = [0, load(polygon)];
  let at = firstTry ?? low + ((high - low) * wanted) / highLoad;
  let [last, lastLoad] = [low, lowLoad];
  for (let step = 0; step < 40; step++) {
    if (!(at > low && at < high) || step % 5 === 4) at = (low + high) / 2;
    const here = load(clipPolygon(polygon, axis, at, 'below', frame));
    if (Math.abs(here - wanted) < tolerance) return at;
    if (here < wanted) [low, lowLoad] = [at, here];
    else [high, highLoad] = [at, here];
    const next = at + ((wanted - here) * (at - last)) / (here - lastLoad);
    [last, lastLoad] = [at, here];
    at = next;
  }
  return (low + high) / 2;
}

/** Lines of equal `axis` that cut a polygon into loads in these proportions, low side first. */
function cutsInProportion(
  polygon: readonly FramePoint[],
  frame: CutFrame,
  axis: 'f' | 't',
  shares: readonly number[],
  load: LoadOf,
): number[] {
  const total = load(polygon);
  const all = shares.reduce((sum, share) => sum + share, 0);
  const tolerance = (TOLERANCE * total * Math.min(...shares)) / all;
  const cuts: number[] = [];
  let rest = polygon;
  const [start, to] = limits(polygon, axis);
  let from = start;
  let perShare: number | null = null;
  for (const share of shares.slice(0, -1)) {
    const firstTry = perShare === null ? undefined : from + perShare * share;
    const at = cutForLoad(rest, frame, axis, (total * share) / all, tolerance, load, [from, to], firstTry);
    perShare = (at - from) / share;
    from = at;
    cuts.push(at);
    rest = clipPolygon(rest, axis, at, 'above', frame);
  }
  return cuts;
}

function rowsOf(
  panel: Panel,
  count: number,
  pattern: PartingPattern,
  aspect: number,
  load: LoadOf,
  rowCount: number | undefined,
): readonly number[] {
  switch (pattern) {
    case 'lanes-back':
      return [count];
    case 'lanes-side':
      return Array.from({ length: count }, () => 1);
    case 'rows':
      return planRows(keptProfile(panel, load), count, aspect, alignedJoints, rowCount);
    case 'brick':
    case 'radial':
      return planRows(keptProfile(panel, load), count, aspect, brickJoints, rowCount);
  }
}

/**
 * Cuts a panel into `count` sections of equal load, in rows that suit its shape.
 *
 * @param rowCount rows that are asked for, in patterns that run in rows
 * @source parting-map §4.3–4.6
 */
export const planPanel = (
  panel: Panel,
  count: number,
  pattern: PartingPattern,
  aspect: number,
  load: LoadOf,
  rowCount?: number,
): PanelLines => cutPanel(panel, rowsOf(panel, count, pattern, aspect, load, rowCount), load);

/** Cuts a panel into rows of these many sections, from the back, all of equal load. */
export function cutPanel(panel: Panel, rows: readonly number[], load: LoadOf): PanelLines {
  const { polygon, frame } = panel;
  const inner = cutsInProportion(polygon, frame, 't', rows, load);
  const [back, face] = limits(polygon, 't');
  const rowLines = [back, ...inner, face];
  const cuts = rows.map((size, row) => {
    const band = bandOf(panel, rowLines, row);
    return cutsInProportion(
      band,
      frame,
      'f',
      Array.from({ length: size }, () => 1),
      load,
    );
  });
  return { rowLines, cuts };
}

/** The polygon between two row lines of a panel. */
export function bandOf(
  { polygon, frame }: Panel,
  rowLines: readonly number[],
  row: number,
): readonly FramePoint[] {
  let band = polygon;
  if (row > 0) band = clipPolygon(band, 't', rowLines[row]!, 'above', frame);
  if (row < rowLines.length - 2) band = clipPolygon(band, 't', rowLines[row + 1]!, 'below', frame);
  return band;
}
