import type { RoundMesh } from './mesh';
import { unit, type Vec } from './vec';

const CELL_CM = 0.7;
/** Cells across, up and deep, and where they begin, cm. */
const [NX, NY, NZ] = [86, 86, 86] as const;
const [X0, Y0, Z0] = [-30, -40, -30] as const;
const [OUT_STEPS, UP_STEPS, KEY_STEPS] = [6, 5, 9] as const;
/** Where the key light comes from: above, from the front, from the client's right. */
export const KEY_LIGHT: Vec = unit([-0.45, 0.8, 0.62]);

/** How thick hair is in every cell of the room round a head. */
class Density {
  private readonly cells = new Float32Array(NX * NY * NZ);
  private static cellOf(x: number, y: number, z: number): number {
    const ix = Math.floor((x - X0) / CELL_CM);
    const iy = Math.floor((y - Y0) / CELL_CM);
    const iz = Math.floor((z - Z0) / CELL_CM);
    return ix < 0 || iy < 0 || iz < 0 || ix >= NX || iy >= NY || iz >= NZ ? -1 : (ix * NY + iy) * NZ + iz;
  }
  add(x: number, y: number, z: number, areaCm2: number): void {
    const cell = Density.cellOf(x, y, z);
    if (cell >= 0) this.cells[cell]! += areaCm2 / CELL_CM ** 3;
  }
  /** What lies on a way from a point, cm²/cm³ over cm. */
  on(x: number, y: number, z: number, [dx, dy, dz]: Vec, steps: number): number {
    let sum = 0;
    for (let i = 1; i <= steps; i++) {
      const s = i * CELL_CM;
      const cell = Density.cellOf(x + s * dx, y + s * dy, z + s * dz);
      if (cell >= 0) sum += this.cells[cell]!;
    }
    return sum * CELL_CM;
  }
}

const UP: Vec = [0, 1, 0];
/** Skin shows every edge of a shadow: its light is the mean of that about a place, cm. */
const ABOUT: readonly Vec[] = [
  [0, 0, 0], [1, 0, 0], [-1, 0, 0], [0, 1, 0], [0, -1, 0], [0, 0, 1], [0, 0, -1],
  [0.6, 0.6, 0.6], [-0.6, 0.6, 0.6], [0.6, -0.6, 0.6], [-0.6, -0.6, 0.6], [0.6, 0.6, -0.6], [-0.6, 0.6, -0.6],
]; // prettier-ignore

/** How much of the sky and of the key light comes to a point, 0 to 1. */
function lightAt(density: Density, x: number, y: number, z: number, dark: number): [number, number] {
  const flat = Math.hypot(x, z) || 1;
  const out = density.on(x, y, z, [x / flat, 0, z / flat], OUT_STEPS);
  const up = density.on(x, y, z, UP, UP_STEPS);
  const key = density.on(x, y, z, KEY_LIGHT, KEY_STEPS);
  return [(Math.exp(-dark * 2 * out) + Math.exp(-dark * 2 * up)) / 2, Math.exp(-dark * 2 * key)];
}

/**
 * Lets hair shade itself, and the head: light is followed through the hair that lies on its way.
 *
 * @param dark how quickly hair takes the light, 1/cm
 * @param head corners of the head, x y z, cm; written are openness and key light of each, 0 … 255
 * @source round §7: most of how hair looks is this
 */
export function shade(mesh: RoundMesh, dark: number, head: Float32Array): Uint8Array {
  const density = new Density();
  const { positions, shapes, lights, indices } = mesh;
  const seen = new Uint8Array(positions.length / 3);
  for (let i = 0; i < indices.length; i += 3) {
    const v = indices[i]!;
    if (seen[v]) continue;
    seen[v] = 1;
    const w = indices[i + 2]!;
    const [x, y, z] = [positions[3 * v]!, positions[3 * v + 1]!, positions[3 * v + 2]!];
    const step = Math.hypot(x - positions[3 * w]!, y - positions[3 * w + 1]!, z - positions[3 * w + 2]!);
    density.add(x, y, z, Math.min(2, shapes[4 * v + 1]! * step));
  }
  for (let v = 0; v < positions.length / 3; v++) {
    // Both sides of a ribbon lie in one point.
    const before = v - 1;
    const isTwin =
      v > 0 &&
      positions[3 * v] === positions[3 * before] &&
      positions[3 * v + 1] === positions[3 * before + 1];
    if (isTwin) {
      lights[4 * v] = lights[4 * before]!;
      lights[4 * v + 1] = lights[4 * before + 1]!;
      continue;
    }
    const [open, key] = lightAt(
      density,
      positions[3 * v]!,
      positions[3 * v + 1]!,
      positions[3 * v + 2]!,
      dark,
    );
    lights[4 * v] = 255 * open;
    lights[4 * v + 1] = 255 * key;
  }
  const onHead = new Uint8Array((head.length / 3) * 2);
  for (let i = 0; i < head.length / 3; i++) {
    let [open, key] = [0, 0];
    for (const [dx, dy, dz] of ABOUT) {
      const lit = lightAt(density, head[3 * i]! + dx, head[3 * i + 1]! + dy, head[3 * i + 2]! + dz, dark);
      open += lit[0] / ABOUT.length;
      key += lit[1] / ABOUT.length;
    }
    onHead[2 * i] = 255 * open;
    onHead[2 * i + 1] = 255 * key;
  }
  return onHead;
}
