import { photo } from '../coefficients/photo';
import { quantiles } from '../stats/quantile';
import { inverse, pxPerMmAt, toPx } from './homography';
import { blurred, planeOf, sample, type Plane, type Point } from './picture';
import { scaleSigma, type Reference } from './reference';
import { measured, refused, type Figure, type Measuring } from './refusal';
import { eroded, dilated, maskOf, partsOf, type Mask } from './shapes';
import { otsu } from './threshold';

/** A curl as it was measured. */
export interface CurlMeasured {
  /** From one turn to the next, mm. */
  readonly pitchMm: Figure;
  /** Across it, outside to outside, mm. */
  readonly diameterMm: Figure;
  /** Of a rod that would give it, mm: the middle of the strand; null where its outline was not seen. */
  readonly rodLikeMm: number | null;
  readonly turns: number;
  /** The outline was not seen: the width is that of the box drawn by hand. */
  readonly isByHand: boolean;
}

const LEAST_PX_PER_MM = 2;
const LEAST_DRAG_MM = 8;
const LEAST_TURNS = 1.8;
const LEAST_PEAK = 0.2;

/** A strip along a curl, its columns along the axis and its rows across. */
interface Strip {
  readonly plane: Plane;
  readonly stepMm: number;
}

/** A bend of the axis, mm to the side: c0 + c1·x + c2·x². */
type Bend = readonly [number, number, number];

/** A least-squares parabola through points of weight. */
function parabola(points: readonly { x: number; y: number; weight: number }[]): Bend {
  const s = (p: number, q: number) =>
    points.reduce((sum, { x, y, weight }) => sum + weight * x ** p * y ** q, 0);
  const [s0, s1, s2, s3, s4] = [s(0, 0), s(1, 0), s(2, 0), s(3, 0), s(4, 0)];
  const [t0, t1, t2] = [s(0, 1), s(1, 1), s(2, 1)];
  const det = s0 * (s2 * s4 - s3 * s3) - s1 * (s1 * s4 - s2 * s3) + s2 * (s1 * s3 - s2 * s2);
  if (Math.abs(det) < 1e-9) return [s0 > 0 ? t0 / s0 : 0, 0, 0];
  return [
    (t0 * (s2 * s4 - s3 * s3) - s1 * (t1 * s4 - t2 * s3) + s2 * (t1 * s3 - t2 * s2)) / det,
    (s0 * (t1 * s4 - t2 * s3) - t0 * (s1 * s4 - s2 * s3) + s2 * (s1 * t2 - s2 * t1)) / det,
    (s0 * (s2 * t2 - s3 * t1) - s1 * (s1 * t2 - s2 * t1) + t0 * (s1 * s3 - s2 * s2)) / det,
  ];
}

/** What of a strip is strand, where its outline is seen against the background; null otherwise. */
function strandIn({ plane, stepMm }: Strip): Mask | null {
  const soft = blurred(plane, 0.6);
  const { threshold, separability } = otsu(soft.values);
  const { width, height } = soft;
  const outer = Math.max(1, Math.round(0.1 * height));
  let light = 0;
  for (let x = 0; x < width; x++)
    for (let k = 0; k < outer; k++)
      light +=
        Number(soft.values[k * width + x]! > threshold) +
        Number(soft.values[(height - 1 - k) * width + x]! > threshold);
  const share = light / (2 * outer * width);
  const isLightBehind = share >= 0.5;
  if (separability <= 0.55 || Math.max(share, 1 - share) <= 0.9) return null;
  const medianWhere = (isIn: (value: number) => boolean) => {
    const own = soft.values.filter(isIn).sort();
    return own[own.length >> 1]!;
  };
  const middle = (medianWhere((value) => value <= threshold) + medianWhere((value) => value > threshold)) / 2;
  const own = maskOf(soft, (value) => (isLightBehind ? value < middle : value > middle));
  const radius = 0.3 / stepMm;
  const clean = dilated(eroded(own, radius), radius);
  const { labels, areas } = partsOf(clean);
  const least = 0.2 * Math.max(...areas);
  return {
    ...clean,
    values: Uint8Array.from(labels, (label) => (label > 0 && areas[label]! >= least ? 1 : 0)),
  };
}

