import { photo } from '../coefficients/photo';
import { clamp } from '../units/clamp';
import { toPx } from './homography';
import { blurred, planeOf, sample, type Plane, type Point } from './picture';
import type { Reference } from './reference';
import { measured, refused, type Figure, type Measuring } from './refusal';
import { pxPerMmAt } from './homography';

/** Samples to the mm that a region is looked at with. */
const PER_MM = 3;
const LEAST_PX_PER_MM = 2.5;
const LEAST_SIDE_MM = 20;
/** Mean linear luminance outside which a picture tells nothing. @source photo §8 */
const LIGHT = { dark: 0.004, bright: 0.85 } as const;

/** A rectangle of the reference's plane, mm. */
export interface RegionMm {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** Coherence of the pattern and its energy at a scale. */
function pattern(g: Plane, sigmaG: number, sigmaI: number): { coherence: number; energy: number } {
  const soft = blurred(g, sigmaG * PER_MM);
  const { width, height, values } = soft;
  const [xx, xy, yy] = [planeOf(width, height), planeOf(width, height), planeOf(width, height)];
  let energy = 0;
  for (let y = 1; y < height - 1; y++) {
    for (let x = 1; x < width - 1; x++) {
      const i = y * width + x;
      const gx = (values[i + 1]! - values[i - 1]!) / 2;
      const gy = (values[i + width]! - values[i - width]!) / 2;
      xx.values[i] = gx * gx;
      xy.values[i] = gx * gy;
      yy.values[i] = gy * gy;
      energy += gx * gx + gy * gy;
    }
  }
  energy /= (width - 2) * (height - 2);
  const [a, b, c] = [xx, xy, yy].map((plane) => blurred(plane, sigmaI * PER_MM).values) as [
    Float32Array,
    Float32Array,
    Float32Array,
  ];
  const margin = Math.ceil(sigmaI * PER_MM);
  let [over, under] = [0, 0];
  for (let y = margin; y < height - margin; y++) {
    for (let x = margin; x < width - margin; x++) {
      const i = y * width + x;
      const trace = a[i]! + c[i]!;
      if (trace <= 0) continue;
      over += ((a[i]! - c[i]!) ** 2 + 4 * b[i]! ** 2) / trace;
      under += trace;
    }
  }
  return { coherence: under > 0 ? over / under : 0, energy };
}

/**
 * How defined a region of hair is, 0 to 10: for comparing a head with itself, fitted on generated pictures.
 *
 * @param plane linear luminance, the white of the card taken out where there is one
 * @source photo §4
 */
export function definitionIn(plane: Plane, { h }: Pick<Reference, 'h'>, region: RegionMm): Measuring<Figure> {
  const [across, down] = [region.right - region.left, region.bottom - region.top];
  if (across < LEAST_SIDE_MM || down < LEAST_SIDE_MM) return refused('box-small');
  const pxPerMm = pxPerMmAt(h, [(region.left + region.right) / 2, (region.top + region.bottom) / 2]);
  if (pxPerMm < LEAST_PX_PER_MM) return refused('detail');
  const q = pxPerMm / PER_MM;
  const source = q > 1 ? blurred(plane, 0.5 * Math.sqrt(q * q - 1)) : plane;
  const light = planeOf(Math.floor(across * PER_MM), Math.floor(down * PER_MM));
  let sum = 0;
  for (let y = 0; y < light.height; y++) {
    for (let x = 0; x < light.width; x++) {
      const at: Point = [region.left + (x + 0.5) / PER_MM, region.top + (y + 0.5) / PER_MM];
      const value = sample(source, ...toPx(h, at));
      light.values[y * light.width + x] = value;
      sum += value;
    }
  }
  const mean = sum / light.values.length;
  if (mean < LIGHT.dark) return refused('dark');
  if (mean > LIGHT.bright) return refused('bright');
  const around = blurred(light, 5 * PER_MM).values;
  const g: Plane = {
    ...light,
    values: light.values.map((value, i) => Math.tanh(value / (around[i]! + 0.003) - 1)),
  };
  const fine = pattern(g, 0.4, 0.8);
  const wide = pattern(g, 0.4, 1.6);
  const middle = pattern(g, 0.8, 1.6);
  const rough = pattern(g, 1.6, 1.6);
  const s =
    4.64 -
    2.1 * fine.coherence +
    2.92 * wide.coherence -
    0.9 * middle.coherence -
    0.23 * Math.log(fine.energy / middle.energy) -
    0.16 * Math.log(middle.energy / rough.energy) +
    0.53 * Math.log(middle.energy);
  return measured({
    value: 10 * clamp(Number.isFinite(s) ? s : 0, 0, 1),
    sigma: photo.value.definitionSigma,
  });
}
