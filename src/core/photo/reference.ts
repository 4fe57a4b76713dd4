import { photo as calibrated } from '../coefficients/photo';
import { seededRng } from '../random/rng';
import {
  evenScale,
  homographyOf,
  poseOf,
  pxPerMmAt,
  toPx,
  USUAL_FOCAL_35_MM,
  type Homography,
  type Pose,
} from './homography';
import { blurred, encodedLuminance, linearLuminance, type Picture, type Point } from './picture';
import { ownCardIn, ownCardEdges } from './own-card';
import { refine, type Edge, type Refined } from './refine';
import { measured, refused, type Measuring } from './refusal';

/** What the size of things in a picture is taken from. */
export interface Reference {
  readonly kind: 'bank-card' | 'ruler' | 'own-card' | 'head-width';
  /** mm of the reference's plane → px. */
  readonly h: Homography;
  readonly covariance: Refined['covariance'] | null;
  /** Relative standard deviation that every length has besides. */
  readonly relativeSigma: number;
  readonly pose: Pose | null;
  /** Turned left for right, as the front camera keeps it. */
  readonly isMirrored: boolean;
  /** Corners of the reference, mm; null for a ruler. */
  readonly corners: readonly Point[] | null;
}

/** A card of the size of bank cards, mm, and the radius of its corners. @source ISO/IEC 7810, ID-1 */
const ID_1 = { width: 85.6, height: 53.98, radius: 3.18 } as const;
/** How far beyond its corner an edge is trusted to be straight, mm. */
const BEYOND_CORNER_MM = 2;
const LEAST_CARD_PX = 120;
const MOST_RMS_PX = 0.8;
const CORNER_MOVED = 0.096;
const TILT = { warn: 35, most: 50 } as const;
const LEAST_PX_PER_MM = 1;
/** Seeds of the search for lines: any would do, but one answer is wanted. */
const SEED = 20;

/** A rectangle about the origin, clockwise as pictures are, from its upper left corner. */
const rectangle = (width: number, height: number): Point[] => [
  [-width / 2, -height / 2],
  [width / 2, -height / 2],
  [width / 2, height / 2],
  [-width / 2, height / 2],
];

/** Four taps clockwise about their middle, the longer side first. */
function sortedTaps(taps: readonly Point[]): Point[] {
  const [mx, my] = [0, 1].map((i) => taps.reduce((sum, tap) => sum + tap[i]!, 0) / taps.length) as [
    number,
    number,
  ];
  const round = [...taps].sort((a, b) => Math.atan2(a[1] - my, a[0] - mx) - Math.atan2(b[1] - my, b[0] - mx));
  const side = (i: number) => {
    const [a, b] = [round[i % 4]!, round[(i + 1) % 4]!];
    return Math.hypot(b[0] - a[0], b[1] - a[1]);
  };
  return side(0) + side(2) >= side(1) + side(3) ? round : [...round.slice(1), round[0]!];
}

/** A reference whose plane was found, unless it lies too far aslant. */
function withPose(
  found: Omit<Reference, 'pose'>,
  { width, height }: Picture,
  focal35Mm: number | null,
): Measuring<Reference> {
  const pose = poseOf(found.h, width, height, focal35Mm ?? USUAL_FOCAL_35_MM);
  return pose.tiltDeg > TILT.most ? refused('card-tilted') : measured({ ...found, pose });
}

/** Whether a card lies so far aslant that lengths across it are worse. */
export const isAslant = ({ pose }: Reference): boolean => pose !== null && pose.tiltDeg > TILT.warn;

/**
 * The scale by a card of bank size.
 *
 * @param taps its four corners, in any order
 * @param focal35Mm focal length as of film 36 mm wide, where the picture told it
 * @source photo §1a
 */
