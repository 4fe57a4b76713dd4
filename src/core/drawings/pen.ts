import { pathOf, type Drawing, type Point, type Shape, type Tone } from './shape';

/** Tones of the strands of a rope, apart by lightness. */
const STRANDS: readonly Tone[] = ['warm', 'dark', 'sand'];
const GAP = 1.5;
const SIDE = 1.4;
const HAIR = 0.8;
/** Distance between two points of a curve, units. */
const FINE = 3;

/** A line that can be walked: where one is after so much of it, and what is across it there. */
interface Walk {
  readonly length: number;
  readonly at: (s: number) => { readonly point: Point; readonly across: Point; readonly along: Point };
}

/** Walks a polyline; before and after it goes straight on. */
export function walk(line: readonly Point[]): Walk {
  const points = line.filter(([x, y], i) => i === 0 || x !== line[i - 1]![0] || y !== line[i - 1]![1]);
  const pieces = points.slice(1).map((to, i) => {
    const from = points[i]!;
    const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
    return { from, along: [(to[0] - from[0]) / length, (to[1] - from[1]) / length] as Point, length };
  });
  const length = pieces.reduce((sum, piece) => sum + piece.length, 0);
  return {
    length,
    at: (s) => {
      let rest = s;
      let piece = pieces[0]!;
      for (const next of pieces) {
        piece = next;
        if (rest <= next.length || next === pieces.at(-1)) break;
        rest -= next.length;
      }
      const { from, along } = piece;
      return {
        point: [from[0] + along[0] * rest, from[1] + along[1] * rest],
        across: [-along[1], along[0]],
        along,
      };
    },
  };
}

/** A curve through few points, as many (Catmull–Rom, uniform). */
export function curve(points: readonly Point[], each = 8): Point[] {
  const get = (i: number) => points[Math.min(points.length - 1, Math.max(0, i))]!;
  const out: Point[] = [];
  for (let i = 0; i + 1 < points.length; i++) {
    const [a, b, c, d] = [get(i - 1), get(i), get(i + 1), get(i + 2)];
    for (let k = 0; k < each; k++) {
      const t = k / each;
      const mix = (axis: 0 | 1) =>
        0.5 *
        (2 * b[axis] +
          (c[axis] - a[axis]) * t +
          (2 * a[axis] - 5 * b[axis] + 4 * c[axis] - d[axis]) * t ** 2 +
          (3 * b[axis] - a[axis] - 3 * c[axis] + d[axis]) * t ** 3);
      out.push([mix(0), mix(1)]);
    }
  }
  return [...out, points.at(-1)!];
}

/** A strand about a centre line: ground beside it, flat tone, hairs along it, a line on each side. */
export function strand(
  centre: readonly Point[],
  widthAt: (share: number) => number,
  tone: Tone,
  hairs = 2,
): Shape[] {
  const { at, length } = walk(centre);
  const steps = Math.max(2, Math.ceil(length / FINE));
  const shares = Array.from({ length: steps + 1 }, (_, i) => i / steps);
  const side = (offset: number) =>
    shares.map((share): Point => {
      const { point, across } = at(share * length);
      const out = offset * (widthAt(share) / 2);
      return [point[0] + across[0] * out, point[1] + across[1] * out];
    });
  const [left, right] = [side(-1), side(1)];
  const inner = Array.from({ length: hairs }, (_, i) => -0.5 + (i + 0.5) / hairs).map(
    (offset) => offset * 1.4,
  );
  return [
    { d: pathOf(left), stroke: 'ground', width: SIDE + 2 * GAP },
    { d: pathOf(right), stroke: 'ground', width: SIDE + 2 * GAP },
    { d: pathOf([...left, ...right.reverse()], true), fill: tone },
    ...inner.map((offset): Shape => ({ d: pathOf(side(offset)), stroke: 'hair-line', width: HAIR })),
    { d: pathOf(left), stroke: 'hair-line', width: SIDE },
    { d: pathOf(right), stroke: 'hair-line', width: SIDE },
  ];
}

/** How the strands of something wound lie: across its axis in half widths, and how near to the eye. */
interface Lie {
  readonly across: (phase: number) => number;
  readonly depth: (phase: number) => number;
}

