import { homographyOf, toPx, type Homography } from './homography';
import { boxMean, LINEAR, sample, type Plane, type Point } from './picture';
import type { Edge } from './refine';

/** The card that is printed here, mm, its origin in the middle and y down. @source photo §1c */
export const OWN_CARD = {
  width: 110,
  height: 80,
  /** Middles of the four marks, clockwise from the upper left. */
  marks: [
    [-41.25, -26.25],
    [41.25, -26.25],
    [41.25, 26.25],
    [-41.25, 26.25],
  ],
  /** Sides of a mark's squares: black, white in it, black in that. */
  squares: [17.5, 12.5, 7.5],
  code: { y: 26.25, fromX: -24, cellWidth: 6, cellHeight: 8, cells: '11010010' },
  greys: {
    y: -26.25,
    fromX: -24,
    cellWidth: 12,
    cellHeight: 10,
    tones: ['#ffffff', '#a9a9a9', '#757575', '#454545'],
  },
  bar: { width: 50, height: 2 },
} as const;

/** A filled rectangle of the card, mm. */
export interface CardShape {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly tone: string;
}

/** Everything that is printed on the card, in the order it is printed. */
export function cardShapes(): CardShape[] {
  const middle = (x: number, y: number, width: number, height: number, tone: string): CardShape => ({
    x: x - width / 2,
    y: y - height / 2,
    width,
    height,
    tone,
  });
  const { code, greys, bar, marks, squares } = OWN_CARD;
  return [
    ...marks.flatMap(([x, y]) =>
      squares.map((side, i) => middle(x, y, side, side, i % 2 === 0 ? '#000000' : '#ffffff')),
    ),
    ...[...code.cells].flatMap((cell, i) =>
      cell === '1'
        ? [
            {
              x: code.fromX + i * code.cellWidth,
              y: code.y - code.cellHeight / 2,
              width: code.cellWidth,
              height: code.cellHeight,
              tone: '#000000',
            },
          ]
        : [],
    ),
    ...greys.tones.slice(1).map((tone, i) => ({
      x: greys.fromX + (i + 1) * greys.cellWidth,
      y: greys.y - greys.cellHeight / 2,
      width: greys.cellWidth,
      height: greys.cellHeight,
      tone,
    })),
    middle(0, 0, bar.width, bar.height, '#000000'),
  ];
}

/** How light the card is at a place, 0 to 1 as printed, in encoded values. */
function toneAt(shapes: readonly CardShape[], x: number, y: number): number {
  const on = shapes.findLast(
    (shape) => x >= shape.x && x < shape.x + shape.width && y >= shape.y && y < shape.y + shape.height,
  );
  return on ? parseInt(on.tone.slice(1, 3), 16) / 255 : 1;
}

/** The printed pattern on a grid, for likening. */
const GRID_MM = 2.5;
function grid(): { readonly at: Point; readonly tone: number }[] {
  const shapes = cardShapes();
  const [columns, rows] = [OWN_CARD.width / GRID_MM, OWN_CARD.height / GRID_MM];
  return Array.from({ length: columns * rows }, (_, i) => {
    const at: Point = [
      ((i % columns) + 0.5) * GRID_MM - OWN_CARD.width / 2,
      (Math.floor(i / columns) + 0.5) * GRID_MM - OWN_CARD.height / 2,
    ];
    return { at, tone: toneAt(shapes, ...at) };
  });
}

/** The 48 edges of the marks, shortened at their corners. @param isMirrored sides are exchanged then */
export function ownCardEdges(isMirrored: boolean): Edge[] {
  const turned = isMirrored ? -1 : 1;
  return OWN_CARD.marks.flatMap(([mx, my]) =>
    OWN_CARD.squares.flatMap((side, i) => {
      const half = side / 2;
      const inset = 0.12 * side;
      const corner: Point[] = [
        [-half, -half],
        [half, -half],
        [half, half],
        [-half, half],
      ];
      return corner.map((a, k): Edge => {
        const b = corner[(k + 1) % 4]!;
        const along = (t: number): Point => [
          mx + a[0] + (t / side) * (b[0] - a[0]),
          my + a[1] + (t / side) * (b[1] - a[1]),
        ];
        // Clockwise, the inside is to the right: dark in the outer and inner squares.
        const polarity = ((i % 2 === 0 ? -1 : 1) * turned) as -1 | 1;
        return { from: along(inset), to: along(side - inset), polarity };
      });
    }),
  );
}

