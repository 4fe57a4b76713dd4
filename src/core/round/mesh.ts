import { cross, unit, type Vec } from './vec';

/** What a vertex belongs to: the shader colours it by this. */
export const KIND = { ribbon: 0, tube: 1, tool: 2, scalp: 3 } as const;
export type Kind = keyof typeof KIND;

/** How much of the hair is drawn: all of it, or less while it is turned. */
export const TIERS = ['locks', 'third', 'fine', 'frizz'] as const;
export type Tier = (typeof TIERS)[number];

/** Hair as triangles, ready to be uploaded. */
export interface RoundMesh {
  /** x, y, z, cm. */
  readonly positions: Float32Array;
  /** Direction along the hair, and how light comes to it: tangent ×127 and kind; see {@link KIND}. */
  readonly tangents: Int8Array;
  /** Away from the middle of a tube ×127; of a ribbon the way it is turned by the shader. */
  readonly normals: Int8Array;
  /** Side −1 or 1, half width cm, share along from the root, chance 0 … 1. */
  readonly shapes: Float32Array;
  /** Openness to the sky, key light reached, tone from root to tip and swatch, 0 … 255. */
  readonly lights: Uint8Array;
  /** Triangles, tier after tier. */
  readonly indices: Uint32Array;
  /** Where each tier ends in the indices. */
  readonly tierEnds: Readonly<Record<Tier, number>>;
  /** After the last tier a sketch of all of it in few triangles, as far as this. */
  readonly sketchEnd: number;
}

/** How a line of hair is dressed. */
export interface Stroke {
  readonly tier: Tier;
  readonly kind: Kind;
  /** Half width, cm, at a share of its length. */
  readonly half: (share: number) => number;
  readonly seed: number;
  /** 0 … 1: colour of a tool, and nothing of hair. */
  readonly swatch?: number;
}

/** What hair is drawn with: a mesh, or lines for a flat picture. */
export interface RoundPen {
  /** A flat band along points, turned to whoever looks. */
  readonly ribbon: (points: Float64Array, stroke: Stroke) => void;
  /**
   * A round tube along points.
   *
   * @param lie the way its flat side faces at a point, for a flat one
   * @param flat thickness over width, seen along `lie`
   */
  readonly tube: (
    points: Float64Array,
    sides: number,
    stroke: Stroke,
    lie?: ((i: number) => Vec) | null,
    flat?: number,
  ) => void;
}

/** Of the ribbons in a sketch, one of so many is drawn; of points along, so many; of sides of a tube, every other. */
const SKETCHED = { third: 2, scalp: 10, points: 36 } as const;
/** Numbers from 0 to a last one in steps, the last among them. */
const inSteps = (last: number, step: number): number[] => {
  const all: number[] = [];
  for (let i = 0; i < last; i += step) all.push(i);
  return [...all, last];
};

/** Doubles a typed array until something fits. */
function grown<A extends Float32Array | Int8Array | Uint8Array>(array: A, need: number): A {
  if (need <= array.length) return array;
  const larger = new (array.constructor as new (n: number) => A)(Math.max(need, 2 * array.length));
  larger.set(array as never);
  return larger;
}

/** Gathers ribbons and tubes into one mesh. */
export class MeshMaker implements RoundPen {
  private positions = new Float32Array(3 * 65536);
  private tangents = new Int8Array(4 * 65536);
  private normals = new Int8Array(4 * 65536);
  private shapes = new Float32Array(4 * 65536);
  private lights = new Uint8Array(4 * 65536);
  private count = 0;
  private readonly tiers: Readonly<Record<Tier, number[]>> = { locks: [], third: [], fine: [], frizz: [] };
  private readonly sketch: number[] = [];
  private readonly ribbons = { third: 0, scalp: 0 };

  private vertex(
    x: number, y: number, z: number, tangent: Vec, normal: Vec,
    side: number, half: number, share: number, { seed, kind, swatch = 0 }: Stroke,
  ): void {
    const n = this.count++;
    const [three, four] = [3 * n, 4 * n];
    const { positions, tangents, normals, shapes, lights } = this;
    positions[three] = x;
    positions[three + 1] = y;
    positions[three + 2] = z;
    tangents[four] = tangent[0] * 127;
    tangents[four + 1] = tangent[1] * 127;
    tangents[four + 2] = tangent[2] * 127;
    tangents[four + 3] = KIND[kind];
    normals[four] = normal[0] * 127;
    normals[four + 1] = normal[1] * 127;
    normals[four + 2] = normal[2] * 127;
    shapes[four] = side;
    shapes[four + 1] = half;
    shapes[four + 2] = share;
    shapes[four + 3] = seed;
    lights[four] = 255;
    lights[four + 1] = 255;
    lights[four + 2] = share * 255;
    lights[four + 3] = swatch * 255;
  } // prettier-ignore

  private reserve(vertices: number): void {
    const need = this.count + vertices;
    this.positions = grown(this.positions, 3 * need);
    this.tangents = grown(this.tangents, 4 * need);
    this.normals = grown(this.normals, 4 * need);
    this.shapes = grown(this.shapes, 4 * need);
    this.lights = grown(this.lights, 4 * need);
  }

