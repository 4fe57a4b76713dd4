import sharp from 'sharp';
import { ANCHOR_FRAME, ratingDrawing } from '@/core/drawings/anchors';
import type { Tone } from '@/core/drawings/shape';
import type { RatingId } from '@/core/wear/rating-scales';
import type { PhotoToKeep } from '@/server/db/rows/photos';

/** The demo has no photographs: nobody was asked. Its pictures are drawn, as the anchors of the scales are. */
const COLOURS: Readonly<Record<Tone, string>> = {
  dark: '#3b241a',
  warm: '#a0683f',
  sand: '#dcb988',
  'hair-line': '#1f120c',
  skin: '#6b4230',
  'skin-line': '#4b2d1c',
  panel: '#f2dfbd',
  ground: '#fbf5e9',
  tool: '#e6d8be',
  'tool-line': '#4b382d',
  act: '#2f3e8f',
  now: '#f3b73b',
  right: '#2e5b38',
  wrong: '#9a3f1c',
};

const SIDE = 640;

/** A drawn picture of a head from the front, as a rating has it. */
export async function drawnPicture(
  day: number,
  scale: RatingId,
  rating: number,
  wall: string,
): Promise<PhotoToKeep> {
  const paths = ratingDrawing(scale, rating)
    .map(({ d, fill, stroke, width }) => {
      const colour = (tone: Tone | undefined) => (tone ? COLOURS[tone] : 'none');
      return `<path d="${d}" fill="${colour(fill)}" stroke="${colour(stroke)}" stroke-width="${width ?? 1}" stroke-linecap="round" stroke-linejoin="round"/>`;
    })
    .join('');
  const { width, height } = ANCHOR_FRAME;
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${SIDE}" height="${SIDE}" viewBox="0 0 ${width} ${height}"><rect width="${width}" height="${height}" fill="${wall}"/>${paths}</svg>`;
  const jpeg = await sharp(Buffer.from(svg)).jpeg({ quality: 84 }).toBuffer();
  const thumb = await sharp(jpeg).resize(240, 240).jpeg({ quality: 76 }).toBuffer();
  return { day, view: 'front', width: SIDE, height: SIDE, focal35Mm: null, jpeg, thumb };
}
