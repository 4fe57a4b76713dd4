import { seededRng, type Rng } from '../random/rng';
import { ANCHOR_POINTS, type RatingId } from '../wear/rating-scales';
import { arc, arrow, bar, coil, curve, equal, moved, oval, together } from './pen';
import { pathOf, type Drawing, type Point, type Shape, type Tone } from './shape';

/** The frame of an anchor. Clear from 45 px wide. */
export const ANCHOR_FRAME = { width: 120, height: 120 } as const;

type AtPoints = readonly [number, number, number, number, number];

/** A quantity between its values at the anchors, linear. */
function between(values: AtPoints, rating: number): number {
  const i = Math.max(
    0,
    ANCHOR_POINTS.findLastIndex((point) => point <= rating),
  );
  const [from, to] = [ANCHOR_POINTS[i]!, ANCHOR_POINTS[i + 1]];
  if (to === undefined) return values[i]!;
  return values[i]! + ((values[i + 1]! - values[i]!) * (rating - from)) / (to - from);
}

/** How styled hair looks: what a rating of it is drawn from. */
interface Look {
  /** Share of the hair that lies in clumps, from the tips up. */
  readonly clumped: number;
  /** How far hair outside a clump strays, 0 to 1. */
  readonly wobble: number;
  /** Single hairs that stand off, and how far round from the top they reach, 0 to 1. */
  readonly halo: number;
  readonly haloReach: number;
  /** Half the width of the hair; the face's is FACE_RX. */
  readonly halfWidth: number;
  /** How far down clumps catch light, 0 to 1, and how much of each. */
  readonly lit: number;
}

const STYLED: Look = { clumped: 1, wobble: 0, halo: 0, haloReach: 0, halfWidth: 32, lit: 0.3 };

const CENTRE = 60;
const FACE_RX = 17;
const FACE: Point = [CENTRE, 62];
/** Width of a lock, and from one clump of it to the next, units. */
const LOCK = 5.6;
const CLUMP = 5.2;

/** Many lines or outlines as one shape. */
const merged = (lines: readonly (readonly Point[])[], isClosed: boolean, ink: Omit<Shape, 'd'>): Drawing =>
  lines.length === 0 ? [] : [{ d: lines.map((line) => pathOf(line, isClosed)).join(''), ...ink }];

/** A clump: a lens across the fall of the hair, as a coil shows its front. */
function lens([x, y]: Point, angle: number, half: number): Point[] {
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const at = (along: number, across: number): Point => [
    x + along * c - across * s,
    y + along * s + across * c,
  ];
  const wide = half * 0.52;
  return [at(-half, 0), at(-half * 0.4, -wide), at(half * 0.4, -wide), at(half, 0), at(half * 0.4, wide), at(-half * 0.4, wide)]; // prettier-ignore
}

const topOf = (halfWidth: number) => 38 - 0.36 * (halfWidth - 19.5);
const TIPS = 94;

/** The line of a lock from the part to its tip, so far out from the middle, 0 to 1. */
function lockLine(side: -1 | 1, out: number, halfWidth: number): Point[] {
  const top = topOf(halfWidth);
  const width = halfWidth * out;
  const x = (share: number) => CENTRE + side * width * share;
  return curve(
    [
      [CENTRE + side * 1.5, top + 8 * (1 - out)],
      [x(0.5), top + 2.5 + 9 * (1 - out)],
      [x(0.86), top + 14 + 7 * (1 - out)],
      [x(1), 62],
      [x(0.98), 78],
      [x(halfWidth > 36 ? 0.72 : 0.9), TIPS + 2 - (halfWidth > 36 ? 9 : 5) * out],
    ],
    5,
  );
}

/** The line of a lock that ends beside the brow. */
function frontLine(side: -1 | 1, out: number, halfWidth: number): Point[] {
  const top = topOf(halfWidth);
  return curve(
    [
      [CENTRE + side, top + 7],
      [CENTRE + side * FACE_RX * out * 0.7, top + 11],
      [CENTRE + side * FACE_RX * out, 50],
    ],
    5,
  );
}

/** The outline of all hair. */
function outline(halfWidth: number): Point[] {
  const right = lockLine(1, 1, halfWidth).map(([x, y]): Point => [x + 2.4, y - 1.6]);
  const left = lockLine(-1, 1, halfWidth).map(([x, y]): Point => [x - 2.4, y - 1.6]);
  return [...left.reverse(), ...right];
}