/** A patch of dark pixels that touch, by side or corner. */
interface Patch {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
  readonly area: number;
  readonly at: Point;
}

/** Patches of dark pixels: darker than their surroundings. */
function darkPatches(plane: Plane, reach: number): Patch[] {
  const { width, height, values } = plane;
  const around = boxMean(plane, reach).values;
  const isDark = new Uint8Array(width * height);
  for (let i = 0; i < isDark.length; i++) isDark[i] = values[i]! < 0.88 * around[i]! - 0.01 ? 1 : 0;
  const patches: Patch[] = [];
  const stack: number[] = [];
  for (let start = 0; start < isDark.length; start++) {
    if (isDark[start] !== 1) continue;
    let [left, top, right, bottom, area, sumX, sumY] = [width, height, 0, 0, 0, 0, 0];
    stack.push(start);
    isDark[start] = 2;
    while (stack.length > 0) {
      const i = stack.pop()!;
      const x = i % width;
      const y = (i - x) / width;
      area++;
      sumX += x;
      sumY += y;
      left = Math.min(left, x);
      right = Math.max(right, x);
      top = Math.min(top, y);
      bottom = Math.max(bottom, y);
      for (let dy = -1; dy <= 1; dy++) {
        for (let dx = -1; dx <= 1; dx++) {
          const [nx, ny] = [x + dx, y + dy];
          if (nx < 0 || ny < 0 || nx >= width || ny >= height) continue;
          const next = ny * width + nx;
          if (isDark[next] !== 1) continue;
          isDark[next] = 2;
          stack.push(next);
        }
      }
    }
    if (area >= 6) patches.push({ left, top, right, bottom, area, at: [sumX / area, sumY / area] });
  }
  return patches;
}

/** A mark as it may be: a ring about a solid patch. */
interface Mark {
  readonly at: Point;
  readonly size: number;
  /** How unlike a mark it is. */
  readonly odd: number;
}

function marksAmong(patches: readonly Patch[]): Mark[] {
  const size = (p: Patch) => Math.sqrt((p.right - p.left + 1) * (p.bottom - p.top + 1));
  const marks: Mark[] = [];
  for (const ring of patches) {
    for (const core of patches) {
      if (core === ring || core.left <= ring.left || core.right >= ring.right) continue;
      if (core.top <= ring.top || core.bottom >= ring.bottom) continue;
      const [outer, inner] = [size(ring), size(core)];
      const [boxes, areas] = [outer / inner, ring.area / core.area];
      const apart = Math.hypot(ring.at[0] - core.at[0], ring.at[1] - core.at[1]) / outer;
      if (boxes < 1.6 || boxes > 3.4 || areas < 1.3 || areas > 5.5 || apart > 0.08) continue;
      const odd =
        Math.abs(Math.log(boxes / (17.5 / 7.5))) + Math.abs(Math.log(areas / (150 / 56.25))) + apart;
      marks.push({ at: core.at, size: outer, odd });
    }
  }
  return marks.sort((a, b) => a.odd - b.odd).slice(0, 14);
}

/** Four places clockwise about their middle, where they make a quadrangle without a dent; null otherwise. */
function convex(points: readonly Point[]): Point[] | null {
  const mx = points.reduce((sum, p) => sum + p[0], 0) / 4;
  const my = points.reduce((sum, p) => sum + p[1], 0) / 4;
  const round = [...points].sort(
    (a, b) => Math.atan2(a[1] - my, a[0] - mx) - Math.atan2(b[1] - my, b[0] - mx),
  );
  const turns = round.every((a, i) => {
    const [b, c] = [round[(i + 1) % 4]!, round[(i + 2) % 4]!];
    return (b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0]) > 0;
  });
  return turns ? round : null;
}

