import { Matrix, solve } from 'ml-matrix';
import type { Point } from './picture';

/** A plane seen in perspective, mm → px: nine numbers row by row, the last of them 1. */
export type Homography = readonly number[];

/** Where a place of the plane is in the picture. */
export function toPx(h: Homography, [x, y]: Point): Point {
  const w = h[6]! * x + h[7]! * y + h[8]!;
  return [(h[0]! * x + h[1]! * y + h[2]!) / w, (h[3]! * x + h[4]! * y + h[5]!) / w];
}

const scaled = (h: readonly number[]): Homography => h.map((value) => value / h[8]!);

/** The same the other way, px → mm. */
export function inverse(h: Homography): Homography {
  const [a, b, c, d, e, f, g, i, k] = h as [
    number, number, number, number, number, number, number, number, number,
  ]; // prettier-ignore
  return scaled([
    e * k - f * i, c * i - b * k, b * f - c * e,
    f * g - d * k, a * k - c * g, c * d - a * f,
    d * i - e * g, b * g - a * i, a * e - b * d,
  ]); // prettier-ignore
}

/**
 * The homography that takes four places, or more by least squares, to others.
 *
 * @returns null where they lie on a line
 * @source direct linear transform with the last number 1
 */
export function homographyOf(from: readonly Point[], to: readonly Point[]): Homography | null {
  const rows: number[][] = [];
  const right: number[][] = [];
  from.forEach(([x, y], i) => {
    const [u, v] = to[i]!;
    rows.push([x, y, 1, 0, 0, 0, -u * x, -u * y], [0, 0, 0, x, y, 1, -v * x, -v * y]);
    right.push([u], [v]);
  });
  // Columns of about one size keep the sum of squares well told.
  const a = new Matrix(rows);
  const sizes = Array.from({ length: 8 }, (_, j) => Math.hypot(...a.getColumn(j)) || 1);
  sizes.forEach((size, j) => a.mulColumn(j, 1 / size));
  try {
    const h = solve(a, new Matrix(right), from.length > 4).to1DArray();
    const found = [...h.map((value, j) => value / sizes[j]!), 1];
    return found.every(Number.isFinite) ? found : null;
  } catch {
    return null;
  }
}

/** A picture in which a mm is as many px everywhere and in every direction, its middle at the origin. */
export const evenScale = (pxPerMm: number, [x, y]: Point): Homography => [
  pxPerMm,
  0,
  x,
  0,
  pxPerMm,
  y,
  0,
  0,
  1,
];

/** Pixels to the mm about a place of the plane: the root of how much an area grows. */
export function pxPerMmAt(h: Homography, [x, y]: Point): number {
  const step = 0.5;
  const [ax, ay] = toPx(h, [x - step, y]);
  const [bx, by] = toPx(h, [x + step, y]);
  const [cx, cy] = toPx(h, [x, y - step]);
  const [dx, dy] = toPx(h, [x, y + step]);
  return Math.sqrt(Math.abs((bx - ax) * (dy - cy) - (by - ay) * (dx - cx)));
}

/** How a camera stands to a plane. */
export interface Pose {
  /** From the camera to the origin of the plane, mm. */
  readonly distanceMm: number;
  /** Between the line of sight and the plane's upright, degrees. */
  readonly tiltDeg: number;
}

/** Focal length that is taken where a picture does not tell it, as of film 36 mm wide. @source common for the main camera of a phone */
export const USUAL_FOCAL_35_MM = 26;

/**
 * How the camera stood.
 *
 * @param focal35Mm focal length as of film 36 mm wide
 * @source columns of K⁻¹H; photo, "Depth"
 */
export function poseOf(h: Homography, width: number, height: number, focal35Mm: number): Pose {
  const f = (focal35Mm / 36) * Math.max(width, height);
  const column = (j: number) => [
    (h[j]! - (width / 2) * h[6 + j]!) / f,
    (h[3 + j]! - (height / 2) * h[6 + j]!) / f,
    h[6 + j]!,
  ];
  const [a, b, c] = [column(0), column(1), column(2)] as [number[], number[], number[]];
  const size = (v: number[]) => Math.hypot(...v);
  const scale = (size(a) + size(b)) / 2;
  const normal = [
    a[1]! * b[2]! - a[2]! * b[1]!,
    a[2]! * b[0]! - a[0]! * b[2]!,
    a[0]! * b[1]! - a[1]! * b[0]!,
  ];
  const cos = Math.min(1, Math.abs(normal[2]!) / size(normal));
  return { distanceMm: size(c) / scale, tiltDeg: (Math.acos(cos) * 180) / Math.PI };
}
