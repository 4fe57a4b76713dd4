import { remembered } from '../../remembered';
import { sphereDistance, type ChartPoint } from '../../sphere/crown-chart';
import { hairlinePolygon } from '../../sphere/hairline';
import { polygonArea } from '../../sphere/polygon';
import { layOut, type Layout, type LaidSection } from '../layout';
import type { LoadOf } from '../load';
import { cutForLoad, lineLengthAt } from '../plan-panel';
import type { PartingRecipe, SectionMark, SplitAxis } from '../recipe';
import { edited, inRadii, refused, type Edited } from './edited';

/** A part of a split section is no smaller than this, cm². */
const SMALLEST_CM2 = 1;
/** Sections that are merged share at least this much of an edge, cm. */
const TOUCHING_CM = 0.5;
/** Edges this near on the chart are the same edge, R. */
const SAME_EDGE = 0.006;
/** At most this share of the scalp is left out. */
const MOST_LEFT_OUT = 0.35;
/** A cut is found to this share of the section. */
const TOLERANCE = 1e-4;

const SCALP_AREA = polygonArea(hairlinePolygon());

const find = (layout: Layout, key: string): LaidSection | undefined =>
  layout.sections.find((section) => section.key === key);
const GONE = 'that section is not there any more';

/**
 * Splits a section into two of equal hair, across its longer side unless told otherwise.
 *
 * @source parting-map §6
 */
export function splitSection(layout: Layout, key: string, load: LoadOf, axis?: SplitAxis): Edited {
  const { recipe } = layout;
  const section = find(layout, key);
  if (!section) return refused(GONE);
  const { frame, outline } = section;
  if (!frame) return refused('a section that was joined or cut out cannot be split: undo that first');
  const radii = inRadii(recipe, 1);
  if (polygonArea(outline) / radii ** 2 < 2 * SMALLEST_CM2) {
    return refused(`each half would be under ${SMALLEST_CM2} cm²`);
  }
  const ts = outline.map((point) => point.t);
  const [back, face] = [Math.min(...ts), Math.max(...ts)];
  const width = lineLengthAt(outline, frame, (back + face) / 2);
  const along = axis ?? (width ** 2 > polygonArea(outline) ? 'cut' : 'row');
  const half = load(outline) / 2;
  const at = cutForLoad(outline, frame, along === 'cut' ? 'f' : 't', half, TOLERANCE * half, load);
  return edited({ ...recipe, splits: [...recipe.splits, { key, axis: along, at }] });
}

function distanceToEdge({ x, y }: ChartPoint, outline: readonly ChartPoint[]): number {
  let nearest = Infinity;
  for (let i = 0, j = outline.length - 1; i < outline.length; j = i++) {
    const a = outline[j]!;
    const [dx, dy] = [outline[i]!.x - a.x, outline[i]!.y - a.y];
    const along = Math.min(1, Math.max(0, ((x - a.x) * dx + (y - a.y) * dy) / (dx * dx + dy * dy || 1)));
    nearest = Math.min(nearest, Math.hypot(x - a.x - along * dx, y - a.y - along * dy));
  }
  return nearest;
}

/** The box round an outline, as much wider as two edges may lie apart and be the same. */
const boundsOf = remembered((outline: readonly ChartPoint[]) => {
  const box = { left: Infinity, right: -Infinity, low: Infinity, high: -Infinity };
  for (const { x, y } of outline) {
    box.left = Math.min(box.left, x - SAME_EDGE);
    box.right = Math.max(box.right, x + SAME_EDGE);
    box.low = Math.min(box.low, y - SAME_EDGE);
    box.high = Math.max(box.high, y + SAME_EDGE);
  }
  return box;
});

/** Length of the edge that two sections share, measured on the head, R. */
export function sharedEdge(a: LaidSection, b: LaidSection): number {
  return a.outline.reduce((sum, from, i) => {
    const to = a.outline[(i + 1) % a.outline.length]!;
    const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
    return distanceToEdge(middle, b.outline) < SAME_EDGE ? sum + sphereDistance(from, to) : sum;
  }, 0);
}