const ROPE: Lie = { across: Math.cos, depth: Math.sin };
const PLAIT: Lie = { across: (phase) => 1.36 * Math.sin(phase), depth: (phase) => Math.sin(2 * phase) };

interface Wound {
  readonly path: readonly Point[];
  readonly strands: 1 | 2 | 3;
  readonly width: number;
  /** How far of it is wound; the rest hangs open. Share of its length. */
  readonly until?: number;
  readonly thinTo?: number;
  readonly tones?: readonly Tone[];
}

/** Strands cut where they pass from behind to the front, far pieces first. */
function wound(
  { path, strands, width, until = 1, thinTo = 1, tones = STRANDS }: Wound,
  lie: Lie,
  pitch: number,
) {
  const { at, length } = walk(path);
  const end = until * length;
  const step = FINE;
  const own = strands === 3 ? 0.56 * width : 0.62 * width;
  const half = (strands === 3 ? 0.5 : 0.46) * width;
  const thin = (s: number) => 1 - (1 - thinTo) * Math.min(1, s / length);
  /** Turns that were done where it opens: there strands lie side by side. */
  const turned = Math.round((2 * end) / pitch) / 2;
  const phaseAt = (s: number, k: number) => {
    const done = end === 0 ? 0 : (Math.min(s, end) / end) * turned;
    return 2 * Math.PI * (done + k / strands);
  };
  interface Piece {
    readonly depth: number;
    readonly shapes: Shape[];
  }
  const pieces: Piece[] = [];
  for (let k = 0; k < strands; k++) {
    let points: Point[] = [];
    let wasNear: boolean | null = null;
    let deepest = 0;
    const flush = () => {
      if (points.length > 1) {
        const taper = thin(deepest);
        pieces.push({
          depth: wasNear ? 1 : -1,
          shapes: strand(points, () => own * taper, tones[k % tones.length]!),
        });
      }
      points = points.slice(-1);
    };
    for (let s = 0; s <= length + 0.01; s += step) {
      const phase = phaseAt(s, k);
      const open = s > end ? 1 + ((s - end) / Math.max(1, length - end)) * 1.5 : 1;
      const sideways = s > end ? fanned(k, strands, lie.across(phase)) : lie.across(phase);
      const { point, across } = at(s);
      const out = sideways * half * open * thin(s);
      const isNear: boolean = s > end ? true : lie.depth(phase) >= 0;
      points.push([point[0] - across[0] * out, point[1] - across[1] * out]);
      deepest = s;
      // The point of passing belongs to both pieces.
      if (wasNear !== null && isNear !== wasNear) flush();
      wasNear = isNear;
    }
    flush();
  }
  return pieces.sort((a, b) => a.depth - b.depth).flatMap(({ shapes }) => shapes);
}

/** Where a strand that hangs open goes: apart from the others. */
const fanned = (k: number, strands: number, across: number): number =>
  strands === 1 ? 0 : strands === 2 ? Math.sign(across || (k === 0 ? 1 : -1)) * 1.25 : across * 1.5;

/** A rope of strands wound about each other. */
export const rope = (of: Wound): Drawing => wound(of, ROPE, (of.strands === 3 ? 3.4 : 2.9) * of.width);

/** Three strands laid outer over middle by turns; an outside plait crosses under. */
export const plait = (of: Omit<Wound, 'strands'> & { readonly isOutside?: boolean }): Drawing =>
  wound(
    { ...of, strands: 3 },
    of.isOutside ? { ...PLAIT, depth: (phase) => -Math.sin(2 * phase) } : PLAIT,
    3.3 * of.width,
  );