const alongOf = (line: readonly Point[]) => {
  const lengths = line.slice(1).map((to, i) => Math.hypot(to[0] - line[i]![0], to[1] - line[i]![1]));
  const length = lengths.reduce((sum, one) => sum + one, 0);
  const at = (share: number) => {
    let rest = share * length;
    let i = 0;
    while (i < lengths.length - 1 && rest > lengths[i]!) rest -= lengths[i++]!;
    const [from, to] = [line[i]!, line[i + 1]!];
    const t = rest / lengths[i]!;
    return {
      point: [from[0] + (to[0] - from[0]) * t, from[1] + (to[1] - from[1]) * t] as Point,
      angle: Math.atan2(to[1] - from[1], to[0] - from[0]),
    };
  };
  return { length, at };
};

/** What a lock is drawn from: its clumps from the tip up, and above them loose hair. */
function lock(line: readonly Point[], { clumped, wobble }: Look, rng: Rng) {
  const { length, at } = alongOf(line);
  // Half of the hair in clumps is some locks whole and others not at all, rather than every lock by half.
  const share = clumped >= 1 ? 1 : Math.min(1, Math.max(0, 2 * clumped - rng() - 0.15 * (1 - clumped)));
  const count = Math.round((share * length) / CLUMP);
  // Where not every clump is whole to the tip, some end in loose hair.
  const open = clumped < 1 && rng() < 5 * (1 - clumped) ? 2 : 0;
  const clumps = Array.from({ length: Math.max(0, count - open) }, (_, i) => {
    const { point, angle } = at(1 - ((i + open + 0.5) * CLUMP) / length);
    return { outline: lens(point, angle - 0.95 + 0.3 * wobble * (rng() - 0.5), LOCK * 0.62), y: point[1] };
  });
  const tips = [-1, -0.3, 0.4, 1].slice(0, 2 * open).map((lean) => {
    const { point, angle } = at(1 - (open * CLUMP) / length);
    return [0, 0.6, 1.15].map((far): Point => {
      const [along, across] = [far * open * CLUMP, lean * LOCK * (0.2 + 0.55 * far)];
      return [
        point[0] + along * Math.cos(angle) - across * Math.sin(angle),
        point[1] + along * Math.sin(angle) + across * Math.cos(angle),
      ];
    });
  });
  const loose = share > 0.97 ? [] : [-0.32, 0.02, 0.34].map((offset) => {
    const phase = 6 * rng();
    const steps = Math.max(3, Math.round(((1 - share) * length) / 4));
    return Array.from({ length: steps + 1 }, (_, i): Point => {
      const { point, angle } = at(((1 - share) * i) / steps);
      const stray = LOCK * offset + 1.9 * wobble * Math.sin(phase + 1.5 * i) + 1.6 * wobble * (rng() - 0.5);
      return [point[0] - stray * Math.sin(angle), point[1] + stray * Math.cos(angle)];
    });
  }); // prettier-ignore
  return { clumps, loose: [...loose, ...tips] };
}

/** Hairs that stand off the outline, from the top down. */
function haloOf({ halo, haloReach, halfWidth }: Look, rng: Rng): Point[][] {
  const { at } = alongOf(outline(halfWidth));
  return Array.from({ length: Math.round(halo) }, () => {
    const { point, angle } = at(0.5 + (rng() - 0.5) * haloReach);
    const long = 3 + (2 + halo / 55) * rng();
    const lean = angle - Math.PI / 2 + 1.5 * (rng() - 0.5);
    const to = (share: number, bend: number): Point => [
      point[0] + long * share * Math.cos(lean + bend),
      point[1] + long * share * Math.sin(lean + bend),
    ];
    return [to(-0.3, 0), to(0.55, 0.35 * (rng() - 0.5)), to(1, 0.9 * (rng() - 0.5))];
  });
}

const line = (points: readonly Point[], stroke: Tone, width: number): Shape => ({
  d: pathOf(points),
  stroke,
  width,
});