/** Sections that share enough of an edge with this one to be joined to it, by number. */
export const joinable = (layout: Layout, key: string): LaidSection[] => {
  const section = find(layout, key);
  const least = inRadii(layout.recipe, TOUCHING_CM);
  if (!section) return [];
  const bounds = boundsOf(section.outline);
  return layout.sections.filter((other) => {
    const its = boundsOf(other.outline);
    const isNear =
      bounds.left <= its.right &&
      its.left <= bounds.right &&
      bounds.low <= its.high &&
      its.low <= bounds.high;
    return other !== section && isNear && sharedEdge(section, other) >= least;
  });
};

/** Joins two touching sections into one. Two halves of one split are simply not split any more. */
export function mergeSections(layout: Layout, key: string, other: string): Edited {
  const { recipe } = layout;
  const [a, b] = [find(layout, key), find(layout, other)];
  if (!a || !b || a === b) return refused(GONE);
  if (sharedEdge(a, b) < inRadii(recipe, TOUCHING_CM)) {
    return refused(`sections ${a.number} and ${b.number} do not touch, so they cannot be one`);
  }
  const parent = key.slice(0, -1);
  if (key !== other && parent === other.slice(0, -1) && recipe.splits.some((split) => split.key === parent)) {
    return edited({ ...recipe, splits: recipe.splits.filter((split) => split.key !== parent) });
  }
  // A joined section is joined again as all it was made of.
  const partsOf = (joined: string) => recipe.merges.find((keys) => keys.join('+') === joined) ?? [joined];
  const [first, second] = a.number < b.number ? [key, other] : [other, key];
  const kept = recipe.merges.filter((keys) => ![key, other].includes(keys.join('+')));
  const keys = [...partsOf(first), ...partsOf(second)];
  const joined = { ...recipe, merges: [...kept, keys] };
  return layOut(joined).unplaced.includes(keys.join('+'))
    ? refused(`sections ${a.number} and ${b.number} only meet at a corner, so they cannot be one`)
    : edited(joined);
}

/** Takes a joined section apart again. */
export function unmergeSection({ recipe }: Layout, key: string): Edited {
  const merges = recipe.merges.filter((keys) => keys.join('+') !== key);
  return merges.length === recipe.merges.length ? refused(GONE) : edited({ ...recipe, merges });
}

/** Decides something for one section; a value of undefined takes it back. */
export function markSection(recipe: PartingRecipe, key: string, change: SectionMark): PartingRecipe {
  const mark = Object.fromEntries(
    Object.entries({ ...recipe.marks[key], ...change }).filter(([, value]) => value !== undefined),
  ) as SectionMark;
  const { [key]: _, ...others } = recipe.marks;
  return { ...recipe, marks: Object.keys(mark).length > 0 ? { ...others, [key]: mark } : others };
}

/** Leaves the ground of a section out: no hair is set there. */
export function leaveOut(layout: Layout, key: string): Edited {
  const section = find(layout, key);
  if (!section) return refused(GONE);
  return excludePatch(layout, section.outline);
}

/**
 * Leaves a patch out, as an outline on the chart.
 *
 * @source parting-map §8: more than 35 % of the scalp is refused
 */
export function excludePatch({ recipe, sections }: Layout, outline: readonly ChartPoint[]): Edited {
  if (sections.length <= 1) return refused('one section has to stay');
  const leftOut = 1 - sections.reduce((sum, section) => sum + section.share, 0);
  if (leftOut + polygonArea(outline) / SCALP_AREA > MOST_LEFT_OUT) {
    return refused(`at most ${MOST_LEFT_OUT * 100} % of the scalp can be left out`);
  }
  const round = (value: number) => Math.round(value * 1e4) / 1e4;
  return edited({
    ...recipe,
    exclude: [...recipe.exclude, outline.map(({ x, y }) => [round(x), round(y)] as const)],
  });
}