/** How alike a strip is to itself further along, for each step; its row means taken out. */
function likenessAlong(
  width: number,
  height: number,
  values: ArrayLike<number>,
  mostLag: number,
): Float64Array {
  const even = Float64Array.from(values);
  for (let y = 0; y < height; y++) {
    let mean = 0;
    for (let x = 0; x < width; x++) mean += even[y * width + x]!;
    mean /= width;
    for (let x = 0; x < width; x++) even[y * width + x]! -= mean;
  }
  // Squares up to each column, so that no lag adds them up anew.
  const squares = new Float64Array(width + 1);
  for (let x = 0; x < width; x++) {
    let sum = 0;
    for (let y = 0; y < height; y++) sum += even[y * width + x]! ** 2;
    squares[x + 1] = squares[x]! + sum;
  }
  return Float64Array.from({ length: mostLag + 1 }, (_, lag) => {
    let both = 0;
    for (let y = 0; y < height; y++) {
      const line = y * width;
      for (let x = lag; x < width; x++) both += even[line + x - lag]! * even[line + x]!;
    }
    const first = squares[width - lag]!;
    const second = squares[width]! - squares[lag]!;
    return first > 0 && second > 0 ? both / Math.sqrt(first * second) : 0;
  });
}

/** The top of a hill near a place, between steps; null where there is none. */
function topNear(curve: Float64Array, from: number, to: number): { at: number; height: number } | null {
  let best: { at: number; height: number } | null = null;
  for (let i = Math.max(1, Math.ceil(from)); i <= Math.min(curve.length - 2, Math.floor(to)); i++) {
    const [a, b, c] = [curve[i - 1]!, curve[i]!, curve[i + 1]!];
    if (b < a || b <= c || (best && b <= best.height)) continue;
    const bend = a - 2 * b + c;
    best = { at: i + (bend < 0 ? (0.5 * (a - c)) / bend : 0), height: b };
  }
  return best;
}

/** The repeat of a strip, steps, with how well later repeats agree; null where it has none. */
function repeatOf(curve: Float64Array): { lag: number; height: number; off: number } | null {
  // What is alike at no distance is no repeat: the first valley comes first.
  let valley = 1;
  while (valley < curve.length - 1 && curve[valley + 1]! < curve[valley]!) valley++;
  const tops: { at: number; height: number }[] = [];
  for (let i = valley + 1; i < curve.length - 1; i++) {
    const top = topNear(curve, i, i);
    if (top) tops.push(top);
  }
  const highest = Math.max(0, ...tops.map(({ height }) => height));
  const first = tops.find(({ height }) => height >= 0.75 * highest);
  if (!first || first.height < LEAST_PEAK) return null;
  let [over, under] = [first.at, 1];
  const seen: [number, number][] = [[1, first.at]];
  for (const k of [2, 3, 4]) {
    const lag = over / under;
    const top = topNear(curve, k * lag - 0.25 * lag, k * lag + 0.25 * lag);
    if (!top || top.height < LEAST_PEAK) break;
    over += k * top.at;
    under += k * k;
    seen.push([k, top.at]);
  }
  const lag = over / under;
  const off = Math.sqrt(seen.reduce((sum, [k, at]) => sum + (at / k - lag) ** 2, 0) / seen.length);
  return { lag, height: first.height, off };
}

/** Outer edges of the strand, window by window of one pitch: 95th percentiles from the axis, and their medians. */
function widthOf({ width, height, values }: Mask, lag: number): { outer: number; clump: number } | null {
  const middle = (height - 1) / 2;
  const [above, below, thick]: [number[], number[], number[]] = [[], [], []];
  const window = Math.max(2, Math.round(lag));
  for (let from = 0; from + window <= width; from += window) {
    const [up, down]: [number[], number[]] = [[], []];
    for (let x = from; x < from + window; x++) {
      let [top, bottom, count] = [-1, -1, 0];
      for (let y = 0; y < height; y++) {
        if (!values[y * width + x]) continue;
        if (top < 0) top = y;
        bottom = y;
        count++;
      }
      if (top < 0) continue;
      up.push(middle - top + 0.5);
      down.push(bottom - middle + 0.5);
      thick.push(count);
    }
    if (up.length < window / 2) continue;
    above.push(quantiles(up, [0.95])[0]!);
    below.push(quantiles(down, [0.95])[0]!);
  }
  if (above.length === 0) return null;
  return {
    outer: quantiles(above, [0.5])[0]! + quantiles(below, [0.5])[0]!,
    clump: quantiles(thick, [0.1])[0]!,
  };
}