/** A coil: a ribbon on a tube, what lies behind drawn first. */
export function coil(
  path: readonly Point[],
  radius: number,
  options: {
    readonly pitch?: number;
    readonly width?: number;
    readonly tone?: Tone;
    readonly from?: number;
  } = {},
): Drawing {
  const { pitch = radius * 1.2, width = radius * 0.62, tone = 'dark', from = 0 } = options;
  const { at, length } = walk(path);
  const turns = Math.max(1, length / pitch);
  const steps = Math.ceil(turns * 14);
  const pieces: { readonly isNear: boolean; readonly points: Point[]; readonly edges: Point[] }[] = [];
  for (let i = 0; i <= steps; i++) {
    const phase = 2 * Math.PI * (turns * (i / steps) + from);
    const isNear = Math.sin(phase) >= 0;
    const { point, across, along } = at(length * (i / steps));
    const lift = 0.28 * radius * Math.sin(phase);
    const centre: Point = [
      point[0] - across[0] * radius * Math.cos(phase) + along[0] * lift,
      point[1] - across[1] * radius * Math.cos(phase) + along[1] * lift,
    ];
    const shifted = (by: number): Point => [centre[0] + along[0] * by, centre[1] + along[1] * by];
    const last = pieces.at(-1);
    if (!last || last.isNear !== isNear) {
      if (last) {
        last.points.push(shifted(-width / 2));
        last.edges.push(shifted(width / 2));
      }
      pieces.push({ isNear, points: [], edges: [] });
    }
    pieces.at(-1)!.points.push(shifted(-width / 2));
    pieces.at(-1)!.edges.push(shifted(width / 2));
  }
  return [...pieces]
    .sort((a, b) => Number(a.isNear) - Number(b.isNear))
    .filter(({ points }) => points.length > 1)
    .flatMap(({ isNear, points, edges }): Shape[] => [
      {
        d: pathOf([...points, ...edges.slice().reverse()], true),
        fill: isNear ? tone : 'warm',
        stroke: 'ground',
        width: GAP,
      },
      { d: pathOf(points), stroke: 'hair-line', width: SIDE },
      { d: pathOf(edges), stroke: 'hair-line', width: SIDE },
    ]);
}

/** An ellipse as a closed line, or a part of it, in degrees from the right, downwards. */
export const arc = ([cx, cy]: Point, rx: number, ry: number, from = 0, to = 360): Point[] => {
  const steps = Math.max(8, Math.ceil(Math.abs(to - from) / 9));
  return Array.from({ length: steps + 1 }, (_, i): Point => {
    const angle = ((from + ((to - from) * i) / steps) * Math.PI) / 180;
    return [cx + rx * Math.cos(angle), cy + ry * Math.sin(angle)];
  });
};

export const oval = (
  centre: Point,
  rx: number,
  ry: number,
  fill: Tone,
  stroke: Tone,
  width = 1.6,
): Shape => ({
  d: pathOf(arc(centre, rx, ry), true),
  fill,
  stroke,
  width,
});

/** A piece wound down round its own base, seen from above a little; `share` of it is wound. */
export function knot(centre: Point, radius: number, share = 1): Drawing {
  const turns = 2.6 * share;
  const steps = Math.ceil(turns * 26);
  const points = Array.from({ length: steps + 1 }, (_, i): Point => {
    const done = i / steps;
    const angle = 2 * Math.PI * turns * done - Math.PI / 2;
    const r = radius * (1 - 0.72 * done * share);
    return [
      centre[0] + r * Math.cos(angle),
      centre[1] + 0.56 * r * Math.sin(angle) - 0.72 * radius * 0.6 * done * share,
    ];
  });
  const width = radius * 0.46;
  const perTurn = Math.ceil(26 / 2);
  const out: Shape[] = [];
  for (let i = 0; i < steps; i += perTurn)
    out.push(...strand(points.slice(i, Math.min(steps, i + perTurn) + 1), () => width, 'dark', 3));
  return out;
}

/** A piece of the scalp that hair comes out of. */
export const scalp = (centre: Point = [120, 20], rx = 54): Drawing => [
  oval(centre, rx, 15, 'skin', 'skin-line'),
  oval([centre[0], centre[1] + 3], rx * 0.42, 7, 'panel', 'skin-line', 1.2),
];

