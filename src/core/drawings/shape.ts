/** What a stroke or a fill stands for; the screen gives it its colour, light or dark. */
export const TONES = [
  'dark',
  'warm',
  'sand',
  'hair-line',
  'skin',
  'skin-line',
  'panel',
  'ground',
  'tool',
  'tool-line',
  'act',
  'now',
  'right',
  'wrong',
] as const;
export type Tone = (typeof TONES)[number];

/** One thing that is drawn: SVG path data with what fills it and what goes round it. */
export interface Shape {
  readonly d: string;
  readonly fill?: Tone;
  readonly stroke?: Tone;
  readonly width?: number;
}

/** Shapes in the order they are drawn, in the frame of a step. */
export type Drawing = readonly Shape[];

export type Point = readonly [x: number, y: number];

/** The frame of a step. Clear from 126 px wide. */
export const FRAME = { width: 240, height: 180 } as const;

const near = (value: number) => Math.round(value * 10) / 10;

/** Points as path data; a tenth of a unit is finer than any screen shows. */
export const pathOf = (points: readonly Point[], isClosed = false): string =>
  `M${points.map(([x, y]) => `${near(x)} ${near(y)}`).join('L')}${isClosed ? 'Z' : ''}`;