export function byBankCard(
  picture: Picture,
  taps: readonly Point[],
  focal35Mm: number | null,
): Measuring<Reference> {
  const corners = rectangle(ID_1.width, ID_1.height);
  const tapped = sortedTaps(taps);
  const longPx = Math.hypot(tapped[1]![0] - tapped[0]![0], tapped[1]![1] - tapped[0]![1]);
  if (longPx < LEAST_CARD_PX) return refused('card-small');
  const start = homographyOf(corners, tapped);
  if (!start) return refused('card-edges');
  const inset = ID_1.radius + BEYOND_CORNER_MM;
  const edges = corners.map((from, i): Edge => {
    const to = corners[(i + 1) % 4]!;
    const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
    const along = (t: number): Point => [
      from[0] + (t / length) * (to[0] - from[0]),
      from[1] + (t / length) * (to[1] - from[1]),
    ];
    return { from: along(inset), to: along(length - inset), polarity: 0 };
  });
  const plane = blurred(linearLuminance(picture), 0.8);
  const wide = 0.06 * longPx;
  const refined = refine(plane, start, edges, [wide, wide / 3, 3, 2.5], seededRng(SEED, 0));
  if (!refined || refined.found < 4 || refined.rmsPx >= MOST_RMS_PX) return refused('card-edges');
  if (cornersMoved(refined.h, corners, tapped) > CORNER_MOVED * longPx) return refused('card-edges');
  return withPose(
    {
      kind: 'bank-card',
      h: refined.h,
      covariance: refined.covariance,
      relativeSigma: calibrated.value.cardTolerance,
      isMirrored: false,
      corners,
    },
    picture,
    focal35Mm,
  );
}

function cornersMoved(h: Homography, corners: readonly Point[], tapped: readonly Point[]): number {
  return Math.max(
    ...corners.map((corner, i) => {
      const [u, v] = toPx(h, corner);
      return Math.hypot(u - tapped[i]![0], v - tapped[i]![1]);
    }),
  );
}

/** Two taps on a ruler nearer than this tell too little, px. */
export const LEAST_RULER_PX = 300;

/**
 * The scale by two marks of a ruler. It says nothing of tilt: off its direction lengths are too short by 1 − cos of it.
 *
 * @source photo §1b
 */
export function byRuler([a, b]: readonly [Point, Point], lengthMm: number): Measuring<Reference> {
  const px = Math.hypot(b[0] - a[0], b[1] - a[1]);
  if (px < LEAST_RULER_PX) return refused('ruler-short');
  return measured({
    kind: 'ruler',
    h: evenScale(px / lengthMm, [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]),
    covariance: null,
    relativeSigma: (Math.SQRT2 * calibrated.value.tapPx) / px,
    pose: null,
    isMirrored: false,
    corners: null,
  });
}

/** What the check bar of a usable print measures, mm; it is 50 long. */
export const BAR_MM = { low: 47, high: 53, printed: 50 } as const;

/**
 * The scale by the card that was printed here, wherever it lies.
 *
 * @param barMm what its check bar measures on paper
 * @source photo §1c
 */
export function byOwnCard(picture: Picture, barMm: number, focal35Mm: number | null): Measuring<Reference> {
  if (barMm < BAR_MM.low || barMm > BAR_MM.high) return refused('bar-off');
  const card = ownCardIn(encodedLuminance(picture));
  if (!card) return refused('card-not-found');
  const plane = blurred(linearLuminance(picture), 0.8);
  const pxPerMm = pxPerMmAt(card.h, [0, 0]);
  if (pxPerMm < LEAST_PX_PER_MM) return refused('card-small');
  const wide = Math.max(2.5, 1.2 * pxPerMm);
  const edges = ownCardEdges(card.isMirrored);
  const refined = refine(plane, card.h, edges, [wide, 3, 2.5], seededRng(SEED, 1));
  if (!refined || refined.found < 30 || refined.rmsPx >= MOST_RMS_PX) return refused('card-not-found');
  const grown = barMm / BAR_MM.printed;
  return withPose(
    {
      kind: 'own-card',
      // A card that came out larger holds more mm.
      h: refined.h.map((value, i) => (i % 3 === 2 ? value : value / grown)),
      covariance: refined.covariance.map((row, i) =>
        row.map((value, j) => value / (i % 3 === 2 ? 1 : grown) / (j % 3 === 2 ? 1 : grown)),
      ),
      relativeSigma: 0,
      isMirrored: card.isMirrored,
      corners: rectangle(110 * grown, 80 * grown),
    },
    picture,
    focal35Mm,
  );
}

/**
 * Relative standard deviation that a length has from its reference alone: the print or card, the lens, and that hair is
 * nearer or farther than the card.
 *
 * @source photo "Depth": Δ/Z for hair within 10 mm of it
 */
export function scaleSigma({ relativeSigma, pose }: Reference): number {
  const { depthMm, leastSigma } = calibrated.value;
  const depth = pose ? depthMm / Math.max(depthMm * 2, pose.distanceMm) : 0;
  return Math.max(leastSigma, Math.hypot(relativeSigma, depth));
}
