import { ZONE_BORDER, type PerZone } from '../hair/zone';
import { framePoint, type ChartPoint } from '../sphere/crown-chart';
import { polygonArea } from '../sphere/polygon';

/** How many even sections' worth of hair a polygon holds, in R² of scalp at size 1. */
export type LoadOf = (polygon: readonly ChartPoint[]) => number;

/** Sizes blend over this far to either side of a zone border, R (parting-map §1). */
const BLEND = 0.22;
const GRID = 0.02;
const REACH = { x: 1.5, y: 1.75 } as const;

const smooth = (from: number) => {
  const x = Math.min(1, Math.max(0, 0.5 + from / (2 * BLEND)));
  return x * x * (3 - 2 * x);
};

/** Size of a section against an even one at a place: the zones' own, blended in log across their borders. */
export function sizeAt(sizes: PerZone<number>, point: ChartPoint): number {
  const { f, t } = framePoint(point);
  const ln = (zone: keyof PerZone<number>) => Math.log(sizes[zone]);
  const mix = (share: number, below: number, above: number) => below + share * (above - below);
  const behind = mix(smooth(t - ZONE_BORDER.nape), ln('nape'), ln('back'));
  const middle = mix(smooth(t - ZONE_BORDER.front), ln('crown'), ln('front'));
  const right = mix(smooth(f - ZONE_BORDER.side), middle, ln('right'));
  const top = mix(smooth(-ZONE_BORDER.side - f), right, ln('left'));
  return Math.exp(mix(smooth(t - ZONE_BORDER.ear), behind, top));
}

/** Ground that is left out, as an outline on the chart. */
export type Patch = readonly (readonly [x: number, y: number])[];

/** Where a line across the chart lies inside a patch, as ends of stretches in order. */
function insideAt(patch: Patch, y: number): number[] {
  const ends: number[] = [];
  patch.forEach(([ax, ay], i) => {
    const [bx, by] = patch[(i + 1) % patch.length]!;
    if (ay < y === by < y) return;
    ends.push(ax + ((y - ay) / (by - ay)) * (bx - ax));
  });
  return ends.sort((a, b) => a - b);
}

/** How much of a stretch lies inside. */
function overlap(ends: readonly number[], from: number, until: number): number {
  let sum = 0;
  for (let i = 0; i + 1 < ends.length; i += 2) {
    sum += Math.max(0, Math.min(until, ends[i + 1]!) - Math.max(from, ends[i]!));
  }
  return sum;
}

const known = new Map<string, LoadOf>();

/**
 * Load of a polygon where sections are wanted larger in some zones: the integral of 1/size over it, by a table of
 * ∫dx on a grid and a contour sum, so that neighbours that share points add up to the whole. Ground that is left
 * out holds nothing. Patches that overlap count once more than they should; nobody draws the same place twice.
 *
 * @source Green's theorem; parting-map §2
 */
export function loadFor(sizes: PerZone<number>, leftOut: readonly Patch[] = []): LoadOf {
  if (leftOut.length === 0 && Object.values(sizes).every((size) => size === 1)) return polygonArea;
  const key = JSON.stringify([sizes, leftOut]);
  const kept = known.get(key);
  if (kept) return kept;
  const columns = Math.round((2 * REACH.x) / GRID) + 1;
  const rows = Math.round((2 * REACH.y) / GRID) + 1;
  const table = new Float64Array(columns * rows);
  for (let j = 0; j < rows; j++) {
    const y = -REACH.y + j * GRID;
    const gaps = leftOut.map((patch) => insideAt(patch, y));
    let before = 1 / sizeAt(sizes, { x: -REACH.x, y });
    for (let i = 1; i < columns; i++) {
      const here = 1 / sizeAt(sizes, { x: -REACH.x + i * GRID, y });
      const from = -REACH.x + (i - 1) * GRID;
      const bare = gaps.reduce((sum, gap) => sum + overlap(gap, from, from + GRID), 0);
      table[j * columns + i] = table[j * columns + i - 1]! + ((before + here) / 2) * Math.max(0, GRID - bare);
      before = here;
    }
  }
  const lookUp = (x: number, y: number) => {
    const u = Math.min(columns - 1.000001, Math.max(0, (x + REACH.x) / GRID));
    const v = Math.min(rows - 1.000001, Math.max(0, (y + REACH.y) / GRID));
    const [i, j] = [Math.floor(u), Math.floor(v)];
    const [p, q] = [u - i, v - j];
    const at = j * columns + i;
    return (
      (1 - q) * ((1 - p) * table[at]! + p * table[at + 1]!) +
      q * ((1 - p) * table[at + columns]! + p * table[at + columns + 1]!)
    );
  };
  const near = 0.5 - Math.sqrt(3) / 6;
  const load: LoadOf = (polygon) => {
    let sum = 0;
    for (let i = 0, j = polygon.length - 1; i < polygon.length; j = i++) {
      const [a, b] = [polygon[j]!, polygon[i]!];
      const dy = b.y - a.y;
      if (dy === 0) continue;
      const [dx, first, second] = [b.x - a.x, near, 1 - near];
      sum +=
        (dy * (lookUp(a.x + first * dx, a.y + first * dy) + lookUp(a.x + second * dx, a.y + second * dy))) /
        2;
    }
    return Math.abs(sum);
  };
  if (known.size > 20) known.clear();
  known.set(key, load);
  return load;
}
