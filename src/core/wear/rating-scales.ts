/** A daily rating from 0 to 10 with the anchors that two people agree on (common practice). */
export interface RatingScale {
  readonly id: string;
  readonly label: string;
  /** How to look, so that two people see the same. */
  readonly look: string;
  /** Whether a high figure is good, bad, or only an amount. */
  readonly high: 'good' | 'bad' | 'amount';
  readonly anchors: Readonly<Record<0 | 3 | 5 | 8 | 10, string>>;
}

/** Scales of a day's entry, in the order asked. */
export const ratingScales = [
  { id: 'definition', look: 'at arm’s length, before touching it', label: 'Definition', high: 'good', anchors: { 0: 'no clumps', 3: 'a few, mostly ends', 5: 'half the head in clumps', 8: 'most clumps whole to the tip', 10: 'every clump clean' } },
  { id: 'frizz', look: 'against the light', label: 'Frizz', high: 'bad', anchors: { 0: 'none', 3: 'halo at the crown only', 5: 'halo all round', 8: 'clumps blurred', 10: 'one cloud' } },
  { id: 'volume', look: 'from the front', label: 'Volume', high: 'amount', anchors: { 0: 'flat to the scalp', 3: 'lifts at the roots', 5: 'as wide as the face', 8: 'wider than the face', 10: 'as wide as it can go' } },
  { id: 'moisture', look: 'between two fingers, to the ends', label: 'Moisture', high: 'good', anchors: { 0: 'rough, snaps', 3: 'dry at the ends', 5: 'soft, ends dry', 8: 'soft throughout', 10: 'soft, springs, no residue' } },
  { id: 'shine', look: 'in daylight', label: 'Shine', high: 'good', anchors: { 0: 'dull all over', 3: 'glint on top', 5: 'half catches light', 8: 'most does', 10: 'all, to the tips' } },
  { id: 'hold', look: 'pull one coil and let go', label: 'Hold', high: 'good', anchors: { 0: 'falls when touched', 3: 'gone by evening', 5: 'keeps its shape, loosens by hand', 8: 'springs back', 10: 'unchanged after handling' } },
] as const satisfies readonly RatingScale[]; // prettier-ignore

export type RatingId = (typeof ratingScales)[number]['id'];
/** Their ids, in the order asked. */
export const RATING_IDS = ratingScales.map(({ id }) => id) as [RatingId, ...RatingId[]];

/** Scales of a style that was just taken down: how it holds is only known once it was worn. */
export const firstScales = ratingScales.filter(({ id }) => id !== 'hold');

/** Ratings of a moment; what was not rated is left out, never filled in. */
export type Ratings = Partial<Record<RatingId, number>>;

/** Ratings that have words and a drawing of their own. */
export const ANCHOR_POINTS = [0, 3, 5, 8, 10] as const;

/** The words of the nearest anchor of a scale. */
export function anchorWords({ anchors }: RatingScale, value: number): string {
  const nearest = ANCHOR_POINTS.reduce((best, point) =>
    Math.abs(point - value) < Math.abs(best - value) ? point : best,
  );
  return anchors[nearest];
}

/** Half points and no finer: nobody sees more. */
export const isHalfPoint = (value: number): boolean => Number.isInteger(value * 2);