/** Shoulders and a calm face, nobody's. */
const bust = (): Drawing => [
  {
    d: pathOf([...curve([[18, 119], [27, 105], [49, 97], [52, 80]], 6), ...curve([[68, 80], [71, 97], [93, 105], [102, 119]], 6)], true),
    fill: 'skin',
    stroke: 'skin-line',
    width: 0.8,
  },
  oval(FACE, FACE_RX, 22, 'skin', 'skin-line', 0.8),
  ...[-1, 1].flatMap((side): Drawing => [
    line(arc([CENTRE + side * 7, 61], 4, 2, 15, 165), 'skin-line', 1.3),
    line(arc([CENTRE + side * 7, 56], 5, 2.4, 200, 340), 'skin-line', 1.1),
  ]),
  line([[60, 62], [58.6, 68], [61, 68.6]], 'skin-line', 0.8),
  { d: pathOf(arc([CENTRE, 75], 5, 1.9), true), fill: 'skin-line' },
]; // prettier-ignore

/** A head with its hair as it looks. */
function head(look: Look): Drawing {
  const rng = seededRng(7, 1);
  const { halfWidth, lit } = look;
  const perSide = Math.max(2, Math.round((halfWidth - FACE_RX + 3) / (LOCK * 0.92)));
  const inner = (FACE_RX - 1) / halfWidth;
  const lines = [-1, 1].flatMap((side) => [
    ...Array.from({ length: perSide }, (_, i) =>
      lockLine(side as -1 | 1, 1 - ((1 - inner) * i) / Math.max(1, perSide - 1), halfWidth),
    ),
    ...[1.02, 0.66, 0.3].map((out) => frontLine(side as -1 | 1, out, halfWidth)),
  ]);
  const locks = lines.map((one) => lock(one, look, rng));
  const clumps = locks.flatMap((one) => one.clumps);
  const top = topOf(halfWidth);
  const isLit = ({ y }: { readonly y: number }) => y <= top + lit * (TIPS + 2 - top);
  return together(
    [{ d: pathOf(outline(halfWidth), true), fill: 'dark', stroke: 'hair-line', width: 1 }],
    bust(),
    // Hair in front of the brow.
    [-1, 1].map((side): Shape => ({
      d: pathOf(
        [...frontLine(side as -1 | 1, 1.25, halfWidth), ...frontLine(side as -1 | 1, 0, halfWidth).reverse()],
        true,
      ),
      fill: 'dark',
    })),
    merged(locks.flatMap(({ loose }) => loose), false, { stroke: 'warm', width: 0.8 }),
    merged(clumps.map((clump) => clump.outline), true, { fill: 'warm', stroke: 'hair-line', width: 0.9 }),
    merged(
      clumps.filter(isLit).map((clump) => [clump.outline[1]!, clump.outline[2]!]),
      false,
      { stroke: 'sand', width: 1.3 },
    ),
    merged(haloOf(look, rng), false, { stroke: 'hair-line', width: 0.7 }),
  ); // prettier-ignore
}

const SCALP_Y = 11;
/** A piece of scalp that one coil hangs from. */
const root = (x: number): Shape => bar([x - 14, SCALP_Y], [x + 14, SCALP_Y], 3.4, 'skin', 'skin-line');

/** Hairs of a coil that lost each other, from a height down. */
function frayed(x: number, from: number, to: number, spread: number, count: number, rng: Rng): Point[][] {
  return Array.from({ length: count }, (_, k) => {
    const phase = 6.3 * rng();
    const own = to - 12 * rng() * (spread / 10);
    const steps = Math.max(3, Math.round((own - from) / 5));
    return Array.from({ length: steps + 1 }, (_, i): Point => {
      const share = i / steps;
      const fan = (k / (count - 1) - 0.5) * spread * (0.8 + share);
      return [x + fan + 0.34 * spread * Math.sin(phase + 1.4 * i), from + (own - from) * share];
    });
  });
}

const down = (x: number, to: number): Point[] => [
  [x, SCALP_Y + 2],
  [x, to],
];
const small = (points: readonly Point[], tone: Tone) => moved(arrow(points.map(([x, y]): Point => [x / 0.62, y / 0.62]), tone), 0, 0, 0.62); // prettier-ignore

