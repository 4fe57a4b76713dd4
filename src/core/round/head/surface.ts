import { GRID, GRID_CM, headGrid } from './head-grid';
import { headDistance } from './head-shape';
import { directionOnChart } from './scalp';

/** The skin of a head of 56 cm round, as triangles. */
export interface HeadSurface {
  /** x, y, z of each corner, cm. */
  readonly positions: Float32Array;
  readonly normals: Float32Array;
  /** Place of each corner on the chart of the scalp, x and y in R. */
  readonly chart: Float32Array;
  readonly indices: Uint32Array;
}

/** Corners of a cell, and its edges between them. */
const CORNERS = [0, 1, 2, 3, 4, 5, 6, 7].map((k) => [k & 1, (k >> 1) & 1, (k >> 2) & 1] as const);
const EDGES = [[0,1],[2,3],[4,5],[6,7],[0,2],[1,3],[4,6],[5,7],[0,4],[1,5],[2,6],[3,7]] as const; // prettier-ignore

/**
 * The surface of the sampled head by surface nets: one corner in every cell that it passes, one quad across every edge
 * that it cuts. Both halves are made, so that no seam shows.
 */
function surface(): HeadSurface {
  const { distances } = headGrid(56);
  const [nx, ny, nz] = [GRID.nx - 1, GRID.ny - 1, GRID.nz - 1];
  const at = (x: number, y: number, z: number) => distances[(Math.abs(x) * GRID.ny + y) * GRID.nz + z]!;
  const cellOf = new Map<number, number>();
  const key = (x: number, y: number, z: number) => ((x + nx) * ny + y) * nz + z;
  const positions: number[] = [];
  const cm = GRID_CM;
  for (let x = -nx; x < nx; x++)
    for (let y = 0; y < ny; y++)
      for (let z = 0; z < nz; z++) {
        // Nothing passes a cell that lies farther away than it is large.
        if (Math.abs(at(x, y, z)) > 2 * cm) continue;
        const values = CORNERS.map(([cx, cy, cz]) => at(x + cx, y + cy, z + cz));
        if (values.every((v) => v > 0) || values.every((v) => v <= 0)) continue;
        let [sx, sy, sz, count] = [0, 0, 0, 0];
        for (const [a, b] of EDGES) {
          const [va, vb] = [values[a]!, values[b]!];
          if (va > 0 === vb > 0) continue;
          const t = va / (va - vb);
          const [ca, cb] = [CORNERS[a]!, CORNERS[b]!];
          sx += ca[0] + t * (cb[0] - ca[0]);
          sy += ca[1] + t * (cb[1] - ca[1]);
          sz += ca[2] + t * (cb[2] - ca[2]);
          count++;
        }
        cellOf.set(key(x, y, z), positions.length / 3);
        positions.push(
          GRID.x0 + (x + sx / count) * cm,
          GRID.y0 + (y + sy / count) * cm,
          GRID.z0 + (z + sz / count) * cm,
        );
      }
  const indices: number[] = [];
  const quad = (isFlipped: boolean, cells: readonly (readonly [number, number, number])[]) => {
    const ids = cells.map(([x, y, z]) => cellOf.get(key(x, y, z)));
    if (ids.some((id) => id === undefined)) return;
    const [a, b, c, d] = ids as [number, number, number, number];
    indices.push(...(isFlipped ? [a, c, b, a, d, c] : [a, b, c, a, c, d]));
  };
  for (let x = -nx + 1; x < nx; x++)
    for (let y = 1; y < ny; y++)
      for (let z = 1; z < nz; z++) {
        const isIn = at(x, y, z) <= 0;
        if (isIn !== at(x + 1, y, z) <= 0)
          quad(!isIn, [[x, y - 1, z - 1], [x, y, z - 1], [x, y, z], [x, y - 1, z]]); // prettier-ignore
        if (isIn !== at(x, y + 1, z) <= 0)
          quad(!isIn, [[x - 1, y, z - 1], [x - 1, y, z], [x, y, z], [x, y, z - 1]]); // prettier-ignore
        if (isIn !== at(x, y, z + 1) <= 0)
          quad(!isIn, [[x - 1, y - 1, z], [x, y - 1, z], [x, y, z], [x - 1, y, z]]); // prettier-ignore
      }
  const normals = new Float32Array(positions.length);
  const chart = new Float32Array((positions.length / 3) * 2);
  const h = 0.04;
  for (let i = 0; i < positions.length; i += 3) {
    const [x, y, z] = [positions[i]!, positions[i + 1]!, positions[i + 2]!];
    const nxyz = [
      headDistance(x + h, y, z) - headDistance(x - h, y, z),
      headDistance(x, y + h, z) - headDistance(x, y - h, z),
      headDistance(x, y, z + h) - headDistance(x, y, z - h),
    ];
    const length = Math.hypot(...nxyz) || 1;
    normals.set(
      nxyz.map((value) => value / length),
      i,
    );
    const place = directionOnChart([x, y, z]);
    chart.set([place.x, place.y], (i / 3) * 2);
  }
  return { positions: Float32Array.from(positions), normals, chart, indices: Uint32Array.from(indices) };
}

let made: HeadSurface | null = null;

/** The skin of the head, made once. */
export const headSurface = (): HeadSurface => (made ??= surface());
