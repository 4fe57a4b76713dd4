import { gammaUpperTail } from './gamma';

const LN_2PI = Math.log(2 * Math.PI);

/** Standard normal density φ(z). */
export const normalDensity = (z: number): number => Math.exp(-0.5 * z * z - 0.5 * LN_2PI);

/** ln of the normal density of `x` about 0. @param variance above 0 */
export const lnNormal = (x: number, variance: number): number =>
  -0.5 * (LN_2PI + Math.log(variance) + (x * x) / variance);

/**
 * Upper tail 1 − Φ(z) with small relative error, far out too.
 *
 * @source erfc(x) = Q(½, x²)
 * @example normalTail(10) // => 7.62e-24
 */
export const normalTail = (z: number): number => {
  if (z === Infinity) return 0;
  if (z === -Infinity) return 1;
  const half = 0.5 * gammaUpperTail(0.5, (z * z) / 2);
  return z >= 0 ? half : 1 - half;
};

/** Φ(b) − Φ(a) for a ≤ b, taken in the tail where both lie in it. */
export const normalBetween = (a: number, b: number): number =>
  a > 0 ? normalTail(a) - normalTail(b) : normalTail(-b) - normalTail(-a);

const STEP = 0.002;
const REACH = 9;
let table: Float64Array | null = null;

/** Φ from a table with linear steps: within 1e-7, for sums over many points. */
export function normalCdfFast(z: number): number {
  table ??= Float64Array.from({ length: (2 * REACH) / STEP + 2 }, (_, i) => normalTail(REACH - i * STEP));
  if (z <= -REACH) return 0;
  if (z >= REACH) return 1;
  const at = (z + REACH) / STEP;
  const below = Math.floor(at);
  return table[below]! + (at - below) * (table[below + 1]! - table[below]!);
}
