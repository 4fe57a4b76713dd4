import { clamp } from '../units/clamp';

/** Pixels as a canvas has them: four bytes each, row by row. */
export interface Picture {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray | Uint8Array;
}

/** One number a pixel, row by row. */
export interface Plane {
  readonly width: number;
  readonly height: number;
  readonly values: Float32Array;
}

/** A place in a picture, px, or on the plane of a reference, mm. */
export type Point = readonly [x: number, y: number];

export const planeOf = (width: number, height: number): Plane => ({
  width,
  height,
  values: new Float32Array(width * height),
});

/** Linear light of an encoded byte, 0 to 1. @source IEC 61966-2-1 (sRGB) */
export const LINEAR = Float32Array.from({ length: 256 }, (_, byte) => {
  const v = byte / 255;
  return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4;
});

/** Shares of red, green and blue in luminance. @source ITU-R BT.709 */
const [RED, GREEN, BLUE] = [0.2126, 0.7152, 0.0722] as const;

const NO_GAINS = [1, 1, 1];

function mixed(
  { width, height, data }: Picture,
  valueOf: (byte: number) => number,
  [red, green, blue]: readonly number[] = NO_GAINS,
): Plane {
  const plane = planeOf(width, height);
  const [r, g, b] = [RED * red!, GREEN * green!, BLUE * blue!];
  for (let i = 0, at = 0; i < plane.values.length; i++, at += 4)
    plane.values[i] = r * valueOf(data[at]!) + g * valueOf(data[at + 1]!) + b * valueOf(data[at + 2]!);
  return plane;
}

/** Luminance in linear light, 0 to 1. @param gains what each channel is multiplied by first */
export const linearLuminance = (picture: Picture, gains?: readonly number[]): Plane =>
  mixed(picture, (byte) => LINEAR[byte]!, gains);

/** Luminance of the encoded values, 0 to 1: even steps to the eye. */
export const encodedLuminance = (picture: Picture): Plane => mixed(picture, (byte) => byte / 255);

/** One channel in linear light, 0 red to 2 blue. */
export function channel({ width, height, data }: Picture, which: 0 | 1 | 2): Plane {
  const plane = planeOf(width, height);
  for (let i = 0; i < plane.values.length; i++) plane.values[i] = LINEAR[data[4 * i + which]!]!;
  return plane;
}

/** The value at any place, between pixels in proportion; the edge goes on beyond the picture. */
export function sample({ width, height, values }: Plane, x: number, y: number): number {
  const cx = clamp(x, 0, width - 1);
  const cy = clamp(y, 0, height - 1);
  const x0 = Math.min(width - 2, Math.floor(cx));
  const y0 = Math.min(height - 2, Math.floor(cy));
  const fx = cx - x0;
  const fy = cy - y0;
  const at = y0 * width + x0;
  const upper = values[at]! + fx * (values[at + 1]! - values[at]!);
  const lower = values[at + width]! + fx * (values[at + width + 1]! - values[at + width]!);
  return upper + fy * (lower - upper);
}

/** Where a mirror about the first or last pixel leads to. */
function mirrored(i: number, length: number): number {
  if (length === 1) return 0;
  const period = 2 * (length - 1);
  const at = ((i % period) + period) % period;
  return at < length ? at : period - at;
}

/** Runs a symmetric kernel along rows or columns. */
function alongLines(plane: Plane, kernel: Float64Array, isRows: boolean): Plane {
  const { width, height, values } = plane;
  const out = planeOf(width, height);
  const [lines, length, lineStep, step] = isRows ? [height, width, width, 1] : [width, height, 1, width];
  const reach = kernel.length - 1;
  const line = new Float64Array(length + 2 * reach);
  for (let l = 0; l < lines; l++) {
    for (let i = -reach; i < length + reach; i++)
      line[i + reach] = values[l * lineStep + mirrored(i, length) * step]!;
    for (let i = 0; i < length; i++) {
      let sum = kernel[0]! * line[i + reach]!;
      for (let k = 1; k <= reach; k++) sum += kernel[k]! * (line[i + reach - k]! + line[i + reach + k]!);
      out.values[l * lineStep + i * step] = sum;
    }
  }
  return out;
}

/** Gaussian blur; the picture is mirrored beyond its edge. @param sigma px; nothing happens at 0 */
export function blurred(plane: Plane, sigma: number): Plane {
  if (sigma <= 0) return plane;
  const reach = Math.ceil(4 * sigma);
  const kernel = Float64Array.from({ length: reach + 1 }, (_, i) => Math.exp(-(i * i) / (2 * sigma * sigma)));
  const total = kernel.reduce((sum, weight, i) => sum + (i === 0 ? 1 : 2) * weight, 0);
  kernel.forEach((weight, i) => (kernel[i] = weight / total));
  return alongLines(alongLines(plane, kernel, true), kernel, false);
}

/** Means over squares of 2·reach + 1 pixels, as much of them as lies in the picture. */
export function boxMean({ width, height, values }: Plane, reach: number): Plane {
  const sums = new Float64Array((width + 1) * (height + 1));
  for (let y = 0; y < height; y++) {
    let row = 0;
    for (let x = 0; x < width; x++) {
      row += values[y * width + x]!;
      sums[(y + 1) * (width + 1) + x + 1] = sums[y * (width + 1) + x + 1]! + row;
    }
  }
  const out = planeOf(width, height);
  for (let y = 0; y < height; y++) {
    const [top, bottom] = [Math.max(0, y - reach), Math.min(height, y + reach + 1)];
    for (let x = 0; x < width; x++) {
      const [left, right] = [Math.max(0, x - reach), Math.min(width, x + reach + 1)];
      const sum =
        sums[bottom * (width + 1) + right]! -
        sums[top * (width + 1) + right]! -
        sums[bottom * (width + 1) + left]! +
        sums[top * (width + 1) + left]!;
      out.values[y * width + x] = sum / ((bottom - top) * (right - left));
    }
  }
  return out;
}