  ribbon(points: Float64Array, stroke: Stroke): void {
    const count = points.length / 3;
    this.reserve(2 * count);
    const first = this.count;
    for (let i = 0; i < count; i++) {
      const t = alongAt(points, i);
      const share = i / (count - 1);
      const half = stroke.half(share);
      for (const side of [-1, 1] as const)
        this.vertex(points[3 * i]!, points[3 * i + 1]!, points[3 * i + 2]!, t, t, side, half, share, stroke);
    }
    const tier = this.tiers[stroke.tier];
    for (let i = 0; i + 1 < count; i++) {
      const a = first + 2 * i;
      tier.push(a, a + 1, a + 2, a + 2, a + 1, a + 3);
    }
    const of = stroke.kind === 'scalp' ? 'scalp' : stroke.tier === 'third' ? 'third' : null;
    if (!of || this.ribbons[of]++ % SKETCHED[of] > 0) return;
    const along = inSteps(count - 1, Math.max(1, Math.round(count / SKETCHED.points)));
    for (let i = 0; i + 1 < along.length; i++) {
      const [a, b] = [first + 2 * along[i]!, first + 2 * along[i + 1]!];
      this.sketch.push(a, a + 1, b, b, a + 1, b + 1);
    }
  }

  tube(
    points: Float64Array,
    sides: number,
    stroke: Stroke,
    lie: ((i: number) => Vec) | null = null,
    flat = 1,
  ): void {
    const count = points.length / 3;
    this.reserve((sides + 1) * count);
    const first = this.count;
    let u: Vec = [0, 0, 0];
    for (let i = 0; i < count; i++) {
      const t = alongAt(points, i);
      const wish: Vec = lie?.(i) ?? (i === 0 ? (Math.abs(t[1]) > 0.9 ? [0, 0, 1] : [0, 1, 0]) : u);
      const along = wish[0] * t[0] + wish[1] * t[1] + wish[2] * t[2];
      u = unit([wish[0] - along * t[0], wish[1] - along * t[1], wish[2] - along * t[2]]);
      const v = cross(t, u);
      const share = i / (count - 1);
      const half = stroke.half(share);
      for (let k = 0; k <= sides; k++) {
        const angle = (2 * Math.PI * k) / sides;
        const [c, s] = [Math.cos(angle) * flat, Math.sin(angle)];
        const off: Vec = [u[0] * c + v[0] * s, u[1] * c + v[1] * s, u[2] * c + v[2] * s];
        const n = unit([
          (u[0] * c) / (flat * flat) + v[0] * s,
          (u[1] * c) / (flat * flat) + v[1] * s,
          (u[2] * c) / (flat * flat) + v[2] * s,
        ]);
        this.vertex(
          points[3 * i]! + off[0] * half,
          points[3 * i + 1]! + off[1] * half,
          points[3 * i + 2]! + off[2] * half,
          t, n, (2 * k) / sides - 1, half, share, stroke,
        ); // prettier-ignore
      }
    }
    const tier = this.tiers[stroke.tier];
    for (let i = 0; i + 1 < count; i++)
      for (let k = 0; k < sides; k++) {
        const a = first + (sides + 1) * i + k;
        const b = a + sides + 1;
        tier.push(a, b, a + 1, b, b + 1, a + 1);
      }
    const along = inSteps(count - 1, Math.max(1, Math.round(count / SKETCHED.points)));
    const round = inSteps(sides, 2);
    for (let i = 0; i + 1 < along.length; i++)
      for (let k = 0; k + 1 < round.length; k++) {
        const [a, b] = [first + (sides + 1) * along[i]!, first + (sides + 1) * along[i + 1]!];
        const [from, to] = [round[k]!, round[k + 1]!];
        this.sketch.push(a + from, b + from, a + to, b + from, b + to, a + to);
      }
  }

  /** Everything so far, its triangles tier after tier. */
  made(): RoundMesh {
    const { tiers, count } = this;
    const total = TIERS.reduce((sum, tier) => sum + tiers[tier].length, 0);
    const indices = new Uint32Array(total + this.sketch.length);
    const tierEnds = {} as Record<Tier, number>;
    let at = 0;
    for (const tier of TIERS) {
      indices.set(tiers[tier], at);
      at += tiers[tier].length;
      tierEnds[tier] = at;
    }
    indices.set(this.sketch, at);
    return {
      positions: this.positions.slice(0, 3 * count),
      tangents: this.tangents.slice(0, 4 * count),
      normals: this.normals.slice(0, 4 * count),
      shapes: this.shapes.slice(0, 4 * count),
      lights: this.lights.slice(0, 4 * count),
      indices,
      tierEnds,
      sketchEnd: indices.length,
    };
  }
}

function alongAt(points: Float64Array, i: number): Vec {
  const count = points.length / 3;
  const [a, b] = [3 * Math.max(0, i - 1), 3 * Math.min(count - 1, i + 1)];
  return unit([points[b]! - points[a]!, points[b + 1]! - points[a + 1]!, points[b + 2]! - points[a + 2]!]);
}
