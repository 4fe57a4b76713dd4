import { expose } from 'comlink';
import type { PhotoMeasure } from '@/core/diary/photo-measure';
import { pxPerMmAt, toPx } from '@/core/photo/homography';
import { measureOn, referenceOf, type AskedMeasure, type ScaleBy } from '@/core/photo/measure';
import type { Picture, Point } from '@/core/photo/picture';
import { isAslant, type Reference } from '@/core/photo/reference';
import { measured, refused, type Measuring } from '@/core/photo/refusal';

/** What is told of the size of things in a picture. */
export interface ScaleSeen {
  readonly kind: Reference['kind'];
  readonly pxPerMm: number;
  readonly isAslant: boolean;
  readonly isMirrored: boolean;
  /** Corners of the card that was found, px; none without a card. */
  readonly corners: readonly Point[];
}

let picture: Picture | null = null;
let reference: Reference | null = null;

const endpoint = {
  open(pixels: Picture): void {
    picture = pixels;
    reference = null;
  },
  scale(by: ScaleBy, focal35Mm: number | null): Measuring<ScaleSeen> {
    if (!picture) return refused('card-not-found');
    const found = referenceOf(picture, by, focal35Mm);
    if (!found.ok) return found;
    reference = found.value;
    const { kind, h, isMirrored, corners } = found.value;
    return measured({
      kind,
      pxPerMm: pxPerMmAt(h, [0, 0]),
      isAslant: isAslant(found.value),
      isMirrored,
      corners: (corners ?? []).map((corner) => toPx(h, corner)),
    });
  },
  measure(asked: AskedMeasure): Measuring<readonly PhotoMeasure[]> {
    return picture && reference ? measureOn(picture, reference, asked) : refused('no-scale');
  },
};

export type PhotoEndpoint = typeof endpoint;

expose(endpoint);
