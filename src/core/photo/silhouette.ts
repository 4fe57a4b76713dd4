import { photo } from '../coefficients/photo';
import { inverse, Matrix } from 'ml-matrix';
import { quantiles } from '../stats/quantile';
import { clamp } from '../units/clamp';
import { pxPerMmAt, toPx, inverse as backOf } from './homography';
import { blurred, channel, planeOf, type Picture, type Plane, type Point } from './picture';
import { scaleSigma, type Reference } from './reference';
import { measured, refused, type Figure, type Measuring } from './refusal';
import {
  areaOf,
  closed,
  dilated,
  distanceTo,
  eroded,
  filled,
  largestPart,
  maskOf,
  opened,
  type Mask,
} from './shapes';

/** The body of the hair and what stands off it. */
export interface Silhouette {
  readonly widthCm: Figure;
  readonly heightCm: Figure;
  readonly areaCm2: Figure;
  /** Area of hairs outside the body for each mm of its outline, mm. */
  readonly haloMm: number;
  /** Of all that is seen, what stands off. */
  readonly share: number;
  /** Hairs that cross a line 3 mm outside, for each 10 mm of it. */
  readonly finePerCm: number;
  /** 0 to 10; null where there is too little detail for single hairs. */
  readonly frizz: Figure | null;
}

const LEAST_FRIZZ_PX_PER_MM = 1.5;
const LEAST_APART = 0.18;
const MOST_NOISE = 0.08;
const LIGHT = { dark: 0.004, bright: 0.85 } as const;
/** Fly-away hair is looked for up to so far outside the body, mm. */
const ZONE_MM = { from: 0.6, fromPx: 1.2, to: 30 } as const;
const RING_MM = 1.5;

const encoded = (linear: number) =>
  linear <= 0.0031308 ? 12.92 * linear : 1.055 * Math.max(0, linear) ** (1 / 2.4) - 0.055;

/** Medians of a square about a place, channel by channel. */
function medianAbout(channels: readonly Plane[], [x, y]: Point, reach: number): number[] {
  return channels.map(({ width, height, values }) => {
    const seen: number[] = [];
    for (let dy = -reach; dy <= reach; dy++)
      for (let dx = -reach; dx <= reach; dx++) {
        const [px, py] = [Math.round(x) + dx, Math.round(y) + dy];
        if (px >= 0 && py >= 0 && px < width && py < height) seen.push(values[py * width + px]!);
      }
    return seen.length > 0 ? quantiles(seen, [0.5])[0]! : 0;
  });
}

/** A background that slowly changes over the picture, fitted to what looks like it. */
function surface(plane: Plane, isBehind: (i: number) => boolean): ((x: number, y: number) => number) | null {
  const { width, height, values } = plane;
  const terms = (x: number, y: number) => {
    const [u, v] = [(2 * x) / width - 1, (2 * y) / height - 1];
    return [1, u, v, u * u, u * v, v * v];
  };
  const normal = Array.from({ length: 6 }, () => new Array<number>(6).fill(0));
  const right = new Array<number>(6).fill(0);
  let count = 0;
  for (let i = 0; i < values.length; i += 4) {
    if (!isBehind(i)) continue;
    count++;
    const t = terms(i % width, Math.floor(i / width));
    for (let a = 0; a < 6; a++) {
      right[a]! += t[a]! * values[i]!;
      for (let b = 0; b < 6; b++) normal[a]![b]! += t[a]! * t[b]!;
    }
  }
  if (count < 60) return null;
  try {
    const c = inverse(new Matrix(normal)).mmul(Matrix.columnVector(right)).to1DArray();
    return (x, y) => terms(x, y).reduce((sum, term, k) => sum + term * c[k]!, 0);
  } catch {
    return null;
  }
}

