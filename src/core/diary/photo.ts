import { z } from 'zod';

/** From where a style is seen. One row a view. */
export const photoViews = {
  front: { label: 'Front' },
  left: { label: 'Left side' },
  right: { label: 'Right side' },
  back: { label: 'Back' },
  crown: { label: 'Crown' },
  curl: { label: 'One curl' },
} as const satisfies Record<string, { readonly label: string }>;
export type PhotoViewId = keyof typeof photoViews;
/** Their ids, as they are offered. */
export const PHOTO_VIEW_IDS = Object.keys(photoViews) as PhotoViewId[];

/** What is taken of one day: more tells nothing new. */
export const MOST_PHOTOS_A_DAY = 4;
/** A picture as it comes from a camera, bytes. */
export const MOST_PHOTO_BYTES = 15 * 1024 * 1024;

/** What is known of a picture without its pixels. */
export interface PhotoFacts {
  readonly id: string;
  readonly day: number;
  readonly view: PhotoViewId;
  readonly width: number;
  readonly height: number;
  readonly takenAtMs: number;
  /** Focal length as of film 36 mm wide, where the picture told it. */
  readonly focal35Mm: number | null;
  /** Ear tops, middle of the hairline and chin, px; null where nobody marked them. */
  readonly marks: ViewMarks | null;
}

/** Where a view is marked, in this order, px. */
export const viewMarks = z
  .array(z.tuple([z.number().min(0).max(2000), z.number().min(0).max(2000)]))
  .length(4);
export type ViewMarks = z.output<typeof viewMarks>;

/** Where a picture that is sent belongs. */
export const photoPlace = z.object({
  date: z.string().regex(/^\d{4}-\d{2}-\d{2}$/, 'choose a day'),
  view: z.enum(PHOTO_VIEW_IDS, { error: `view must be one of ${PHOTO_VIEW_IDS.join(', ')}` }),
});