/** An arrow along a curve, rimmed with the ground so that it reads over hair. */
export function arrow(points: readonly Point[], tone: Tone = 'act'): Drawing {
  const line = curve(points);
  const tip = line.at(-1)!;
  const before = line.at(-3) ?? line[0]!;
  const angle = Math.atan2(tip[1] - before[1], tip[0] - before[0]);
  const barb = (turn: number): Point => [
    tip[0] - 12 * Math.cos(angle + turn),
    tip[1] - 12 * Math.sin(angle + turn),
  ];
  const head = pathOf(
    [barb(0.45), [tip[0] + 3 * Math.cos(angle), tip[1] + 3 * Math.sin(angle)], barb(-0.45)],
    true,
  );
  return [
    { d: pathOf(line), stroke: 'ground', width: 7 },
    { d: head, fill: 'ground', stroke: 'ground', width: 4 },
    { d: pathOf(line), stroke: tone, width: 3.4 },
    { d: head, fill: tone, stroke: tone, width: 1 },
  ];
}

/** An arrow round something upright, in front of it. */
export const turning = (centre: Point, isRightward = true, rx = 38): Drawing => {
  const line = arc(centre, rx, 11, isRightward ? 165 : 15, isRightward ? 20 : 160);
  return arrow([line[0]!, line[Math.floor(line.length / 2)]!, line.at(-1)!]);
};

/** A thing with straight sides and round ends, from one point to another. */
export function bar(from: Point, to: Point, width: number, fill: Tone, stroke: Tone): Shape {
  const angle = (Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI;
  const half = width / 2;
  return {
    d: pathOf(
      [...arc(from, half, half, angle + 90, angle + 270), ...arc(to, half, half, angle - 90, angle + 90)],
      true,
    ),
    fill,
    stroke,
    width: 1.6,
  };
}

/** A finger, its tip at `to`. */
export const finger = (from: Point, to: Point, width = 18): Drawing => [
  bar(from, to, width, 'skin', 'skin-line'),
  {
    d: pathOf(
      arc([to[0] * 0.94 + from[0] * 0.06, to[1] * 0.94 + from[1] * 0.06], width * 0.24, width * 0.24),
      true,
    ),
    fill: 'panel',
    stroke: 'skin-line',
    width: 1,
  },
];

/** A rod lying across, with hair wound on it edge to edge. */
export function rodWithHair(centre: Point, length: number, width: number, turns = 6): Drawing {
  const [x, y] = centre;
  const each = (length * 0.56) / turns;
  const first = x - (turns * each) / 2;
  return [
    bar([x - length / 2, y], [x + length / 2, y], width, 'tool', 'tool-line'),
    ...Array.from({ length: turns }, (_, i) =>
      strand(
        [
          [first + (i + 0.5) * each + 2, y - width / 2 - 4],
          [first + (i + 0.5) * each, y],
          [first + (i + 0.5) * each - 2, y + width / 2 + 4],
        ],
        () => each,
        'dark',
        1,
      ),
    ).flat(),
  ];
}

/** Two short lines: as much here as there. */
export const equal = ([x, y]: Point): Drawing =>
  [-4, 4].map((dy): Shape => ({
    d: pathOf([
      [x - 8, y + dy],
      [x + 8, y + dy],
    ]),
    stroke: 'act',
    width: 3.2,
  }));

export const tick = ([x, y]: Point): Drawing => [
  {
    d: pathOf([
      [x - 9, y],
      [x - 2, y + 8],
      [x + 11, y - 10],
    ]),
    stroke: 'right',
    width: 4.4,
  },
];

export const cross = ([x, y]: Point): Drawing =>
  [-1, 1].map((side): Shape => ({
    d: pathOf([
      [x - 8, y - 8 * side],
      [x + 8, y + 8 * side],
    ]),
    stroke: 'wrong',
    width: 4.4,
  }));

/** Several drawings on top of each other. */
export const together = (...all: readonly Drawing[]): Drawing => all.flat();

/** A drawing elsewhere in the frame. */
export function moved(drawing: Drawing, dx: number, dy: number, scale = 1): Drawing {
  return drawing.map((shape) => ({
    ...shape,
    d: shape.d.replace(
      /(-?[\d.]+) (-?[\d.]+)/g,
      (_, x: string, y: string) =>
        `${Math.round((Number(x) * scale + dx) * 10) / 10} ${Math.round((Number(y) * scale + dy) * 10) / 10}`,
    ),
    ...(shape.width && { width: shape.width * Math.max(0.6, scale) }),
  }));
}
