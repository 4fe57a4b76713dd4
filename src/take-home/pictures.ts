import { ANCHOR_FRAME, ratingDrawing } from '@/core/drawings/anchors';
import type { Tone } from '@/core/drawings/shape';
import type { RatingId } from '@/core/wear/rating-scales';
import picture from '@/ui/drawings/picture.module.css';

const VARIABLE: Partial<Record<Tone, string>> = { ground: 'ground-tone', act: 'act-tone', now: 'now-tone' };

/** What a rating looks like on this head. */
export function ratingPicture(scale: RatingId, rating: number, skin: string, hair: string): string {
  const colour = (tone: Tone | undefined) =>
    tone === undefined ? 'none' : tone === 'skin' ? skin : `var(--${VARIABLE[tone] ?? tone})`;
  const paths = ratingDrawing(scale, rating).map(
    ({ d, fill, stroke, width }) =>
      `<path d="${d}" style="fill:${colour(fill)};stroke:${colour(stroke)}" stroke-width="${width ?? 1}"/>`,
  );
  return `<svg class="${picture.picture}" data-own-hair="true" style="--own-hair:${hair}" viewBox="0 0 ${ANCHOR_FRAME.width} ${ANCHOR_FRAME.height}" aria-hidden="true">${paths.join('')}</svg>`;
}
