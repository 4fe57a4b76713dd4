import { planeOf, type Plane } from './picture';

/** Which pixels are meant: 1 or 0 each. */
export interface Mask {
  readonly width: number;
  readonly height: number;
  readonly values: Uint8Array;
}

const FAR = 1e12;

/** Squared distances along one line: the lower envelope of parabolas. */
function alongLine(
  f: Float64Array,
  out: Float64Array,
  n: number,
  sites: Int32Array,
  bounds: Float64Array,
): void {
  let k = 0;
  sites[0] = 0;
  bounds[0] = -Infinity;
  bounds[1] = Infinity;
  const meets = (q: number, p: number) => (f[q]! + q * q - (f[p]! + p * p)) / (2 * (q - p));
  for (let q = 1; q < n; q++) {
    let s = meets(q, sites[k]!);
    while (s <= bounds[k]!) s = meets(q, sites[--k]!);
    k++;
    sites[k] = q;
    bounds[k] = s;
    bounds[k + 1] = Infinity;
  }
  k = 0;
  for (let q = 0; q < n; q++) {
    while (bounds[k + 1]! < q) k++;
    const p = sites[k]!;
    out[q] = (q - p) * (q - p) + f[p]!;
  }
}

/** Distance of each pixel to the nearest pixel of a mask, px. @source Felzenszwalb and Huttenlocher 2012, exact */
export function distanceTo({ width, height, values }: Mask): Plane {
  const size = Math.max(width, height);
  const [f, out] = [new Float64Array(size), new Float64Array(size)];
  const [sites, bounds] = [new Int32Array(size), new Float64Array(size + 1)];
  const squares = Float64Array.from(values, (value) => (value ? 0 : FAR));
  for (let x = 0; x < width; x++) {
    for (let y = 0; y < height; y++) f[y] = squares[y * width + x]!;
    alongLine(f, out, height, sites, bounds);
    for (let y = 0; y < height; y++) squares[y * width + x] = out[y]!;
  }
  const plane = planeOf(width, height);
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) f[x] = squares[y * width + x]!;
    alongLine(f, out, width, sites, bounds);
    for (let x = 0; x < width; x++) plane.values[y * width + x] = Math.sqrt(out[x]!);
  }
  return plane;
}

export const maskOf = (plane: Plane, isIn: (value: number, i: number) => boolean): Mask => ({
  width: plane.width,
  height: plane.height,
  values: Uint8Array.from(plane.values, (value, i) => (isIn(value, i) ? 1 : 0)),
});

export const inverted = ({ width, height, values }: Mask): Mask => ({
  width,
  height,
  values: Uint8Array.from(values, (value) => 1 - value),
});

/** Grown by a disc of a radius, px. */
export const dilated = (mask: Mask, radius: number): Mask => maskOf(distanceTo(mask), (far) => far <= radius);

/** Shrunk by a disc of a radius, px; the picture's edge does not eat into it. */
export const eroded = (mask: Mask, radius: number): Mask =>
  maskOf(distanceTo(inverted(mask)), (far) => far > radius);

/** Without what is narrower than twice a radius, px. */
export const opened = (mask: Mask, radius: number): Mask => dilated(eroded(mask, radius), radius);

/** With gaps closed that are narrower than twice a radius, px. */
export const closed = (mask: Mask, radius: number): Mask => eroded(dilated(mask, radius), radius);

/** Parts that touch by a side: a number for each pixel, 0 outside, and how many pixels each has. */
export function partsOf({ width, height, values }: Mask): {
  readonly labels: Int32Array;
  readonly areas: readonly number[];
} {
  const labels = new Int32Array(width * height);
  const areas = [0];
  const stack: number[] = [];
  for (let start = 0; start < values.length; start++) {
    if (!values[start] || labels[start]) continue;
    const label = areas.length;
    let area = 0;
    stack.push(start);
    labels[start] = label;
    while (stack.length > 0) {
      const i = stack.pop()!;
      area++;
      const x = i % width;
      const next = (to: number) => {
        if (values[to] && !labels[to]) {
          labels[to] = label;
          stack.push(to);
        }
      };
      if (x > 0) next(i - 1);
      if (x < width - 1) next(i + 1);
      if (i >= width) next(i - width);
      if (i < values.length - width) next(i + width);
    }
    areas.push(area);
  }
  return { labels, areas };
}

/** The largest part of a mask. */
export function largestPart(mask: Mask): Mask {
  const { labels, areas } = partsOf(mask);
  const largest = areas.indexOf(Math.max(...areas.slice(1)));
  return { ...mask, values: Uint8Array.from(labels, (label) => (label > 0 && label === largest ? 1 : 0)) };
}

/** With holes filled: what does not reach the picture's edge from outside. */
export function filled(mask: Mask): Mask {
  const { width, height } = mask;
  const { labels } = partsOf(inverted(mask));
  const outside = new Set<number>();
  for (let x = 0; x < width; x++) {
    outside.add(labels[x]!);
    outside.add(labels[(height - 1) * width + x]!);
  }
  for (let y = 0; y < height; y++) {
    outside.add(labels[y * width]!);
    outside.add(labels[y * width + width - 1]!);
  }
  return { ...mask, values: Uint8Array.from(labels, (label) => (label > 0 && outside.has(label) ? 0 : 1)) };
}

export const areaOf = ({ values }: Mask): number => values.reduce((sum, value) => sum + value, 0);