/** How much of each pixel is hair, −0.3 to 1, from the colours of hair and wall. */
function coverage(channels: readonly Plane[], behind: readonly Plane[], hair: readonly number[]): Plane {
  const { width, height } = channels[0]!;
  const alpha = planeOf(width, height);
  for (let i = 0; i < alpha.values.length; i++) {
    let [dot, size] = [0, 0];
    for (let k = 0; k < 3; k++) {
      const toHair = hair[k]! - behind[k]!.values[i]!;
      dot += (channels[k]!.values[i]! - behind[k]!.values[i]!) * toHair;
      size += toHair * toHair;
    }
    alpha.values[i] = size > 0 ? clamp(dot / size, -0.3, 1) : 0;
  }
  return alpha;
}

/** Pixels of a reference card, a little beyond its edge. */
function cardMask(width: number, height: number, { h, corners }: Reference): Uint8Array {
  const mask = new Uint8Array(width * height);
  if (!corners) return mask;
  const back = backOf(h);
  const [hw, hh] = [Math.max(...corners.map(([x]) => x)) + 3, Math.max(...corners.map(([, y]) => y)) + 3];
  for (let i = 0; i < mask.length; i++) {
    const [x, y] = toPx(back, [i % width, Math.floor(i / width)]);
    if (Math.abs(x) <= hw && Math.abs(y) <= hh) mask[i] = 1;
  }
  return mask;
}

/** Times a line at a distance outside the body runs into hair. */
function crossings(distance: Plane, isHair: Uint8Array, at: number): number {
  const { width, height, values } = distance;
  const onLine = maskOf(distance, (far) => far >= at && far < at + 1.5);
  const hair: Mask = {
    width,
    height,
    values: Uint8Array.from(values, (_, i) => (onLine.values[i] && isHair[i] ? 1 : 0)),
  };
  // Runs that touch by a corner are one hair.
  const seen = new Uint8Array(hair.values.length);
  const stack: number[] = [];
  let count = 0;
  for (let start = 0; start < seen.length; start++) {
    if (!hair.values[start] || seen[start]) continue;
    count++;
    stack.push(start);
    seen[start] = 1;
    while (stack.length > 0) {
      const i = stack.pop()!;
      const [x, y] = [i % width, Math.floor(i / width)];
      for (let dy = -1; dy <= 1; dy++)
        for (let dx = -1; dx <= 1; dx++) {
          const [nx, ny] = [x + dx, y + dy];
          const next = ny * width + nx;
          if (nx < 0 || ny < 0 || nx >= width || ny >= height || !hair.values[next] || seen[next]) continue;
          seen[next] = 1;
          stack.push(next);
        }
    }
  }
  return count;
}

/**
 * Width, height and area of the hair, and how much stands off it.
 *
 * @param wall a tap on the background, px
 * @param hair a tap on hair, px
 * @source photo §5 and §6
 */