/** One coil as it feels: whole from the scalp down so far, and frayed from there. */
function moisture(rating: number): Drawing {
  const rng = seededRng(11, 1);
  const whole = between([0, 0.5, 0.84, 1, 1], rating);
  const radius = between([8, 8, 10.5, 13, 14.5], rating);
  const end = between([96, 100, 98, 94, 82], rating);
  const split = SCALP_Y + 4 + whole * (end - SCALP_Y - 4);
  const isWhole = whole > 0.96;
  return together(
    rating >= 9 ? [line(curve([[60, end - 4], [64, end + 12], [57, end + 24]]), 'sand', 2.4)] : [],
    isWhole ? [] : merged(frayed(60, split - 6, end, between([13, 11, 7, 4, 4], rating), 9, rng), false, { stroke: 'dark', width: 1.7 }),
    whole > 0.1 ? coil(down(60, split), radius, { pitch: radius * 1.35, width: radius * 0.5 }) : [],
    whole > 0.1
      ? merged(Array.from({ length: Math.round(between([0, 0, 2, 4, 5], rating)) }, (_, i): Point[] => {
          const y = SCALP_Y + 9 + i * radius * 1.35;
          return [[60 - radius * 0.45, y], [60 + radius * 0.25, y + 2.4]];
        }), false, { stroke: 'sand', width: 2 })
      : [],
    rating <= 1.5
      ? merged(Array.from({ length: 6 }, (_, i): Point[] => [[34 + 9 * i, 108 + 4 * rng()], [38 + 9 * i, 106 + 6 * rng()], [41 + 9 * i, 109 + 3 * rng()]]), false, { stroke: 'dark', width: 1.7 })
      : [],
    rating >= 9 ? [-1, 1].flatMap((side) => small([[60 + side * 34, 100], [60 + side * 35, 86], [60 + side * 34, 70]], 'act')) : [],
    [root(60)],
  ); // prettier-ignore
}

/** One coil beside what it was on the first day. */
function hold(rating: number): Drawing {
  const first = 78;
  const end = between([112, 106, 93, 83, 78], rating);
  const radius = between([5.5, 7.5, 10.5, 12.5, 13], rating);
  const ghost = coil(down(32, first), 13, { pitch: 17, width: 6.4, tone: 'sand' }).map((shape): Shape => ({
    ...shape,
    ...(shape.fill && { fill: 'sand' }),
    ...(shape.stroke === 'hair-line' && { stroke: 'ground' }),
  }));
  return together(
    ghost,
    [root(32)],
    [line([[16, first + 3], [104, first + 3]], 'tool', 1.2)],
    coil(down(80, end), radius, { pitch: (17 * (end - SCALP_Y)) / (first - SCALP_Y), width: Math.max(3.4, radius * 0.5) }),
    [root(80)],
    rating <= 1.5 ? together([bar([40, 52], [62, 54], 11, 'skin', 'skin-line')], small([[104, 70], [104, 88], [104, 106]], 'wrong')) : [],
    rating > 1.5 && rating < 4.5 ? together([oval([104, 34], 9, 9, 'now', 'tool-line', 1), oval([108, 31], 7.4, 7.4, 'ground', 'ground', 1)], small([[104, 74], [104, 90], [104, 104]], 'wrong')) : [],
    rating > 6.5 && rating < 9 ? small([[105, 104], [104, 94], [106, 84]], 'act') : [],
    rating >= 9 ? moved(equal([90, 68]), 0, 0, 0.62) : [],
  ); // prettier-ignore
}

/** What each scale changes of the look of a head, by rating. */
const LOOKS = {
  definition: (rating) => ({
    clumped: between([0, 0.34, 0.6, 0.93, 1], rating),
    wobble: between([1, 0.75, 0.45, 0.14, 0], rating),
  }),
  frizz: (rating) => ({
    halo: between([0, 44, 104, 200, 290], rating),
    haloReach: between([0.2, 0.42, 0.95, 1, 1], rating),
    clumped: rating <= 6 ? 1 : 1 - (rating - 6) / 4,
    wobble: rating <= 6 ? 0 : (rating - 6) / 4,
  }),
  volume: (rating) => ({ halfWidth: between([19.5, 22.5, 32, 43, 53], rating) }),
  shine: (rating) => ({ lit: between([0, 0.27, 0.6, 0.88, 1.1], rating) }),
} as const satisfies Partial<Record<RatingId, (rating: number) => Partial<Look>>>;

/**
 * What a rating looks like, in the frame of an anchor. Any value can be drawn: what changes runs straight from one
 * anchor to the next.
 *
 * @param rating 0 to 10
 */
export function ratingDrawing(scale: RatingId, rating: number): Drawing {
  if (scale === 'moisture') return moisture(rating);
  if (scale === 'hold') return hold(rating);
  return head({ ...STYLED, ...LOOKS[scale](rating) });
}
