import { figureMarks, type PaperFigures } from '../round/flat-paper';
import { flowed, wrapped, type FlowBlock } from '../sheet/flow';
import { MM_PER_PT, type FaceId, type Mark, type Measure, type Sheet } from '../sheet/mark';
import { ANCHOR_POINTS, ratingScales } from '../wear/rating-scales';

/** What a paper for home says. */
export interface HomePaper {
  readonly head: string;
  readonly style: string;
  readonly studio: string;
  /** Days to be filled in, as they are called: "Fri 27 Nov". */
  readonly days: readonly string[];
  readonly tonight: string;
  readonly wash: string;
  readonly care: readonly string[];
}

/** ISO 216 A5 and A6, mm. */
const A5 = { widthMm: 148, heightMm: 210 } as const;
const A6 = { widthMm: 105, heightMm: 148 } as const;
const MARGIN_MM = 9;
const ROW_MM = 8.4;
const COLUMN_MM = 13;
const DAY_MM = 24;
const LINE_MM = 0.2;
const FOOTER = 'It does not replace a licence, a local code or medical advice.';

const text = (
  xMm: number,
  yMm: number,
  sizePt: number,
  face: FaceId,
  words: string,
  align: 'start' | 'middle' = 'start',
): Mark => ({
  kind: 'text',
  xMm,
  yMm,
  sizePt,
  face,
  align,
  text: words,
});
const rule = (d: string): Mark => ({
  kind: 'path',
  d,
  xMm: 0,
  yMm: 0,
  scale: 1,
  fill: 'none',
  strokeMm: LINE_MM,
});

function titled(paper: HomePaper, widthMm: number, measure: Measure): { marks: Mark[]; y: number } {
  const inner = widthMm - 2 * MARGIN_MM;
  const marks: Mark[] = [text(MARGIN_MM, MARGIN_MM + 6, 17, 'heading', paper.head)];
  let y = MARGIN_MM + 11;
  for (const line of wrapped(`${paper.style}; from ${paper.studio}`, inner, (part) =>
    measure(part, 9.5, 'text'),
  )) {
    marks.push(text(MARGIN_MM, y, 9.5, 'text', line));
    y += 9.5 * MM_PER_PT * 1.3;
  }
  return { marks, y };
}

const careBlocks = ({ tonight, wash, care }: HomePaper): FlowBlock[] => [
  { title: 'Tonight', lines: [{ text: tonight, face: 'bold' }, { text: wash }] },
  { title: 'Until then', lines: care.map((line) => ({ text: line })) },
];

/** A diary to be filled in with a pen: a row a day, a column a scale, and what the figures stand for. */
export function paperDiary(paper: HomePaper, measure: Measure): Sheet {
  const { marks, y: top } = titled(paper, A5.widthMm, measure);
  const right = A5.widthMm - MARGIN_MM;
  const edges = [MARGIN_MM, ...ratingScales.map((_, i) => MARGIN_MM + DAY_MM + i * COLUMN_MM), MARGIN_MM + DAY_MM + ratingScales.length * COLUMN_MM, right]; // prettier-ignore
  const bottom = top + ROW_MM * (paper.days.length + 1);
  marks.push(
    ...edges.map((x) => rule(`M${x.toFixed(2)} ${top.toFixed(2)}V${bottom.toFixed(2)}`)),
    ...Array.from({ length: paper.days.length + 2 }, (_, i) =>
      rule(`M${MARGIN_MM} ${(top + i * ROW_MM).toFixed(2)}H${right}`),
    ),
    ...ratingScales.map(({ label }, i) =>
      text(MARGIN_MM + DAY_MM + (i + 0.5) * COLUMN_MM, top + ROW_MM * 0.64, 7.5, 'bold', label, 'middle'),
    ),
    text(edges.at(-2)! + 1.5, top + ROW_MM * 0.64, 7.5, 'bold', 'night, note'),
    ...paper.days.flatMap((day, i) => [
      text(MARGIN_MM + 1.5, top + ROW_MM * (i + 1.42), 8, 'text', day),
      text(MARGIN_MM + 1.5, top + ROW_MM * (i + 1.84), 6.5, 'text', `day ${i}`),
    ]),
  );
  const legend: FlowBlock = {
    title: 'Once a day, at the same spot, before touching it: 0 to 10, halves too',
    lines: ratingScales.map(({ label, anchors }) => ({
      text: `${label}: ${ANCHOR_POINTS.map((point) => `${point} ${anchors[point]}`).join('; ')}`,
    })),
  };
  const room = {
    xMm: MARGIN_MM,
    topMm: bottom + 5,
    bottomMm: A5.heightMm - MARGIN_MM - 4,
    widthMm: right - MARGIN_MM,
  };
  const flow = [8, 7.5, 7, 6.5, 6].reduce<Mark[] | null>(
    (found, sizePt) => found ?? flowed([legend, ...careBlocks(paper)], [room], sizePt, measure),
    null,
  );
  marks.push(...(flow ?? flowed([legend], [room], 6, measure) ?? []));
  marks.push(text(MARGIN_MM, A5.heightMm - MARGIN_MM + 2, 6.5, 'text', FOOTER));
  return { title: `${paper.head}, diary`, ...A5, marks };
}

/** Height of how it looks on a card, mm, where words keep a readable size beside it. */
const FIGURES_MM = 46;
const READABLE_PT = 8;

/**
 * A card for the bathroom mirror: tonight, freshening up, washing, and what to mind.
 *
 * @param figures how it looks; left out where words would grow small for it
 */
export function careCard(paper: HomePaper, figures: PaperFigures | null, measure: Measure): Sheet {
  const { marks, y } = titled(paper, A6.widthMm, measure);
  const room = {
    xMm: MARGIN_MM,
    topMm: y + 3,
    bottomMm: A6.heightMm - MARGIN_MM - 3,
    widthMm: A6.widthMm - 2 * MARGIN_MM,
  };
  const sizes = [10, 9.5, 9, 8.5, 8, 7.5, 7];
  const flow = (readable: readonly number[], topMm: number) =>
    readable.reduce<Mark[] | null>(
      (found, sizePt) => found ?? flowed(careBlocks(paper), [{ ...room, topMm }], sizePt, measure),
      null,
    );
  const beside =
    figures &&
    flow(
      sizes.filter((sizePt) => sizePt >= READABLE_PT),
      room.topMm + FIGURES_MM + 2,
    );
  if (figures && beside)
    marks.push(
      ...figureMarks(figures, {
        xMm: MARGIN_MM,
        yMm: room.topMm - 1,
        widthMm: room.widthMm,
        heightMm: FIGURES_MM,
      }),
    );
  marks.push(
    ...(beside ?? flow(sizes, room.topMm) ?? []),
    text(MARGIN_MM, A6.heightMm - MARGIN_MM + 2, 6.5, 'text', FOOTER),
  );
  return { title: `${paper.head}, care`, ...A6, marks };
}