/**
 * Diameter and pitch of one curl.
 *
 * @param plane encoded luminance
 * @param drag its two ends, px
 * @param halfWidthMm how far to either side of the line it is looked for
 * @source photo §2
 */
export function curlAlong(
  plane: Plane,
  reference: Reference,
  [from, to]: readonly [Point, Point],
  halfWidthMm: number,
): Measuring<CurlMeasured> {
  const back = inverse(reference.h);
  const [a, b] = [toPx(back, from), toPx(back, to)];
  const lengthMm = Math.hypot(b[0] - a[0], b[1] - a[1]);
  if (lengthMm < LEAST_DRAG_MM) return refused('drag-short');
  const pxPerMm = pxPerMmAt(reference.h, [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]);
  if (pxPerMm < LEAST_PX_PER_MM) return refused('detail');
  const stepMm = Math.max(0.12, 0.7 / pxPerMm);
  const along: Point = [(b[0] - a[0]) / lengthMm, (b[1] - a[1]) / lengthMm];
  const columns = Math.floor(lengthMm / stepMm) + 1;
  const rows = 2 * Math.round(halfWidthMm / stepMm) + 1;
  const strip = (bend: Bend): Strip => {
    const out = planeOf(columns, rows);
    for (let i = 0; i < columns; i++) {
      const s = i * stepMm;
      const side = bend[0] + bend[1] * s + bend[2] * s * s;
      for (let j = 0; j < rows; j++) {
        const t = side + (j - (rows - 1) / 2) * stepMm;
        const [x, y] = toPx(reference.h, [
          a[0] + s * along[0] - t * along[1],
          a[1] + s * along[1] + t * along[0],
        ]);
        out.values[j * columns + i] = sample(plane, x, y);
      }
    }
    return { plane: out, stepMm };
  };
  let bend: Bend = [0, 0, 0];
  let seen = strip(bend);
  let strand = strandIn(seen);
  for (let round = 0; round < 2 && strand; round++) {
    const { values } = strand;
    const middles = Array.from({ length: columns }, (_, i) => {
      let [sum, weight] = [0, 0];
      for (let j = 0; j < rows; j++) {
        if (!values[j * columns + i]) continue;
        sum += (j - (rows - 1) / 2) * stepMm;
        weight++;
      }
      return { x: i * stepMm, y: weight > 0 ? sum / weight : 0, weight: weight > 0 ? 1 : 0 };
    });
    const more = parabola(middles);
    bend = [bend[0] + more[0], bend[1] + more[1], bend[2] + more[2]];
    seen = strip(bend);
    strand = strandIn(seen);
  }
  const mostLag = Math.floor(0.7 * columns);
  const curves = [seen.plane.values, ...(strand ? [strand.values] : [])].map((values) =>
    likenessAlong(columns, rows, values, mostLag),
  );
  const curve = curves[0]!.map(
    (value, i) => curves.reduce((sum, one) => sum + one[i]!, 0) / curves.length || value,
  );
  const repeat = repeatOf(curve);
  if (!repeat) return refused('no-repeat');
  const pitch = repeat.lag * stepMm;
  const turns = lengthMm / pitch;
  if (turns < LEAST_TURNS) return refused('no-repeat');
  const ofScale = scaleSigma(reference);
  const width = strand && widthOf(strand, repeat.lag);
  const diameter = width ? width.outer * stepMm : 2 * halfWidthMm;
  return measured({
    pitchMm: {
      value: pitch,
      sigma: Math.hypot(pitch * ofScale, pitch * photo.value.pitchSigma, repeat.off * stepMm),
    },
    diameterMm: {
      value: diameter,
      sigma: diameter * Math.hypot(ofScale, width ? photo.value.diameterSigma : photo.value.byHandSigma),
    },
    rodLikeMm: width ? Math.max(0, diameter - width.clump * stepMm) : null,
    turns,
    isByHand: !width,
  });
}
