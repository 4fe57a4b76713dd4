import { ZONES, type Zone } from '../hair/zone';

/** Widths that a hand knows without a tape, cm (common practice). */
export const BY_EYE = [
  { cm: 0.7, words: 'a pencil' },
  { cm: 1.2, words: 'a marker' },
  { cm: 1.8, words: 'one finger' },
  { cm: 3.4, words: 'two fingers' },
  { cm: 5, words: 'three fingers' },
  { cm: 6.6, words: 'four fingers' },
  { cm: 8.5, words: 'a palm' },
  { cm: 12, words: 'a palm and two fingers' },
] as const;

/**
 * A width by eye.
 *
 * @example byEye(5.2) // => 'three fingers'
 */
export const byEye = (cm: number): string =>
  BY_EYE.reduce((nearest, one) =>
    Math.abs(Math.log(one.cm / cm)) < Math.abs(Math.log(nearest.cm / cm)) ? one : nearest,
  ).words;

/** How wide a square of the same area as the sections of one zone would be. */
export interface ZoneSide {
  readonly zone: Zone;
  readonly sideCm: number;
  readonly sections: number;
}

/** Side of the sections of each zone, from their mean area. */
export const zoneSides = (
  sections: readonly { readonly zone: Zone; readonly areaCm2: number }[],
): ZoneSide[] =>
  ZONES.flatMap((zone) => {
    const own = sections.filter((section) => section.zone === zone);
    if (own.length === 0) return [];
    const meanCm2 = own.reduce((sum, { areaCm2 }) => sum + areaCm2, 0) / own.length;
    return [{ zone, sideCm: Math.sqrt(meanCm2), sections: own.length }];
  });
