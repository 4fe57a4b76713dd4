import { round } from '../../coefficients/round';
import type { SeenCurl } from '../../curl/seen-curl';
import { strandAreaMm2 } from '../../hair/head';
import { seededRng, type Rng } from '../../random/rng';
import { framePoint, type ChartPoint } from '../../sphere/crown-chart';
import { awayFromHead, distanceAt, type HeadGrid } from '../head/head-grid';
import { onScalp } from '../head/scalp';
import type { RoundPen } from '../mesh';
import { handOf, lookOf, type RoundModel, type RoundSection, type ShownDay } from '../model';
import { add, smoothStep, type Vec } from '../vec';
import { partOf, type Work } from '../../work';
import { combed, hang, NODES, overCm, partOnHead, type HangingPiece, type Worn } from './axis';
import { framed, lengthOf, lockOnAxis, MOST_POINTS, type Framed, type LockShape } from './curl-on-axis';
import { relax, type RelaxedPiece } from './relax';
import { drawUnder } from './under';
import { wantedWidthCm, widthOver } from './width';

/** How much hair is drawn. */
export interface RoundBudget {
  readonly locks: number;
  readonly fine: number;
}
/** In full, and for a small screen. */
export const BUDGETS = {
  full: { locks: 1000, fine: 900 },
  small: { locks: 500, fine: 450 },
} as const satisfies Record<string, RoundBudget>;

const MOST_PIECES = 260;
const MOST_LOCKS = 16;
/** Definition at which locks are as few as pieces, and at which they are all there. */
const [DEFINED, LOOSE] = [9.6, 3.5] as const;
/** Ends of a piece are not all cut at one place: locks are shorter by up to this share. */
const RAGGED = 0.1;
const MOST_TRIES = 9;
const WIDTH_NEAR = 0.015;
const NARROWER = [1, 0.75, 0.5, 0.3] as const;
const FINE_POINTS = 64;
/** Share of the work that is over when every piece hangs. */
const HUNG = 0.5;

/** One piece of hair that hangs for itself. */
export interface WornPiece extends HangingPiece, RelaxedPiece {
  readonly section: RoundSection;
  readonly curl: SeenCurl;
  readonly hand: 1 | -1;
  readonly hairs: number;
  /** From its own root to that of each of its locks, cm. */
  readonly lockRoots: readonly Vec[];
  readonly definition: number;
  readonly frizz: number;
  readonly stream: number;
}

/** What was measured of a worn head: to be told, and checked. */
export interface WornMeasures {
  readonly wantedWidthCm: number;
  readonly widthCm: number;
  /** Of every lock that is drawn: its length over that of its hair. */
  readonly lockLengths: readonly number[];
}

/** Rows of a chart in front of this grow at the face. */
const FRONT_T = 0.62;
/** Rows in front of this are held up, where the front half is. */
const HELD_T = -0.1;
const HELD_CLOSE = 0.45;

const isAtFront = (at: ChartPoint) => framePoint(at).t > FRONT_T && Math.abs(framePoint(at).f) < 0.75;

/** Locks of a piece: few where hair is defined, many where it is loose. @source round §3 */
export const locksOf = (budget: number, pieces: number, definition: number): number =>
  Math.max(
    1,
    Math.min(
      MOST_LOCKS,
      Math.round((budget / pieces) * (0.08 + 0.92 * smoothStep(DEFINED, LOOSE, definition))),
    ),
  );