/** How like the card a picture is where a homography puts it: correlation of tones. */
function likeness(plane: Plane, h: Homography, cells: ReturnType<typeof grid>): number {
  let [n, sx, sy, sxx, syy, sxy] = [0, 0, 0, 0, 0, 0];
  for (const { at, tone } of cells) {
    const [x, y] = toPx(h, at);
    if (!(x >= 0 && y >= 0 && x < plane.width && y < plane.height)) continue;
    const seen = sample(plane, x, y);
    n++;
    sx += tone;
    sy += seen;
    sxx += tone * tone;
    syy += seen * seen;
    sxy += tone * seen;
  }
  if (n < 0.8 * cells.length) return 0;
  const spread = Math.sqrt((sxx - (sx * sx) / n) * (syy - (sy * sy) / n));
  return spread > 0 ? (sxy - (sx * sy) / n) / spread : 0;
}

/** Likeness from which the card is believed. */
const LEAST_LIKENESS = 0.6;

function cardAmong(
  plane: Plane,
  marks: readonly Mark[],
): { h: Homography; isMirrored: boolean; score: number } | null {
  const cells = grid();
  let best: { h: Homography; isMirrored: boolean; score: number } | null = null;
  const n = marks.length;
  for (let a = 0; a < n; a++)
    for (let b = a + 1; b < n; b++)
      for (let c = b + 1; c < n; c++)
        for (let d = c + 1; d < n; d++) {
          const four = [marks[a]!, marks[b]!, marks[c]!, marks[d]!];
          const sizes = four.map(({ size }) => size);
          if (Math.max(...sizes) > 2.2 * Math.min(...sizes)) continue;
          const round = convex(four.map(({ at }) => at));
          if (!round) continue;
          for (const isMirrored of [false, true]) {
            for (let turn = 0; turn < 4; turn++) {
              const to = [0, 1, 2, 3].map((i) => round[(isMirrored ? turn + 4 - i : turn + i) % 4]!);
              const h = homographyOf(OWN_CARD.marks, to);
              if (!h) continue;
              const score = likeness(plane, h, cells);
              if (score >= LEAST_LIKENESS && score > (best?.score ?? 0)) best = { h, isMirrored, score };
            }
          }
        }
  return best;
}

/**
 * The card in a picture, wherever and however turned; null where it is not seen whole.
 *
 * @param plane encoded luminance
 */
export function ownCardIn(plane: Plane): { readonly h: Homography; readonly isMirrored: boolean } | null {
  const long = Math.max(plane.width, plane.height);
  for (const share of [14, 30]) {
    const marks = marksAmong(darkPatches(plane, Math.round(long / share)));
    const card = marks.length >= 4 ? cardAmong(plane, marks) : null;
    if (card) return card;
  }
  return null;
}

/** Linear white of the paper, channel by channel, of 63 places about the printed white; 8-bit means with it. */
export function paperWhite(
  picture: { width: number; height: number; data: ArrayLike<number> },
  h: Homography,
): number[] {
  const sums = [0, 0, 0];
  let count = 0;
  const { greys } = OWN_CARD;
  for (let i = 0; i < 9; i++) {
    for (let j = 0; j < 7; j++) {
      const [x, y] = toPx(h, [
        greys.fromX + ((i + 1) / 10) * greys.cellWidth,
        greys.y + ((j + 1) / 8 - 0.5) * greys.cellHeight,
      ]);
      const at = 4 * (Math.round(y) * picture.width + Math.round(x));
      if (!(at >= 0 && at + 2 < picture.data.length)) continue;
      count++;
      for (let k = 0; k < 3; k++) sums[k]! += LINEAR[picture.data[at + k]!]!;
    }
  }
  return sums.map((sum) => sum / Math.max(1, count));
}
