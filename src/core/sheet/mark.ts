/** The three faces of a sheet. */
export const FACES = ['text', 'bold', 'heading'] as const;
export type FaceId = (typeof FACES)[number];

/** A line of text; `yMm` is its base line. */
export interface TextMark {
  readonly kind: 'text';
  readonly xMm: number;
  readonly yMm: number;
  readonly sizePt: number;
  readonly face: FaceId;
  readonly align: 'start' | 'middle' | 'end';
  readonly text: string;
}

/**
 * What areas are filled with. Ink is black, paper is white: nothing else prints alike everywhere; the greys are there to be
 * measured themselves.
 */
export const FILLS = {
  ink: '#000000',
  paper: '#ffffff',
  'light-grey': '#a9a9a9',
  grey: '#757575',
  'dark-grey': '#454545',
} as const;
export type FillId = keyof typeof FILLS;

/** A path in units of its own, placed and scaled. */
export interface PathMark {
  readonly kind: 'path';
  readonly d: string;
  readonly xMm: number;
  readonly yMm: number;
  /** Millimetres of one unit of the path. */
  readonly scale: number;
  readonly fill: FillId | 'none';
  /** 0 draws no line. */
  readonly strokeMm: number;
  /** What a line with round ends is drawn in; left out for ink and plain ends. */
  readonly line?: FillId;
}

export type Mark = TextMark | PathMark;

/** One page as a list of marks, from which any drawing of it is made. Measured from the top left. */
export interface Sheet {
  readonly title: string;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly marks: readonly Mark[];
}

/** Papers a sheet is made for (ISO 216 A4; ANSI Letter, 8½ × 11 in). */
export const PAPERS = {
  a4: { label: 'A4', widthMm: 210, heightMm: 297 },
  letter: { label: 'Letter', widthMm: 215.9, heightMm: 279.4 },
} as const;
export type PaperId = keyof typeof PAPERS;

/** Millimetres of a typographic point: 1/72 inch. */
export const MM_PER_PT = 25.4 / 72;

/** How wide a text is set, mm. */
export type Measure = (text: string, sizePt: number, face: FaceId) => number;