/** Every piece of a head on a day, before it hangs. */
function piecesOf(
  model: RoundModel,
  day: ShownDay,
  worn: Worn,
  budget: RoundBudget,
  rootsOf: RootsOf,
): WornPiece[] {
  const perSection = Math.max(1, Math.min(model.pieces, Math.floor(MOST_PIECES / model.sections.length)));
  const total = perSection * model.sections.length;
  const c = round.value;
  return model.sections.flatMap((section): WornPiece[] => {
    const look = section.isOwn ? day.own : lookOf(day, section.side);
    const [seenCm, curlMm] = [look.visibleCm[section.zone], look.curlMm[section.zone]];
    if (seenCm === undefined || curlMm === undefined) return [];
    const visibleCm = Math.min(seenCm, 0.998 * section.lengthCm);
    const hand = handOf(section);
    const chance = seededRng(model.seed, section.number);
    const locks = locksOf(budget.locks, total, look.definition);
    const shell = c.shellCm2 + c.shellPerCm * visibleCm;
    return rootsOf(section, perSection, locks, chance, hand).map((roots, i): WornPiece => {
      const middle = {
        x: roots.reduce((sum, { x }) => sum + x, 0) / roots.length,
        y: roots.reduce((sum, { y }) => sum + y, 0) / roots.length,
      };
      const root = onScalp(middle, worn.scale);
      const over = framePoint(middle).t > HELD_T ? worn.front : null;
      const comb = combed(root, visibleCm, worn);
      const curlCm = curlMm / 10;
      return {
        section,
        lockRoots: roots.map((place) => add(onScalp(place, worn.scale).at, root.at, -1)),
        root,
        hand,
        visibleCm,
        curl: {
          lengthCm: section.lengthCm,
          visibleCm,
          diameterMm: curlMm,
          shape: section.isOwn ? 'curl' : section.technique.curlName,
        },
        hairs: section.hairCount / perSection,
        gapCm: curlCm / 2 + 0.3,
        side: root.at[0] + 2 * comb[0],
        // Held hair lies close as far as it is held.
        radiusCm:
          (over === 'held' ? HELD_CLOSE : 1) *
          Math.max(curlCm / 2, 0.5 * Math.sqrt(shell / total) * (0.45 + 0.05 * look.volume)),
        stands: 0.78 + 0.44 * chance(),
        comb,
        isFront: isAtFront(middle),
        over,
        definition: look.definition,
        frizz: look.frizz,
        stream: 1000 * section.number + i,
      };
    });
  });
}

/** How the roots of a section are found and cut into pieces. */
export type RootsOf = (
  section: RoundSection,
  pieces: number,
  locks: number,
  chance: Rng,
  hand: 1 | -1,
) => ChartPoint[][];

/** Where every piece hangs once it has made room for the others, standing out so far. */
function hungAt(grid: HeadGrid, pieces: readonly WornPiece[], worn: Worn, stands: number): Float64Array {
  const nodes = new Float64Array(pieces.length * NODES * 3);
  pieces.forEach((piece, p) => hang(grid, piece, stands, worn, nodes, p * NODES * 3));
  relax(grid, nodes, pieces);
  return nodes;
}

/** Where every piece hangs: stood out so far that the head is as wide as its volume says. */
export function* hungPieces(
  grid: HeadGrid,
  pieces: readonly WornPiece[],
  worn: Worn,
  wantedCm: number,
): Work<{ nodes: Float64Array; widthCm: number }> {
  const curlCm = pieces.reduce((sum, { curl }) => sum + curl.diameterMm / 10, 0) / Math.max(1, pieces.length);
  const at = (stands: number, narrower: number) => {
    const asWide = narrower === 1 ? pieces : pieces.map((p) => ({ ...p, radiusCm: p.radiusCm * narrower }));
    const nodes = hungAt(grid, asWide, worn, stands);
    return { nodes, widthCm: widthOver(nodes, worn.scale) + 1.25 * curlCm };
  };
  const off = (found: { widthCm: number }) => found.widthCm - wantedCm;
  const isNear = (found: { widthCm: number }) => Math.abs(off(found)) <= WIDTH_NEAR * wantedCm;
  let best = at(0.25, 1);
  yield 1 / MOST_TRIES;
  const keep = (found: typeof best) => {
    if (Math.abs(off(found)) < Math.abs(off(best))) best = found;
    return found;
  };
  let tries = 1;
  for (const narrower of NARROWER) {
    let [low, high] = [0.02, 1.2];
    const atLow = keep(at(low, narrower));
    yield ++tries / MOST_TRIES;
    if (isNear(best)) return best;
    if (off(atLow) > 0) continue;
    let [offLow, offHigh] = [off(atLow), off(keep(at(high, narrower)))];
    if (offHigh < 0) break;
    while (tries++ < MOST_TRIES && !isNear(best)) {
      const share = Math.min(0.9, Math.max(0.1, offLow / (offLow - offHigh)));
      const middle = low + share * (high - low);
      const found = off(keep(at(middle, narrower)));
      yield Math.min(1, tries / MOST_TRIES);
      if (found < 0) [low, offLow] = [middle, found];
      else [high, offHigh] = [middle, found];
    }
    break;
  }
  return best;
}

/** Half width of one lock, cm. @source round §3 */
function lockHalfCm(model: RoundModel, piece: WornPiece, locks: number): number {
  const c = round.value;
  const packed = c.packedLoose + (c.packedDefined * piece.definition) / 10;
  const mm = Math.sqrt((piece.hairs * strandAreaMm2(model.strandUm)) / (locks * packed * Math.PI));
  return Math.min(mm, c.lockOfCurl * piece.curl.diameterMm) / 10;
}

/** What locks of a clump share. */
interface Clump {
  readonly phaseRad: number;
  readonly driftRad: number;
  readonly asideU: number;
  readonly asideV: number;
}

