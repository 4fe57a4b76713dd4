import { FILLS, PAPERS, type FillId, type Mark, type PaperId, type Sheet } from '../sheet/mark';
import { cardShapes, OWN_CARD } from './own-card';

/** Where the middle of the card lies on its page, from above, mm. */
const MIDDLE_Y_MM = 80;
const LINE_MM = 7;
const LINE_PT = 11;

const WORDS = [
  'Print at 100 %, not “fit to page”. The bar must measure 50.0 mm. What does it measure? Enter that with the picture.',
  'Cut along the line and glue it to something stiff; never laminate it: it must not shine.',
  'Hold the card flat against the hair you measure, same distance from the camera.',
  'Step back about 1 m and zoom. All four squares must be in the picture, without glare.',
] as const;

const fillOf = (tone: string): FillId => {
  const [fill] = Object.entries(FILLS).find(([, hex]) => hex === tone) as [FillId, string];
  return fill;
};

/** The card that tells the size of things in a picture, on a page to be printed at its true size. */
export function cardSheet(paper: PaperId): Sheet {
  const { widthMm, heightMm } = PAPERS[paper];
  const at = { xMm: widthMm / 2, yMm: MIDDLE_Y_MM, scale: 1 } as const;
  const box = (x: number, y: number, width: number, height: number) =>
    `M${x} ${y}h${width}v${height}h${-width}z`;
  const { width, height } = OWN_CARD;
  return {
    title: 'Measuring card',
    widthMm,
    heightMm,
    marks: [
      { kind: 'path', d: box(-width / 2, -height / 2, width, height), ...at, fill: 'none', strokeMm: 0.2 },
      ...cardShapes().map((shape): Mark => ({
        kind: 'path',
        d: box(shape.x, shape.y, shape.width, shape.height),
        ...at,
        fill: fillOf(shape.tone),
        strokeMm: 0,
      })),
      ...WORDS.map((text, i): Mark => ({
        kind: 'text',
        xMm: 20,
        yMm: MIDDLE_Y_MM + height / 2 + 18 + i * LINE_MM,
        sizePt: i === 0 ? LINE_PT : LINE_PT - 1,
        face: i === 0 ? 'bold' : 'text',
        align: 'start',
        text,
      })),
    ],
  };
}
