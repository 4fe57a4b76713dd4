import { DRAWING, hairlinePath, type DrawnSection } from '@/core/parting/drawn-layout';
import { HEAD_DRAWING } from '@/core/parting/head-drawing';
import { figureMarks, type PaperFigures } from '@/core/round/flat-paper';
import { flowed, wrapped, type Column } from '@/core/sheet/flow';
import {
  MM_PER_PT,
  PAPERS,
  type Mark,
  type Measure,
  type PaperId,
  type PathMark,
  type Sheet,
  type TextMark,
} from '@/core/sheet/mark';
import type { SheetWords } from './sheet-content';

const MARGIN_MM = 12;
const QR_MM = 25;
/** Light modules round a QR code (ISO/IEC 18004 asks for four). */
const QUIET = 4;
const MAP_SHARE = 0.57;
const GUTTER_MM = 6;
const FOOTER_PT = 7.5;
/** Sizes tried, largest first; smaller than the last nobody reads at the chair. */
const SIZES_PT = [12.5, 12, 11.5, 11, 10.5, 10, 9.5, 9, 8.5, 8, 7.5, 7, 6.5];
/** Sizes that are kept beside pictures. */
const READABLE_PT = SIZES_PT.filter((sizePt) => sizePt >= 8);
const FIGURES_MM = 56;
const HAIRLINE = hairlinePath();

const text = (
  xMm: number,
  yMm: number,
  sizePt: number,
  face: TextMark['face'],
  words: string,
  align: TextMark['align'] = 'start',
): TextMark => ({ kind: 'text', xMm, yMm, sizePt, face, align, text: words });

/** The dark modules of a QR code as one path, a unit each. */
const qrPath = (modules: readonly (readonly boolean[])[]): string =>
  modules.flatMap((row, y) => row.flatMap((dark, x) => (dark ? [`M${x} ${y}h1v1h-1Z`] : []))).join('');

/** Which way a section is wound, as an arrow under its number. */
function arrow({ winding, x, y, clearRadius: r }: DrawnSection): string | null {
  if (r < 7.5) return null;
  const at = y + r * 0.55;
  const half = r * 0.4;
  const tip = r * 0.16;
  if (winding === 'away-from-face') {
    return `M${x} ${at - half * 0.5}V${at + half * 0.5}M${x - tip} ${at + half * 0.5 - tip}L${x} ${at + half * 0.5}L${x + tip} ${at + half * 0.5 - tip}`;
  }
  const to = winding === 'to-left' ? -1 : 1;
  return `M${x - to * half} ${at}H${x + to * half}M${x + to * (half - tip)} ${at - tip}L${x + to * half} ${at}L${x + to * (half - tip)} ${at + tip}`;
}

/** The crown map in black on white: the head, the sections with numbers and directions, the part. */
function mapMarks(
  sections: readonly DrawnSection[],
  partPath: string | null,
  xMm: number,
  yMm: number,
  scale: number,
): Mark[] {
  const path = (d: string, strokeMm: number, fill: PathMark['fill'] = 'none'): PathMark => ({
    kind: 'path',
    d,
    xMm,
    yMm,
    scale,
    fill,
    strokeMm,
  });
  const many = sections.length > 60;
  const word = (x: number, y: number, words: string) =>
    text(xMm + x * scale, yMm + y * scale, 8, 'text', words, 'middle');
  return [
    ...HEAD_DRAWING.neck.map((d) => path(d, 0.25)),
    ...HEAD_DRAWING.ears.map((d) => path(d, 0.25, 'paper')),
    ...HEAD_DRAWING.earFolds.map((d) => path(d, 0.2)),
    path(HEAD_DRAWING.nose, 0.25, 'paper'),
    path(HEAD_DRAWING.outline, 0.25, 'paper'),
    ...HEAD_DRAWING.brows.map((d) => path(d, 0.25)),
    ...sections.map(({ path: d }) => path(d, many ? 0.18 : 0.3, 'paper')),
    path(HAIRLINE, 0.55),
    ...(partPath ? [path(partPath, 1)] : []),
    ...sections.flatMap((section) => {
      const d = arrow(section);
      return d ? [path(d, 0.22)] : [];
    }),
    ...sections.flatMap((section): Mark[] => {
      const r = section.clearRadius;
      const sizePt = Math.min(13, Math.max(4, (r * 0.85 * scale) / MM_PER_PT));
      const up = r >= 7.5 ? r * 0.1 : -r * 0.3;
      return [
        text(
          xMm + section.x * scale,
          yMm + (section.y + up) * scale,
          sizePt,
          'bold',
          `${section.number}${section.product ?? ''}`,
          'middle',
        ),
      ];
    }),
    word(DRAWING.poleX, 9, 'face'),
    word(DRAWING.poleX, DRAWING.height - 4, 'nape'),
    word(11, 150, 'left'),
    word(DRAWING.width - 11, 150, 'right'),
  ];
}

