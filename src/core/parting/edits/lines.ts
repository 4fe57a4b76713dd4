import { sphereDistance } from '../../sphere/crown-chart';
import type { CutFrame } from '../../sphere/polygon';
import type { LoadOf } from '../load';
import { isBesidePart, PANELS } from '../panel';
import type { PartPoints } from '../part-line';
import { cutPanel } from '../plan-panel';
import type { PartingRecipe } from '../recipe';
import { edited, inRadii, refused, regionOf, rowCounts, withPanel, type Edited } from './edited';

/** Lines come no nearer to each other than this on the head, cm. */
export const CLOSEST_CM = 0.6;
/** The worn part stays within this of the middle, in shares of half the head's width. */
export const PART_LIMIT = 0.62;
/** Points of the part behind this are on the neck side and stay when it is shifted. */
const PART_FROM_T = -1.2;

/** The value nearest to `wanted` that keeps `gap` from both neighbours; null where there is no room. */
function between(
  wanted: number,
  low: number,
  high: number,
  distance: (from: number, to: number) => number,
  gap: number,
): number | null {
  const span = distance(low, high);
  if (span < 2 * gap) return null;
  const room = (high - low) * (gap / span);
  return Math.min(high - room, Math.max(low + room, wanted));
}

const NO_ROOM = `lines stay ${CLOSEST_CM} cm apart, and there is no room here to move this one`;

/**
 * Moves the line between two rows of a panel. Only the two rows beside it change.
 *
 * @param line 1 for the line in front of the back row
 * @source parting-map §6
 */
export function moveRowLine(recipe: PartingRecipe, panelIndex: number, line: number, t: number): Edited {
  const panel = recipe.panels[panelIndex];
  if (!panel || line < 1 || line > panel.rowLines.length - 2)
    return refused('the edge of a panel is no line to move');
  const at = between(
    t,
    panel.rowLines[line - 1]!,
    panel.rowLines[line + 1]!,
    (from, to) => Math.abs(to - from),
    inRadii(recipe, CLOSEST_CM),
  );
  if (at === null) return refused(NO_ROOM);
  return edited(
    withPanel(recipe, panelIndex, {
      ...panel,
      rowLines: panel.rowLines.map((before, i) => (i === line ? at : before)),
    }),
  );
}

/** Moves a cut between two sections of a row. Only the two sections beside it change. */
export function moveCut(
  recipe: PartingRecipe,
  panelIndex: number,
  row: number,
  cut: number,
  g: number,
): Edited {
  const panel = recipe.panels[panelIndex];
  const cuts = panel?.cuts[row];
  if (!panel || !cuts || cuts[cut] === undefined) return refused('there is no such cut');
  const region = regionOf(recipe, panel);
  const middle = (panel.rowLines[row]! + panel.rowLines[row + 1]!) / 2;
  const [left, right] = acrossAt(region.polygon, middle);
  const across = (frame: CutFrame) => (from: number, to: number) =>
    sphereDistance(frame.at(from, middle), frame.at(to, middle));
  const at = between(
    g,
    cuts[cut - 1] ?? left,
    cuts[cut + 1] ?? right,
    across(region.frame),
    inRadii(recipe, CLOSEST_CM),
  );
  if (at === null) return refused(NO_ROOM);
  return edited(
    withPanel(recipe, panelIndex, {
      ...panel,
      cuts: panel.cuts.map((cutsOfRow, r) =>
        r === row ? cutsOfRow.map((value, c) => (c === cut ? at : value)) : cutsOfRow,
      ),
    }),
  );
}

/** Where a row line enters and leaves a polygon. */
function acrossAt(polygon: readonly { f: number; t: number }[], t: number): readonly [number, number] {
  let [left, right] = [Infinity, -Infinity];
  polygon.forEach((a, i) => {
    const b = polygon[(i + 1) % polygon.length]!;
    if (a.t < t === b.t < t) return;
    const f = a.f + ((t - a.t) / (b.t - a.t)) * (b.f - a.f);
    left = Math.min(left, f);
    right = Math.max(right, f);
  });
  return [left, right];
}

/** Moves the worn part. The panels beside it are cut evenly again in the rows they have. */
export function movePart(recipe: PartingRecipe, points: PartPoints, load: LoadOf): Edited {
  if (recipe.part.points.length === 0) return refused('this parting has no part to move');
  const bounded = points.map(([t, f]) => [t, Math.min(PART_LIMIT, Math.max(-PART_LIMIT, f))] as const);
  if (bounded.some(([t], i) => i > 0 && t >= bounded[i - 1]![0])) {
    return refused('the points of a part go from the face to the nape');
  }
  const moved: PartingRecipe = { ...recipe, part: { ...recipe.part, points: bounded } };
  return edited({
    ...moved,
    panels: moved.panels.map((panel) =>
      isBesidePart(panel.id)
        ? { ...panel, ...cutPanel(regionOf(moved, panel), rowCounts(panel), load) }
        : panel,
    ),
  });
}

/** How the hair a section differs between the two sides of the part: positive when the left has more. */
function tilt(recipe: PartingRecipe, load: LoadOf): number {
  const side = { left: { load: 0, count: 0 }, right: { load: 0, count: 0 } };
  for (const panel of recipe.panels) {
    const where = PANELS[panel.id].side;
    if (where === null || !isBesidePart(panel.id)) continue;
    side[where].load += load(regionOf(recipe, panel).polygon);
    side[where].count += rowCounts(panel).reduce((sum, count) => sum + count, 0);
  }
  return side.left.load / side.left.count - side.right.load / side.right.count;
}

/**
 * Shifts the part sideways until sections on both sides of it hold the same hair.
 *
 * @source parting-map §6, "even out the part"; bisection, for the tilt rises with the shift
 */
export function evenPart(recipe: PartingRecipe, load: LoadOf): Edited {
  if (recipe.part.points.length === 0) return refused('this parting has no part to move');
  const shifted = (by: number): PartPoints =>
    recipe.part.points.map(([t, f]) => [t, t > PART_FROM_T ? f + by : f] as const);
  const at = (by: number) => tilt({ ...recipe, part: { ...recipe.part, points: shifted(by) } }, load);
  let [low, high] = [-PART_LIMIT, PART_LIMIT].map((limit, i) =>
    (i === 0 ? Math.max : Math.min)(...recipe.part.points.map(([, f]) => limit - f)),
  ) as [number, number];
  if (at(low) > 0 || at(high) < 0)
    return refused('no place for the part makes both sides even: one section more or fewer would');
  while (high - low > 1e-4) {
    const middle = (low + high) / 2;
    if (at(middle) > 0) high = middle;
    else low = middle;
  }
  return movePart(recipe, shifted((low + high) / 2), load);
}
