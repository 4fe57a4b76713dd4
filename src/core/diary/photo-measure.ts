import { z } from 'zod';
import { ZONES } from '../hair/zone';

/** What may be measured on a picture: where it is told, and how much of it anybody has. One row each. */
export const photoMeasures = {
  length: { label: 'Length shown', unit: 'cm', most: 150 },
  stretch: { label: 'Of its length', unit: '%', most: 100 },
  curl: { label: 'Curl, across', unit: 'mm', most: 120 },
  pitch: { label: 'Turn to turn', unit: 'mm', most: 200 },
  rod: { label: 'As from a rod of', unit: 'mm', most: 120 },
  definition: { label: 'Definition index', unit: 'of 10', most: 10 },
  frizz: { label: 'Frizz index', unit: 'of 10', most: 10 },
  width: { label: 'Width', unit: 'cm', most: 150 },
  height: { label: 'Height', unit: 'cm', most: 150 },
  'width-heads': { label: 'Width', unit: 'head widths', most: 10 },
  'height-heads': { label: 'Height', unit: 'head widths', most: 10 },
} as const satisfies Record<string, { label: string; unit: string; most: number }>;
export type PhotoMeasureId = keyof typeof photoMeasures;
export const PHOTO_MEASURE_IDS = Object.keys(photoMeasures) as PhotoMeasureId[];

/** What makes a measure worse than its error says. One row each. */
export const worseWords = {
  depth: 'takes the hair to lie within 10 mm of the card',
  tilt: 'the card was turned away by more than 35°',
  'ruler-tilt': 'a ruler tells nothing of tilt: off its direction lengths come out short',
  'by-hand': 'the outline was not seen: the width is that of the box',
  'own-head': 'for comparing this head with itself: differences under 1½ are no clear change',
  light: 'the same lamp and distance every time, or it tells of the light',
  'one-side': 'one view of a head: what stands towards the camera is not seen',
  'no-scale': 'without a card: in widths of this head',
} as const;
export type WorseId = keyof typeof worseWords;
export const WORSE_IDS = Object.keys(worseWords) as WorseId[];

/** One figure from a picture, with its standard deviation and what makes it worse. */
export const photoMeasure = z
  .object({
    measure: z.enum(PHOTO_MEASURE_IDS),
    zone: z.enum(ZONES).nullable(),
    value: z.number().min(0),
    sigma: z.number().min(0).max(200),
    worse: z.array(z.enum(WORSE_IDS)).max(WORSE_IDS.length),
  })
  .refine(({ measure, value }) => value <= photoMeasures[measure].most, {
    path: ['value'],
    error: ({ input }) => {
      const { label, most, unit } = photoMeasures[(input as { measure: PhotoMeasureId }).measure];
      return `${label.toLowerCase()} from a picture is at most ${most} ${unit}`;
    },
  });
export type PhotoMeasure = z.output<typeof photoMeasure>;

/** A figure as it is kept with its day; its picture may be gone. */
export interface KeptMeasure extends PhotoMeasure {
  readonly id: string;
  readonly photoId: string | null;
  readonly day: number;
}