const normal = (chance: Rng) => Math.sqrt(-2 * Math.log(chance())) * Math.cos(2 * Math.PI * chance());

/** Clumps of a piece: in step where it is defined, running apart where it is not. */
function clumpsOf(piece: WornPiece, locks: number, chance: Rng): Clump[] {
  const c = round.value;
  const loose = 1 - piece.definition / 10;
  const count = Math.round(1 + (locks - 1) * loose ** c.clumpPower);
  const room = piece.radiusCm * (0.45 + 0.5 * loose);
  const phase = 2 * Math.PI * chance();
  return Array.from({ length: count }, () => {
    const [angle, far] = [2 * Math.PI * chance(), Math.sqrt(chance())];
    const off = count === 1 ? 0 : room * far;
    return {
      phaseRad: phase + loose * Math.PI * normal(chance),
      driftRad: c.drift * loose * normal(chance),
      asideU: off * Math.cos(angle),
      asideV: off * Math.sin(angle),
    };
  });
}

/** Nothing of a lock lies nearer to the head than this, cm. */
const OFF_HEAD_CM = 0.1;

/** Moves points of a lock that lie in the head to its surface. */
function keepOffHead(grid: HeadGrid, points: Float64Array): void {
  for (let i = 3; i < points.length; i += 3) {
    const far = distanceAt(grid, points[i]!, points[i + 1]!, points[i + 2]!);
    if (far >= OFF_HEAD_CM) continue;
    const away = awayFromHead(grid, points[i]!, points[i + 1]!, points[i + 2]!);
    for (let k = 0; k < 3; k++) points[i + k]! += away[k]! * (OFF_HEAD_CM - far);
  }
}

/** Hair wound on a tool stays a flat band: its locks lie side by side along the axis. */
const BAND_STEP = 1.75;

/**
 * Draws one piece: its locks, and the fine strands that follow or leave them.
 *
 * @param grid the head that it is kept off; null where it hangs free
 */
export function drawPiece(
  model: RoundModel,
  piece: WornPiece,
  axis: Framed,
  grid: HeadGrid | null,
  fine: number,
  mesh: RoundPen,
  lengths: number[],
): void {
  const c = round.value;
  const { lockRoots, curl, section } = piece;
  const locks = lockRoots.length;
  const chance = seededRng(model.seed + 1, piece.stream);
  const half = lockHalfCm(model, piece, locks);
  const clumps = clumpsOf(piece, locks, chance);
  // Held hair lies flat as far as it is held.
  const heldCm = grid ? overCm(piece, grid.scale) : 0;
  const isBand = section.technique.tool !== null && !section.isOwn;
  const turnsPerCm = Math.max(0.2, curl.lengthCm / (curl.visibleCm * Math.PI * (curl.diameterMm / 10)));
  const shapes = lockRoots.map((rootOff, i): LockShape => {
    const clump = clumps[i % clumps.length]!;
    const within = Math.floor(i / clumps.length);
    const [jitterU, jitterV] = [normal(chance), normal(chance)];
    const short = RAGGED * chance() ** 2;
    const reach = i === 0 ? 1 : 1 - short;
    const beside = isBand
      ? within * BAND_STEP * half * turnsPerCm * 2 * Math.PI
      : 0.22 * normal(chance) * (within === 0 ? 0 : 1);
    return {
      curl: { ...curl, lengthCm: curl.lengthCm * reach, visibleCm: curl.visibleCm * reach },
      reach,
      halfCm: half,
      phaseRad: clump.phaseRad + beside,
      driftRad: clump.driftRad,
      asideU: clump.asideU + (isBand ? 0 : 0.8 * half * jitterU),
      asideV: clump.asideV + (isBand ? 0 : 0.8 * half * jitterV),
      rootOff,
      flatRootCm: Math.max(section.flatRootCm, heldCm),
    };
  });
  shapes.forEach((shape, i) => {
    const points = lockOnAxis(shape, axis, MOST_POINTS);
    if (grid) keepOffHead(grid, points);
    lengths.push(lengthOf(points) / shape.curl.lengthCm);
    mesh.ribbon(points, {
      tier: i % 3 === 0 ? 'third' : 'locks',
      kind: 'ribbon',
      half: (share) =>
        half * (0.75 + 0.25 * smoothStep(0, 0.12, share)) * (1 - 0.75 * smoothStep(0.72, 1, share)),
      seed: chance(),
    });
  });
  const leaves = Math.min(0.95, c.frizzShare + c.frizzPerPoint * piece.frizz);
  const coilMm = model.coilMm[section.zone];
  for (let k = 0; k < fine; k++) {
    const shape = shapes[Math.floor(chance() * shapes.length)]!;
    const isLoose = chance() < leaves;
    const far = (isLoose ? 0.35 + 0.09 * piece.frizz : 0.12) * (0.4 + chance());
    const angle = 2 * Math.PI * chance();
    const reach = shape.reach * (isLoose ? 0.45 + 0.5 * chance() : 1);
    const own: LockShape = {
      ...shape,
      reach,
      curl: {
        ...shape.curl,
        shape: isLoose ? 'curl' : shape.curl.shape,
        lengthCm: Math.min(curl.lengthCm * reach, isLoose ? 2.2 * curl.visibleCm * reach : Infinity),
        visibleCm: curl.visibleCm * reach,
        diameterMm: isLoose ? 0.5 * (coilMm + curl.diameterMm) : curl.diameterMm,
      },
      halfCm: 0,
      phaseRad: shape.phaseRad + (isLoose ? 6.28 * chance() : 0.25 * normal(chance)),
      driftRad: shape.driftRad + (isLoose ? 2 * normal(chance) : 0.2 * normal(chance)),
      asideU: shape.asideU + far * Math.cos(angle),
      asideV: shape.asideV + far * Math.sin(angle),
    };
    const points = lockOnAxis(own, axis, FINE_POINTS);
    if (grid) keepOffHead(grid, points);
    mesh.ribbon(points, {
      tier: isLoose ? 'frizz' : 'fine',
      kind: 'ribbon',
      half: (share) => (c.fineMm / 20) * (1 - 0.5 * share),
      seed: chance(),
    });
  }
}

