'use client';
import { memo, useMemo } from 'react';
import { ANCHOR_FRAME, ratingDrawing } from '@/core/drawings/anchors';
import type { RatingId } from '@/core/wear/rating-scales';
import { Picture } from './picture';

/** What a rating looks like, on a head of this skin and hair. */
export const RatingPicture = memo(function RatingPicture({
  scale,
  rating,
  skin,
  hair,
}: {
  readonly scale: RatingId;
  readonly rating: number;
  readonly skin: string;
  readonly hair: string;
}) {
  const drawing = useMemo(() => ratingDrawing(scale, rating), [scale, rating]);
  return <Picture drawing={drawing} frame={ANCHOR_FRAME} skin={skin} hair={hair} />;
});
