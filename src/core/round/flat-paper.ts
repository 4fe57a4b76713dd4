import type { FillId, Mark, PathMark, TextMark } from '../sheet/mark';
import { MM_PER_PT } from '../sheet/mark';
import type { FlatPicture } from './flat-picture';
import { COARSE, FINE, flatStrokes, pathOf } from './flat-strokes';

/** Where something goes on a page, mm from its top left. */
export interface Frame {
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** Flat pictures of one head as they are printed beside each other. */
export interface PaperFigures {
  readonly pictures: readonly { readonly picture: FlatPicture; readonly words: string }[];
  /** What the bar under each stands for: cm, and the words beside it. */
  readonly bar: { readonly cm: number; readonly words: string };
  /** What is said of all of them. */
  readonly told: string;
}

/** What lines are drawn in on paper, from dark to light; tools lighter than any hair. */
const LIGHTS: readonly FillId[] = ['ink', 'ink', 'dark-grey', 'dark-grey'];
const SHINE: FillId = 'light-grey';
const SCALP: FillId = 'grey';
const TOOL: FillId = 'light-grey';
/** Tools have a dark edge. */
const EDGE_CM = 0.1;
const GAP_MM = 3;
const WORDS_PT = 7;
const TOLD_PT = 6.5;
/** Under the pictures: the bar, a line of words, and what is told of all. */
const [BAR_MM, WORDS_MM, TOLD_MM] = [3.4, 3.6, 3.2] as const;

const line = (yMm: number, xMm: number, sizePt: number, face: TextMark['face'], text: string): TextMark => ({
  kind: 'text',
  xMm,
  yMm,
  sizePt,
  face,
  align: 'middle',
  text,
});

/** Flat pictures in black and greys within a frame, side by side to one scale, a bar that stands for a length under each. */
export function figureMarks({ pictures, bar, told }: PaperFigures, frame: Frame): Mark[] {
  const each = (frame.widthMm - GAP_MM * (pictures.length - 1)) / pictures.length;
  const tall = frame.heightMm - BAR_MM - WORDS_MM - TOLD_MM;
  const scale = Math.min(
    ...pictures.map(({ picture: { box } }) =>
      Math.min(each / (box.right - box.left), tall / (box.bottom - box.top)),
    ),
  );
  return [
    ...pictures.flatMap(({ picture, words }, i): Mark[] => {
      const middle = frame.xMm + i * (each + GAP_MM) + each / 2;
      const { left, right, top } = picture.box;
      const path = (d: string, strokeMm: number, of: FillId, fill: PathMark['fill'] = 'none'): PathMark => ({
        kind: 'path',
        d,
        xMm: middle - (scale * (left + right)) / 2,
        yMm: frame.yMm - scale * top,
        scale,
        fill,
        line: of,
        strokeMm,
      });
      const barY = frame.yMm + tall + BAR_MM - 1;
      return [
        path(pathOf(picture.outline, COARSE, true), 0.2, 'ink', 'paper'),
        ...picture.face.map((points) => path(pathOf(points, FINE), 0.2, 'ink')),
        path(picture.scalp.map((points) => pathOf(points, COARSE, true)).join(''), 0, 'ink', SCALP),
        ...flatStrokes(picture, COARSE).flatMap(({ d, widthCm, kind, light, isShine }) =>
          kind === 'tool'
            ? [
                ...(isShine ? [] : [path(d, (widthCm + 2 * EDGE_CM) * scale, 'ink')]),
                path(d, widthCm * scale, isShine ? 'paper' : TOOL),
              ]
            : [path(d, widthCm * scale, isShine ? SHINE : LIGHTS[light]!)],
        ),
        {
          kind: 'path',
          d: `M0 -.6V.6M0 0H${(bar.cm * scale).toFixed(2)}M${(bar.cm * scale).toFixed(2)} -.6V.6`,
          xMm: middle - (bar.cm * scale) / 2,
          yMm: barY,
          scale: 1,
          fill: 'none',
          strokeMm: 0.2,
        },
        {
          ...line(barY + 0.8, middle + (bar.cm * scale) / 2 + 1, TOLD_PT, 'text', bar.words),
          align: 'start',
        },
        line(barY + 1 + WORDS_PT * MM_PER_PT, middle, WORDS_PT, 'bold', words),
      ];
    }),
    line(frame.yMm + frame.heightMm - 0.6, frame.xMm + frame.widthMm / 2, TOLD_PT, 'text', told),
  ];
}