export function silhouetteOf(
  picture: Picture,
  reference: Reference,
  wall: Point,
  hair: Point,
): Measuring<Silhouette> {
  const { width, height } = picture;
  const channels = ([0, 1, 2] as const).map((which) => channel(picture, which));
  const [b0, f] = [medianAbout(channels, wall, 5), medianAbout(channels, hair, 9)];
  const light =
    channels.reduce((sum, { values }) => sum + values.reduce((all, v) => all + v, 0), 0) /
    (3 * width * height);
  if (light < LIGHT.dark) return refused('dark');
  if (light > LIGHT.bright) return refused('bright');
  const apart = Math.hypot(...b0.map((value, k) => encoded(value) - encoded(f[k]!)));
  if (apart < LEAST_APART) return refused('background');
  const isCard = cardMask(width, height, reference);
  let behind: Plane[] = b0.map((value) => {
    const plane = planeOf(width, height);
    plane.values.fill(value);
    return plane;
  });
  let alpha = coverage(channels, behind, f);
  for (const limit of [0.4, 0.25, 0.2]) {
    const { values } = alpha;
    const fits = channels.map((plane) => surface(plane, (i) => !isCard[i] && Math.abs(values[i]!) < limit));
    if (fits.some((fit) => fit === null)) return refused('background');
    behind = fits.map((fit) => {
      const plane = planeOf(width, height);
      for (let i = 0; i < plane.values.length; i++) plane.values[i] = fit!(i % width, Math.floor(i / width));
      return plane;
    });
    alpha = coverage(channels, behind, f);
  }
  for (let i = 0; i < isCard.length; i++) if (isCard[i]) alpha.values[i] = 0;
  const pxPerMm = pxPerMmAt(reference.h, toPx(backOf(reference.h), [width / 2, height / 2]));
  const [open, close] = [1.2 * pxPerMm, 1 * pxPerMm];
  const rough = filled(maskOf(alpha, (value) => value > 0.5));
  if (areaOf(rough) === 0) return refused('no-hair');
  const body = closed(largestPart(opened(rough, open)), close);
  const bodyArea = areaOf(body);
  if (bodyArea < 100) return refused('no-hair');
  let [left, right, top, bottom] = [width, 0, height, 0];
  body.values.forEach((value, i) => {
    if (!value) return;
    const [x, y] = [i % width, Math.floor(i / width)];
    left = Math.min(left, x);
    right = Math.max(right, x);
    top = Math.min(top, y);
    bottom = Math.max(bottom, y);
  });
  // Shoulders may end below; hair that ends at a side or above is cut off.
  if (left <= 0 || right >= width - 1 || top <= 0) return refused('cut-off');

  const smooth = dilated(eroded(dilated(body, 2.5 * pxPerMm), 5 * pxPerMm), 2.5 * pxPerMm);
  const ring = distanceTo(smooth);
  const outlineMm =
    areaOf(maskOf(ring, (far) => far > 0 && far <= RING_MM * pxPerMm)) / pxPerMm ** 2 / RING_MM;
  const distance = distanceTo(body);
  const [from, to] = [ZONE_MM.from * pxPerMm + ZONE_MM.fromPx, ZONE_MM.to * pxPerMm];
  const soft = blurred(alpha, 1);
  const quiet: number[] = [];
  for (let i = 0; i < soft.values.length; i += 7)
    if (distance.values[i]! > from && !isCard[i]) quiet.push(Math.abs(soft.values[i]!));
  const noise = quiet.length > 0 ? 1.48 * quantiles(quiet, [0.5])[0]! : 0;
  if (noise > MOST_NOISE) return refused('background');
  const least = Math.max(0.02, 3 * noise);
  const inZone = (i: number) => distance.values[i]! >= from && distance.values[i]! <= to && !isCard[i];
  const found = maskOf(soft, (value, i) => value > least && inZone(i));
  const isHair = dilated(found, 1.5).values;
  let halo = 0;
  for (let i = 0; i < isHair.length; i++) if (isHair[i] && inZone(i)) halo += alpha.values[i]!;
  const haloMm2 = Math.max(0, halo) / pxPerMm ** 2;
  const haloMm = haloMm2 / outlineMm;
  const lineMm =
    areaOf(maskOf(distance, (far) => far >= 3 * pxPerMm && far < 3 * pxPerMm + 1.5)) / 1.5 / pxPerMm;
  const sigma = scaleSigma(reference);
  const cm = (px: number): Figure => {
    const value = px / pxPerMm / 10;
    return { value, sigma: value * Math.hypot(sigma, photo.value.widthSigma) };
  };
  const areaCm2 = bodyArea / pxPerMm ** 2 / 100;
  return measured({
    widthCm: cm(right - left + 1),
    heightCm: cm(bottom - top + 1),
    areaCm2: { value: areaCm2, sigma: areaCm2 * Math.hypot(2 * sigma, photo.value.areaSigma) },
    haloMm,
    share: haloMm2 / (haloMm2 + 100 * areaCm2),
    finePerCm: lineMm > 0 ? crossings(distance, found.values, 3 * pxPerMm) / (lineMm / 10) : 0,
    frizz:
      pxPerMm < LEAST_FRIZZ_PX_PER_MM
        ? null
        : {
            value:
              10 *
              clamp(Math.log(1 + haloMm / photo.value.frizzHaloMm) / Math.log(photo.value.frizzSpan), 0, 1),
            sigma: photo.value.frizzSigma,
          },
  });
}
