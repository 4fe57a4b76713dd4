import { round } from '../../coefficients/round';
import { seededRng } from '../../random/rng';
import type { ChartPoint } from '../../sphere/crown-chart';
import { combed, hang, NODES, partOnHead, type HangingPiece, type Worn } from '../hair/axis';
import { framed } from '../hair/curl-on-axis';
import { relax, type RelaxedPiece } from '../hair/relax';
import { rootsIn } from '../hair/roots';
import type { HeadGrid } from '../head/head-grid';
import { onScalp } from '../head/scalp';
import type { RoundPen } from '../mesh';
import { handOf, type RoundModel, type RoundSection } from '../model';
import { across, add, type Vec } from '../vec';
import type { Work } from '../../work';
import { inSets } from './index';
import type { SetPiece } from './set-piece';

/** Ribbons of hair that lie over the scalp to the bases of a head. */
const BASE_RIBBONS = 3600;
const BASE_POINTS = 6;
/** Sides that tubes have: fewer where there are many sections, so that a head stays within its triangles. */
const sidesFor = (sections: number): number => (sections > 45 ? 5 : sections > 24 ? 6 : 8);

/** Where on its lane a root is picked up: a little ahead of where it grows. */
function pickedUp(spine: readonly ChartPoint[], root: ChartPoint): ChartPoint {
  const order = [...spine].reverse();
  let nearest = 0;
  order.forEach((point, i) => {
    const best = order[nearest]!;
    if ((point.x - root.x) ** 2 + (point.y - root.y) ** 2 < (best.x - root.x) ** 2 + (best.y - root.y) ** 2)
      nearest = i;
  });
  return order[Math.min(order.length - 1, nearest + 1)]!;
}

/** Hair that lies over the scalp from its roots to where its section stands. */
function drawBase(section: RoundSection, count: number, scale: number, seed: number, mesh: RoundPen): void {
  const chance = seededRng(seed, section.number);
  const roots = rootsIn(section.outline, section.centroid, count, chance, handOf(section));
  for (const root of roots) {
    const to = section.spine ? pickedUp(section.spine, root) : section.centroid;
    // Not quite from the edge: the lines between sections stay bare.
    const from = { x: root.x + 0.06 * (to.x - root.x), y: root.y + 0.06 * (to.y - root.y) };
    const points = new Float64Array(3 * BASE_POINTS);
    for (let i = 0; i < BASE_POINTS; i++) {
      const t = i / (BASE_POINTS - 1);
      const place = onScalp({ x: from.x + t * (to.x - from.x), y: from.y + t * (to.y - from.y) }, scale);
      points.set(add(place.at, place.normal, 0.04 + 0.3 * t * t), 3 * i);
    }
    mesh.ribbon(points, {
      tier: 'locks',
      kind: 'scalp',
      half: (share) => 0.13 * (1 - 0.55 * share),
      seed: chance(),
    });
  }
}

/** Whether a technique is wound on something that lies on the head, and which way that lies. */
const fallsFrom = (base: { at: Vec; normal: Vec }): Vec =>
  across(
    add([0, -1, 0], [Math.sign(base.at[0]) * 0.1, 0, base.at[2] > 0 && base.at[1] > 4 ? -1.2 : -0.3]),
    base.normal,
  );

/** A head in the set, drawn into a mesh. */
export function* drawSet(model: RoundModel, grid: HeadGrid, mesh: RoundPen): Work<null> {
  const { scale } = grid;
  const worn: Worn = { part: partOnHead(model.partLine, scale), front: null, scale };
  const placed = model.sections.map((section) => {
    const way = inSets[section.technique.inSet];
    const hanging = way.hangs(section);
    const endOfLane = section.spine && section.technique.inSet === 'lane' ? section.spine[0]! : null;
    const base = onScalp(endOfLane ?? section.centroid, scale);
    return { section, way, hanging, base };
  });
  const hung = placed.flatMap(({ section, hanging, base }) =>
    hanging
      ? [
          {
            section,
            piece: {
              root: base,
              visibleCm: hanging.lengthCm,
              gapCm: hanging.radiusCm + 0.1,
              radiusCm: 1.15 * hanging.radiusCm,
              stands: 1,
              comb: combed(base, hanging.lengthCm, worn),
              side: base.at[0],
              isFront: base.at[2] > 4 * scale && base.at[1] > 2 * scale,
              over: null,
            } satisfies HangingPiece & RelaxedPiece,
          },
        ]
      : [],
  );
  const nodes = new Float64Array(hung.length * NODES * 3);
  hung.forEach(({ piece }, p) => hang(grid, piece, round.value.hangsLoose, worn, nodes, 3 * NODES * p));
  relax(
    grid,
    nodes,
    hung.map(({ piece }) => piece),
  );
  const axisOf = new Map(
    hung.map(({ section }, p) => [section, framed(nodes, 3 * NODES * p, handOf(section))] as const),
  );
  const perSection = Math.ceil(BASE_RIBBONS / Math.max(1, model.sections.length));
  for (const [i, { section, way, hanging, base }] of placed.entries()) {
    yield i / placed.length;
    drawBase(section, perSection, scale, model.seed, mesh);
    const piece: SetPiece = {
      section,
      base,
      axis: axisOf.get(section) ?? null,
      lengthCm: hanging?.lengthCm ?? 0,
      hand: handOf(section),
      grid,
      scale,
      falls: fallsFrom(base),
      seed: seededRng(model.seed + 2, section.number)(),
      sides: sidesFor(model.sections.length),
    };
    way.draw(piece, mesh);
  }
  return null;
}
