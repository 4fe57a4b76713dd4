import { remembered } from '../../remembered';
import { unit, type Vec } from '../vec';
import { headDistance } from './head-shape';

/** Spacing of the samples of the head, cm. */
export const GRID_CM = 0.5;
/** Samples across one half, up and to the face. */
const [NX, NY, NZ] = [45, 98, 62] as const;
/** Where the first sample of the half lies, cm; it begins one short of the middle, so that slopes there are level. */
const [X0, Y0, Z0] = [0, -29, -15.5] as const;

/** The head sampled once: distances of one half, the other being its mirror image. */
export interface HeadGrid {
  readonly distances: Float32Array;
  /** Times the size of a head of 56 cm round. */
  readonly scale: number;
}

/** Every so many samples the distance is worked out first; where that is far, those between lie on straight lines. */
const COARSE = 4;
/** From here on nobody asks for more than about how far it is, cm. */
const FAR_CM = 3.6;

const sampled = remembered((size: { readonly nx: number }): Float32Array => {
  const distances = new Float32Array(size.nx * NY * NZ);
  const exact = (x: number, y: number, z: number) =>
    headDistance(X0 + x * GRID_CM, Y0 + y * GRID_CM, Z0 + z * GRID_CM);
  const steps = (count: number) => Math.ceil((count - 1) / COARSE) + 1;
  const [cx, cy, cz] = [steps(size.nx), steps(NY), steps(NZ)];
  const coarse = new Float32Array(cx * cy * cz);
  for (let x = 0, i = 0; x < cx; x++)
    for (let y = 0; y < cy; y++)
      for (let z = 0; z < cz; z++) coarse[i++] = exact(x * COARSE, y * COARSE, z * COARSE);
  const at = (x: number, y: number, z: number) => coarse[(x * cy + y) * cz + z]!;
  for (let x = 0, i = 0; x < size.nx; x++)
    for (let y = 0; y < NY; y++)
      for (let z = 0; z < NZ; z++, i++) {
        const [kx, ky, kz] = [Math.floor(x / COARSE), Math.floor(y / COARSE), Math.floor(z / COARSE)];
        const near = at(kx, ky, kz);
        if (Math.abs(near) < FAR_CM || kx + 1 >= cx || ky + 1 >= cy || kz + 1 >= cz) {
          distances[i] = exact(x, y, z);
          continue;
        }
        const [tx, ty, tz] = [x / COARSE - kx, y / COARSE - ky, z / COARSE - kz];
        const along = (dx: number, dy: number) =>
          at(kx + dx, ky + dy, kz) * (1 - tz) + at(kx + dx, ky + dy, kz + 1) * tz;
        const up = (dx: number) => along(dx, 0) * (1 - ty) + along(dx, 1) * ty;
        distances[i] = up(0) * (1 - tx) + up(1) * tx;
      }
  return distances;
});
const HALF = { nx: NX };

/** The head of a client: the same figure, as large as hers is round. */
export const headGrid = (circumferenceCm: number): HeadGrid => ({
  distances: sampled(HALF),
  scale: circumferenceCm / 56,
});

/** Sizes of the sampled half and where it begins, for whoever makes a surface of it. */
export const GRID = { nx: NX, ny: NY, nz: NZ, x0: X0, y0: Y0, z0: Z0 } as const;

/** Distance to the head at a point of the scene, cm, between the samples in straight lines; below nought inside. */
export function distanceAt({ distances, scale }: HeadGrid, px: number, py: number, pz: number): number {
  const fx = Math.abs(px / scale - X0) / GRID_CM;
  const fy = (py / scale - Y0) / GRID_CM;
  const fz = (pz / scale - Z0) / GRID_CM;
  const gx = Math.min(NX - 1.001, fx);
  const gy = Math.min(NY - 1.001, Math.max(0, fy));
  const gz = Math.min(NZ - 1.001, Math.max(0, fz));
  const [ix, iy, iz] = [Math.floor(gx), Math.floor(gy), Math.floor(gz)];
  const [tx, ty, tz] = [gx - ix, gy - iy, gz - iz];
  const at = (ix * NY + iy) * NZ + iz;
  const up = NZ;
  const over = NY * NZ;
  const c00 = distances[at]! + tz * (distances[at + 1]! - distances[at]!);
  const c01 = distances[at + up]! + tz * (distances[at + up + 1]! - distances[at + up]!);
  const c10 = distances[at + over]! + tz * (distances[at + over + 1]! - distances[at + over]!);
  const c11 = distances[at + over + up]! + tz * (distances[at + over + up + 1]! - distances[at + over + up]!);
  const c0 = c00 + ty * (c01 - c00);
  const c1 = c10 + ty * (c11 - c10);
  // Beyond the samples the head is farther away by what lies between.
  const beyond = Math.hypot(fx - gx, fy - gy, fz - gz) * GRID_CM;
  return scale * (c0 + tx * (c1 - c0) + beyond);
}

/** Direction away from the head at a point. */
export function awayFromHead(grid: HeadGrid, x: number, y: number, z: number): Vec {
  const h = 0.5 * GRID_CM * grid.scale;
  return unit([
    distanceAt(grid, x + h, y, z) - distanceAt(grid, x - h, y, z),
    distanceAt(grid, x, y + h, z) - distanceAt(grid, x, y - h, z),
    distanceAt(grid, x, y, z + h) - distanceAt(grid, x, y, z - h),
  ]);
}