/** How much left out hair stands out beside a set, which says nothing of how wide it is. */
const LEFT_OUT_STANDS = 0.25;
/** Pieces of each patch, and fine strands of each. */
const LEFT_OUT_PIECES = 8;
const LEFT_OUT_FINE = 4;

/** Hair that is left out of a set, beside it. */
export function drawLeftOut(
  model: RoundModel,
  day: ShownDay,
  grid: HeadGrid,
  budget: RoundBudget,
  rootsOf: RootsOf,
  mesh: RoundPen,
): void {
  const worn: Worn = { part: null, front: null, scale: grid.scale };
  const alone = { ...model, sections: model.leftOut, pieces: LEFT_OUT_PIECES };
  const pieces = piecesOf(alone, day, worn, budget, rootsOf).map((piece) => ({
    ...piece,
    // It has no more room than its curls take: the set is all round it.
    radiusCm: piece.curl.diameterMm / 20,
  }));
  const nodes = hungAt(grid, pieces, worn, LEFT_OUT_STANDS);
  drawUnder(alone, grid, worn, mesh);
  pieces.forEach((piece, p) =>
    drawPiece(model, piece, framed(nodes, 3 * NODES * p, piece.hand), grid, LEFT_OUT_FINE, mesh, []),
  );
}

/** Pieces drawn between two shares told. */
const PIECES_A_STEP = 12;

/** A head as it is worn on a day, drawn into a mesh. */
export function* drawWorn(
  model: RoundModel,
  day: ShownDay,
  grid: HeadGrid,
  budget: RoundBudget,
  rootsOf: RootsOf,
  mesh: RoundPen,
): Work<WornMeasures> {
  const worn: Worn = {
    part: partOnHead(model.partLine, grid.scale),
    front: model.part === 'half-up' ? 'held' : model.part === 'off-face' ? 'swept' : null,
    scale: grid.scale,
  };
  const pieces = piecesOf(model, day, worn, budget, rootsOf);
  const mean = (of: (piece: WornPiece) => number) =>
    pieces.reduce((sum, piece) => sum + of(piece), 0) / Math.max(1, pieces.length);
  const wanted = wantedWidthCm({
    scale: grid.scale,
    curlCm: mean(({ curl }) => curl.diameterMm / 10),
    visibleCm: mean(({ visibleCm }) => visibleCm),
    volume: (day.left.volume + day.right.volume) / 2,
  });
  const { nodes, widthCm } = yield* partOf(hungPieces(grid, pieces, worn, wanted), 0, HUNG);
  drawUnder(model, grid, worn, mesh);
  const lockLengths: number[] = [];
  for (const [p, piece] of pieces.entries()) {
    const axis = framed(nodes, 3 * NODES * p, piece.hand);
    const fine =
      Math.round((budget.fine * (p + 1)) / pieces.length) - Math.round((budget.fine * p) / pieces.length);
    drawPiece(model, piece, axis, grid, fine, mesh, lockLengths);
    if (p % PIECES_A_STEP === 0) yield HUNG + ((1 - HUNG) * p) / pieces.length;
  }
  return { wantedWidthCm: wanted, widthCm, lockLengths };
}