/**
 * Puts a plan on one page. What is written takes the largest size at which all of it fits; where even the
 * smallest does not, notes go first, and the page says so.
 *
 * @param figures how it will look; left out where words would grow small for it
 * @param qr modules of the code that opens the set
 */
export function composeSheet(
  words: SheetWords,
  map: { readonly sections: readonly DrawnSection[]; readonly partPath: string | null },
  figures: PaperFigures | null,
  qr: readonly (readonly boolean[])[],
  paper: PaperId,
  measure: Measure,
): Sheet {
  const { widthMm, heightMm } = PAPERS[paper];
  const innerMm = widthMm - 2 * MARGIN_MM;
  const qrLeft = widthMm - MARGIN_MM - QR_MM;
  const headMm = innerMm - QR_MM - GUTTER_MM;
  const marks: Mark[] = [];

  const titlePt = measure(words.title, 20, 'heading') <= headMm ? 20 : 14;
  let y = MARGIN_MM + titlePt * MM_PER_PT;
  for (const line of wrapped(words.title, headMm, (part) => measure(part, titlePt, 'heading')).slice(0, 2)) {
    marks.push(text(MARGIN_MM, y, titlePt, 'heading', line));
    y += titlePt * MM_PER_PT * 1.15;
  }
  for (const [face, line] of [
    ['text', words.head],
    ['bold', words.readyBy],
    ['bold', words.mind],
  ] as const) {
    for (const row of wrapped(line, headMm, (part) => measure(part, 10.5, face)).slice(0, 2)) {
      marks.push(text(MARGIN_MM, y, 10.5, face, row));
      y += 10.5 * MM_PER_PT * 1.25;
    }
  }
  const unit = QR_MM / (qr.length + 2 * QUIET);
  marks.push({
    kind: 'path',
    d: qrPath(qr),
    xMm: qrLeft + QUIET * unit,
    yMm: MARGIN_MM - 2 + QUIET * unit,
    scale: unit,
    fill: 'ink',
    strokeMm: 0,
  });
  marks.push(text(qrLeft + QR_MM / 2, MARGIN_MM + QR_MM, 7, 'text', 'opens the set', 'middle'));

  const top = Math.max(y, MARGIN_MM + QR_MM + 2) + 1;
  const mapMm = innerMm * MAP_SHARE;
  const scale = mapMm / DRAWING.width;
  const mapBottom = top + DRAWING.height * scale;
  marks.push(...mapMarks(map.sections, map.partPath, MARGIN_MM, top, scale));
  let captionY = mapBottom + 4;
  for (const line of wrapped(words.caption, mapMm, (part) => measure(part, 8.5, 'text'))) {
    marks.push(text(MARGIN_MM, captionY, 8.5, 'text', line));
    captionY += 8.5 * MM_PER_PT * 1.25;
  }

  const bottomMm = heightMm - MARGIN_MM - FOOTER_PT * MM_PER_PT - 2;
  const besideX = MARGIN_MM + mapMm + GUTTER_MM;
  const columns = (figuresMm: number): Column[] => [
    { xMm: besideX, topMm: top, bottomMm: bottomMm - figuresMm, widthMm: innerMm - mapMm - GUTTER_MM },
    { xMm: MARGIN_MM, topMm: captionY + 1.5, bottomMm, widthMm: mapMm },
  ];
  const whole = [...words.blocks, words.notes];
  const besideFigures =
    figures &&
    firstOf(READABLE_PT, (sizePt) => flowed(whole, columns(FIGURES_MM + GUTTER_MM), sizePt, measure));
  if (figures && besideFigures)
    marks.push(
      ...figureMarks(figures, {
        xMm: besideX,
        yMm: bottomMm - FIGURES_MM,
        widthMm: innerMm - mapMm - GUTTER_MM,
        heightMm: FIGURES_MM,
      }),
    );
  const fits =
    besideFigures ??
    firstOf(SIZES_PT, (sizePt) => flowed(whole, columns(0), sizePt, measure)) ??
    firstOf(SIZES_PT, (sizePt) =>
      flowed(
        [
          ...words.blocks,
          { title: 'Also', lines: [{ text: `${words.notes.lines.length} notes more in the app` }] },
        ],
        columns(0),
        sizePt,
        measure,
      ),
    );
  marks.push(...(fits ?? []));
  marks.push(text(MARGIN_MM, heightMm - MARGIN_MM, FOOTER_PT, 'text', words.footer));
  return {
    title: printable(words.title),
    widthMm,
    heightMm,
    marks: marks.map((mark) => (mark.kind === 'text' ? { ...mark, text: printable(mark.text) } : mark)),
  };
}

/** A text without what no page can hold: control characters, halves of letters, and codes that are none. */
const printable = (words: string) => words.replace(/[\p{Cc}\p{Cs}\uFFFE\uFFFF]/gu, ' ');

function firstOf<T, R>(items: readonly T[], of: (item: T) => R | null): R | null {
  for (const item of items) {
    const found = of(item);
    if (found !== null) return found;
  }
  return null;
}
