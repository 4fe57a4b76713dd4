import { MM_PER_PT, type FaceId, type Mark, type Measure } from './mark';

/** A line of a block: words, and what stands at the right of it. */
export interface FlowLine {
  readonly text: string;
  readonly end?: string;
  readonly face?: FaceId;
}

/** Lines that belong together under a title. */
export interface FlowBlock {
  readonly title: string;
  readonly lines: readonly FlowLine[];
}

/** A column that blocks run down in, mm. */
export interface Column {
  readonly xMm: number;
  readonly topMm: number;
  readonly bottomMm: number;
  readonly widthMm: number;
}

const LINE = 1.28;
const TITLE_SCALE = 1.1;
const GAP_MM = 3.4;
const END_GAP_MM = 2;
const RULE_MM = 0.25;

/** Words broken into lines no wider than `widthMm`. A word wider than that is broken where it must be. */
export function wrapped(text: string, widthMm: number, width: (text: string) => number): string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of text.split(/\s+/).filter(Boolean)) {
    let rest = word;
    const joined = line === '' ? rest : `${line} ${rest}`;
    if (width(joined) <= widthMm) {
      line = joined;
      continue;
    }
    if (line !== '') lines.push(line);
    while (width(rest) > widthMm && rest.length > 1) {
      let cut = rest.length - 1;
      while (cut > 1 && width(rest.slice(0, cut)) > widthMm) cut--;
      lines.push(rest.slice(0, cut));
      rest = rest.slice(cut);
    }
    line = rest;
  }
  if (line !== '') lines.push(line);
  return lines;
}

interface SetBlock {
  readonly heightMm: number;
  readonly marksAt: (xMm: number, yMm: number) => Mark[];
}

/** One block set in a width and size. */
function setBlock({ title, lines }: FlowBlock, widthMm: number, sizePt: number, measure: Measure): SetBlock {
  const step = sizePt * MM_PER_PT * LINE;
  const titlePt = sizePt * TITLE_SCALE;
  const rows = lines.flatMap((line) => {
    const face = line.face ?? 'text';
    const endMm = line.end ? measure(line.end, sizePt, 'bold') + END_GAP_MM : 0;
    return wrapped(line.text, widthMm - endMm, (text) => measure(text, sizePt, face)).map((text, i) => ({
      text,
      face,
      end: i === 0 ? line.end : undefined,
    }));
  });
  const titleMm = titlePt * MM_PER_PT * LINE;
  return {
    heightMm: titleMm + RULE_MM + rows.length * step,
    marksAt: (xMm, yMm) => [
      {
        kind: 'text',
        xMm,
        yMm: yMm + titlePt * MM_PER_PT,
        sizePt: titlePt,
        face: 'heading',
        align: 'start',
        text: title,
      },
      {
        kind: 'path',
        d: `M0 0H${widthMm.toFixed(2)}`,
        xMm,
        yMm: yMm + titleMm,
        scale: 1,
        fill: 'none',
        strokeMm: RULE_MM,
      },
      ...rows.flatMap(({ text, face, end }, i): Mark[] => {
        const base = yMm + titleMm + RULE_MM + (i + 0.82) * step;
        return [
          { kind: 'text', xMm, yMm: base, sizePt, face, align: 'start', text },
          ...(end
            ? [
                {
                  kind: 'text' as const,
                  xMm: xMm + widthMm,
                  yMm: base,
                  sizePt,
                  face: 'bold' as const,
                  align: 'end' as const,
                  text: end,
                },
              ]
            : []),
        ];
      }),
    ],
  };
}

/**
 * Blocks run down columns, in order; a block that does not fit goes on whole in the next column.
 *
 * @returns the marks, or null where the columns are too small for all of them
 */
export function flowed(
  blocks: readonly FlowBlock[],
  columns: readonly Column[],
  sizePt: number,
  measure: Measure,
): Mark[] | null {
  const marks: Mark[] = [];
  let column = 0;
  let yMm = columns[0]?.topMm ?? 0;
  for (const block of blocks.filter(({ lines }) => lines.length > 0)) {
    for (;;) {
      const room = columns[column];
      if (!room) return null;
      const set = setBlock(block, room.widthMm, sizePt, measure);
      if (yMm + set.heightMm <= room.bottomMm) {
        marks.push(...set.marksAt(room.xMm, yMm));
        yMm += set.heightMm + GAP_MM;
        break;
      }
      column++;
      yMm = columns[column]?.topMm ?? 0;
    }
  }
  return marks;
}
