/**
 * A calm head without likeness as one signed distance field, cm, for a head of 56 cm round: cranium, face, closed lids,
 * ears, neck and bust. Every figure of it is for the eye; only the cranium carries hair.
 */

const hypot3 = (x: number, y: number, z: number) => Math.sqrt(x * x + y * y + z * z);

/** About the distance to an ellipsoid: exact on its surface, and near enough beside it. */
function ellipsoid(x: number, y: number, z: number, a: number, b: number, c: number): number {
  const k0 = hypot3(x / a, y / b, z / c);
  const k1 = hypot3(x / (a * a), y / (b * b), z / (c * c));
  return k1 === 0 ? -Math.min(a, b, c) : (k0 * (k0 - 1)) / k1;
}

/** Distance to a rod between two points that grows from one radius to another. */
function limb(
  x: number, y: number, z: number,
  ax: number, ay: number, az: number, ra: number,
  bx: number, by: number, bz: number, rb: number,
): number {
  const [dx, dy, dz] = [bx - ax, by - ay, bz - az];
  const t = Math.min(
    1,
    Math.max(0, ((x - ax) * dx + (y - ay) * dy + (z - az) * dz) / (dx * dx + dy * dy + dz * dz)),
  );
  return hypot3(x - ax - t * dx, y - ay - t * dy, z - az - t * dz) - (ra + t * (rb - ra));
} // prettier-ignore

/** The nearer of two, blended over `k` cm. */
function joined(a: number, b: number, k: number): number {
  const h = Math.max(0, k - Math.abs(a - b)) / k;
  return Math.min(a, b) - h * h * k * 0.25;
}
/** The first without the second, blended over `k` cm. */
const without = (a: number, b: number, k: number) => -joined(-a, b, k);

/** Half width, height and depth of the cranium, cm. */
export const CRANIUM = { x: 7.45, y: 8.9, z: 9.7 } as const;
/** Lowest the bust reaches, cm. */
const BUST_ENDS = -26.5;

/** Distance to what carries hair, and what it grows down to: the cranium, blended into the neck. */
export function scalpDistance(x: number, y: number, z: number): number {
  const cranium = ellipsoid(x, y, z, CRANIUM.x, CRANIUM.y, CRANIUM.z);
  const neck = limb(x, y, z, 0, -7, -2.6, 5.3, 0, -19, -3.6, 5.6);
  return joined(cranium, neck, 3);
}

/** Distance to the whole figure; below nought inside. Left and right are alike. */
export function headDistance(signedX: number, y: number, z: number): number {
  const x = Math.abs(signedX);
  let d = ellipsoid(x, y, z, CRANIUM.x, CRANIUM.y, CRANIUM.z);
  // Face: a tapering front, cheekbones, jaw and chin.
  d = joined(d, ellipsoid(x, y + 4.4, z - 3.2, 6.0, 7.4, 5.7), 2.4);
  d = joined(d, ellipsoid(x - 4.1, y + 4.3, z - 5.7, 2.2, 1.7, 2.4), 2);
  d = joined(d, limb(x, y, z, 5.2, -6.6, 1.2, 1.3, 1.9, -11.2, 6.3, 1.5), 3);
  d = joined(d, ellipsoid(x, y + 11.3, z - 7.0, 2.3, 1.5, 1.7), 1.8);
  // Brow, sockets and closed lids.
  d = joined(d, limb(x, y, z, 1.0, -0.7, 8.5, 0.75, 4.7, -0.9, 6.7, 0.6), 1.4);
  d = without(d, ellipsoid(x - 3.1, y + 2.2, z - 9.5, 1.8, 1.0, 1.6), 1.5);
  d = joined(d, ellipsoid(x - 3.15, y + 2.55, z - 7.15, 1.45, 1.05, 1.15), 0.35);
  // Nose: bridge, tip, wings.
  d = joined(d, limb(x, y, z, 0, -1.6, 8.5, 0.75, 0, -5.3, 10.1, 0.95), 1.1);
  d = joined(d, ellipsoid(x, y + 5.5, z - 10.1, 1.05, 0.85, 0.95), 0.8);
  d = joined(d, ellipsoid(x - 1.25, y + 5.75, z - 9.25, 0.78, 0.68, 0.95), 0.6);
  d = without(d, ellipsoid(x - 0.72, y + 6.35, z - 9.9, 0.34, 0.3, 0.5), 0.4);
  // Mouth: a soft muzzle, two full lips, closed.
  d = joined(d, ellipsoid(x, y + 8.2, z - 7.0, 2.9, 2.1, 2.0), 1.4);
  d = joined(d, ellipsoid(x, y + 7.75, z - 8.75, 2.35, 0.62, 0.75), 0.7);
  d = joined(d, ellipsoid(x, y + 8.95, z - 8.7, 2.0, 0.72, 0.8), 0.7);
  d = without(d, ellipsoid(x, y + 8.32, z - 9.75, 2.3, 0.16, 0.55), 0.7);
  // Ear: a leaning shell with a hollow.
  const [ey, ez] = [y + 3.0 + 0.16 * (z + 0.7), z + 0.7 - 0.16 * (y + 3.0)];
  d = joined(d, ellipsoid(x - 7.35 - 0.12 * ey, ey, ez, 0.62, 3.0, 1.75), 0.5);
  d = without(d, ellipsoid(x - 8.15 - 0.12 * ey, ey - 0.35, ez - 0.05, 0.55, 1.7, 0.95), 0.5);
  // Neck and bust.
  d = joined(d, limb(x, y, z, 0, -7, -2.6, 5.3, 0, -19, -3.6, 5.6), 3.4);
  let bust = limb(x, y, z, 3, -18.5, -4.4, 3.6, 13.2, -21.6, -4.0, 4.0);
  bust = joined(bust, ellipsoid(x, y + 23.6, z + 3.0, 13.5, 6.4, 8.0), 4);
  const cut = Math.max(BUST_ENDS - y, hypot3(x / 1.18, (y + 10) * 0.92, z * 1.02) - 15.4);
  return joined(d, -joined(-bust, -cut, 0.9), 4.2);
}
