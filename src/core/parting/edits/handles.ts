import { fromFrame, framePoint, sphereDistance, type ChartPoint } from '../../sphere/crown-chart';
import { PANELS } from '../panel';
import type { PartPoints } from '../part-line';
import type { Layout } from '../layout';
import type { LoadOf } from '../load';
import type { PartingRecipe } from '../recipe';
import { edited, inRadii, partOf, regionOf, type Edited } from './edited';
import { moveCut, movePart, moveRowLine } from './lines';

/** Something of a parting that can be taken hold of and moved. */
export type Handle =
  | { readonly kind: 'row-line'; readonly panel: number; readonly line: number; readonly at: ChartPoint }
  | {
      readonly kind: 'cut';
      readonly panel: number;
      readonly row: number;
      readonly cut: number;
      readonly at: ChartPoint;
    }
  | { readonly kind: 'part'; readonly point: number; readonly at: ChartPoint };

/** Places, from the face to the nape, at which a part with too few points of its own is held. */
const PART_STATIONS = [1.6, 1.1, 0.6, 0.1, -0.4, -0.9, -1.7] as const;
/** Points of the part this near the rim of the chart cannot be seen, R. */
const IN_SIGHT = 1.45;
const FEWEST_POINTS = 4;

/** Points a part is held by: its own, or evenly placed ones on it where they are too few to bend it. */
export function partPoints(recipe: PartingRecipe): PartPoints {
  const { points } = recipe.part;
  if (points.length === 0 || points.length >= FEWEST_POINTS) return points;
  const part = partOf(recipe);
  return PART_STATIONS.map((t) => [t, part(t)] as const);
}

/** Where the worn part can be taken hold of; only beside panels that it bounds. */
export function partHandles(recipe: PartingRecipe): Handle[] {
  const beside = recipe.panels.filter(({ id }) => PANELS[id].side !== null);
  if (beside.length === 0) return [];
  const from = Math.min(...beside.map(({ rowLines: t }) => t[0]!));
  return partPoints(recipe).flatMap(([t, f], point): Handle[] =>
    t < from || Math.abs(t) > IN_SIGHT ? [] : [{ kind: 'part', point, at: fromFrame(f, t) }],
  );
}

/** The lines round one section, where they can be taken hold of. */
export function sectionHandles({ recipe, sections }: Layout, key: string): Handle[] {
  const section = sections.find((other) => other.key === key);
  const panelIndex = recipe.panels.findIndex(({ id }) => id === section?.panel);
  const panel = recipe.panels[panelIndex];
  if (!section?.frame || !panel) return [];
  const { row, col, frame, outline } = section;
  const { f, t } = frame.of(section.centroid);
  const middle = { f: Number.isFinite(f) ? f : outline[0]!.f, t };
  const rows = [row, row + 1]
    .filter((line) => line > 0 && line < panel.rowLines.length - 1)
    .map((line): Handle => ({
      kind: 'row-line',
      panel: panelIndex,
      line,
      at: frame.at(middle.f, panel.rowLines[line]!),
    }));
  const cuts = [col - 1, col]
    .filter((cut) => panel.cuts[row]?.[cut] !== undefined)
    .map((cut): Handle => ({
      kind: 'cut',
      panel: panelIndex,
      row,
      cut,
      at: frame.at(panel.cuts[row]![cut]!, middle.t),
    }));
  return [...rows, ...cuts];
}

/** Moves what a handle holds to a place on the chart, as far as it can go. */
export function moveHandle(recipe: PartingRecipe, handle: Handle, to: ChartPoint, load: LoadOf): Edited {
  if (handle.kind === 'part') {
    const { f } = framePoint(to);
    return movePart(
      recipe,
      partPoints(recipe).map((station, i) => (i === handle.point ? ([station[0], f] as const) : station)),
      load,
    );
  }
  const panel = recipe.panels[handle.panel];
  if (!panel) return edited(recipe);
  const place = regionOf(recipe, panel).frame.of(to);
  return handle.kind === 'row-line'
    ? moveRowLine(recipe, handle.panel, handle.line, place.t)
    : moveCut(recipe, handle.panel, handle.row, handle.cut, place.f);
}

/**
 * Moves what a handle holds by a distance on the head.
 *
 * @param cm towards the face, or towards the client's right
 */
export function nudgeHandle(recipe: PartingRecipe, handle: Handle, cm: number, load: LoadOf): Edited {
  const by = inRadii(recipe, cm);
  const step = 1e-3;
  const { at } = handle;
  const next = handle.kind === 'row-line' ? { x: at.x, y: at.y + step } : { x: at.x + step, y: at.y };
  const share = (by * step) / sphereDistance(at, next);
  return moveHandle(
    recipe,
    handle,
    handle.kind === 'row-line' ? { x: at.x, y: at.y + share } : { x: at.x + share, y: at.y },
    load,
  );
}
