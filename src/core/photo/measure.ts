import type { PhotoMeasure, WorseId } from '../diary/photo-measure';
import type { Zone } from '../hair/zone';
import { curlAlong } from './curl';
import { definitionIn } from './definition';
import { evenScale, inverse, pxPerMmAt, toPx } from './homography';
import { lengthAlong, stretchOf } from './length';
import { encodedLuminance, linearLuminance, type Picture, type Point } from './picture';
import { byBankCard, byOwnCard, byRuler, isAslant, type Reference } from './reference';
import { measured, refused, type Figure, type Measuring } from './refusal';
import { whiteGains } from './same-view';
import { silhouetteOf } from './silhouette';

/** What the size of things is taken from, with what was tapped. Points are px of the picture. */
export type ScaleBy =
  | { readonly by: 'own-card'; readonly barMm: number }
  | { readonly by: 'bank-card'; readonly taps: readonly Point[] }
  | { readonly by: 'ruler'; readonly taps: readonly [Point, Point]; readonly lengthMm: number }
  | { readonly by: 'head-width'; readonly taps: readonly [Point, Point] };

/** What is to be measured. */
export type AskedMeasure =
  | { readonly what: 'curl'; readonly ends: readonly [Point, Point]; readonly halfWidthPx: number }
  | {
      readonly what: 'length';
      readonly taps: readonly Point[];
      readonly zone: Zone;
      readonly stretchedCm: number;
    }
  | { readonly what: 'definition'; readonly corners: readonly [Point, Point] }
  | { readonly what: 'outline'; readonly wall: Point; readonly hair: Point };

/** A width that a head is taken for where nothing tells its size, mm: only shares of it are told then. */
const NOMINAL_HEAD_MM = 150;
/** Nearer to nothing than this two marks are no head. */
const LEAST_HEAD_PX = 60;

/** Scale of a picture. @param focal35Mm focal length as of film 36 mm wide, where the picture told it */
export function referenceOf(
  picture: Picture,
  scale: ScaleBy,
  focal35Mm: number | null,
): Measuring<Reference> {
  switch (scale.by) {
    case 'own-card':
      return byOwnCard(picture, scale.barMm, focal35Mm);
    case 'bank-card':
      return byBankCard(picture, scale.taps, focal35Mm);
    case 'ruler':
      return byRuler(scale.taps, scale.lengthMm);
    case 'head-width': {
      const [[ax, ay], [bx, by]] = scale.taps;
      const px = Math.hypot(bx - ax, by - ay);
      if (px < LEAST_HEAD_PX) return refused('ruler-short');
      return measured({
        kind: 'head-width',
        h: evenScale(px / NOMINAL_HEAD_MM, [(ax + bx) / 2, (ay + by) / 2]),
        covariance: null,
        relativeSigma: 3 / px,
        pose: null,
        isMirrored: false,
        corners: null,
      });
    }
  }
}

const oneOf = (
  measure: PhotoMeasure['measure'],
  { value, sigma }: Figure,
  worse: readonly WorseId[],
  zone: Zone | null = null,
  factor = 1,
): PhotoMeasure => ({ measure, zone, value: value * factor, sigma: sigma * factor, worse: [...worse] });

function worseOf(reference: Reference): WorseId[] {
  if (reference.kind === 'head-width') return ['no-scale'];
  if (reference.kind === 'ruler') return ['ruler-tilt'];
  return isAslant(reference) ? ['depth', 'tilt'] : ['depth'];
}

/**
 * Measures one thing on a picture.
 *
 * @returns its figures, or why there are none
 */
export function measureOn(
  picture: Picture,
  reference: Reference,
  asked: AskedMeasure,
): Measuring<readonly PhotoMeasure[]> {
  const worse = worseOf(reference);
  // Without a size only the outline can be told, in widths of the head.
  if (reference.kind === 'head-width' && asked.what !== 'outline') return refused('no-scale');
  switch (asked.what) {
    case 'length': {
      const length = lengthAlong(reference, asked.taps);
      if (!length.ok) return length;
      const stretch = stretchOf(length.value, asked.stretchedCm);
      if (!stretch.ok) return stretch;
      return measured([
        oneOf('length', length.value, worse, asked.zone, 0.1),
        oneOf('stretch', stretch.value, worse, asked.zone, 100),
      ]);
    }
    case 'curl': {
      const [a, b] = asked.ends;
      const middle: Point = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
      const pxPerMm = pxPerMmAt(reference.h, toPx(inverse(reference.h), middle));
      const curl = curlAlong(encodedLuminance(picture), reference, asked.ends, asked.halfWidthPx / pxPerMm);
      if (!curl.ok) return curl;
      const { diameterMm, pitchMm, rodLikeMm, isByHand } = curl.value;
      const more = isByHand ? ([...worse, 'by-hand'] as const) : worse;
      return measured([
        oneOf('curl', diameterMm, more),
        oneOf('pitch', pitchMm, worse),
        ...(rodLikeMm === null ? [] : [oneOf('rod', { value: rodLikeMm, sigma: diameterMm.sigma }, more)]),
      ]);
    }
    case 'definition': {
      const back = inverse(reference.h);
      const [[x0, y0], [x1, y1]] = asked.corners;
      const corners = ([[x0, y0], [x1, y0], [x1, y1], [x0, y1]] as Point[]).map((corner) => toPx(back, corner)); // prettier-ignore
      // The largest upright rectangle of the card's plane within what was drawn.
      const xs = corners.map(([x]) => x).sort((a, b) => a - b);
      const ys = corners.map(([, y]) => y).sort((a, b) => a - b);
      const gains = reference.kind === 'own-card' ? whiteGains(picture, reference.h) : null;
      const plane = linearLuminance(picture, gains?.ok ? gains.value : undefined);
      const index = definitionIn(plane, reference, {
        left: xs[1]!,
        right: xs[2]!,
        top: ys[1]!,
        bottom: ys[2]!,
      });
      return index.ok ? measured([oneOf('definition', index.value, ['own-head', 'light'])]) : index;
    }
    case 'outline': {
      const seen = silhouetteOf(picture, reference, asked.wall, asked.hair);
      if (!seen.ok) return seen;
      const { widthCm, heightCm, frizz } = seen.value;
      if (reference.kind === 'head-width') {
        const heads = 10 / NOMINAL_HEAD_MM;
        return measured([
          oneOf('width-heads', widthCm, [...worse, 'one-side'], null, heads),
          oneOf('height-heads', heightCm, [...worse, 'one-side'], null, heads),
        ]);
      }
      return measured([
        oneOf('width', widthCm, [...worse, 'one-side']),
        oneOf('height', heightCm, [...worse, 'one-side']),
        ...(frizz ? [oneOf('frizz', frizz, ['own-head', 'light'])] : []),
      ]);
    }
  }
}
