import { round } from '../coefficients/round';
import { headGrid } from './head/head-grid';
import { headSurface } from './head/surface';
import { drawSample } from './hair/sample';
import { inPieces, rootsIn } from './hair/roots';
import { BUDGETS, drawLeftOut, drawWorn, type RootsOf, type WornMeasures } from './hair/worn';
import { drawSet } from './in-set/draw-set';
import { shade } from './light';
import { MeshMaker, type RoundMesh, type RoundPen } from './mesh';
import type { RoundModel } from './model';
import { lookIn, modelIn, ownDay, type RoundState } from './state';
import { partOf, type Work } from '../work';

/** How much of it is drawn. */
export type RoundDetail = keyof typeof BUDGETS;

/** A head ready to be shown. */
export interface RoundPicture {
  readonly hair: RoundMesh;
  /** Openness and key light of every corner of the head. */
  readonly headLight: Uint8Array;
  readonly scale: number;
  /** A free lock as it hangs, its root at nought; null in the set. */
  readonly sample: RoundMesh | null;
  /** How low hair hangs, cm. */
  readonly lowestCm: number;
  readonly measures: WornMeasures | null;
}

const rootsOf: RootsOf = ({ outline, centroid }, pieces, locks, chance, hand) =>
  inPieces(rootsIn(outline, centroid, pieces * locks, chance, hand), pieces).filter(
    (group) => group.length > 0,
  );

/** Locks of all patches that are left out, beside a set. */
const LEFT_OUT_BUDGET = { locks: 60, fine: 0 } as const;

/** Draws a head with a pen: what is worn on a day, or what is in the set. */
export function* drawRound(
  model: RoundModel,
  state: RoundState,
  detail: RoundDetail,
  pen: RoundPen,
): Work<WornMeasures | null> {
  const grid = headGrid(model.circumferenceCm);
  const look = lookIn(model, state);
  if (look) return yield* drawWorn(modelIn(model, state), look, grid, BUDGETS[detail], rootsOf, pen);
  yield* drawSet(model, grid, pen);
  if (model.leftOut.length > 0) drawLeftOut(model, ownDay(model), grid, LEFT_OUT_BUDGET, rootsOf, pen);
  return null;
}

/** Share of the work that is over when every hair is drawn; then the light is followed. */
const DRAWN = 0.7;

/** Builds a head in steps: equal models give equal vertices. */
export function* buildRound(
  model: RoundModel,
  state: RoundState,
  detail: RoundDetail = 'full',
): Work<RoundPicture> {
  yield 0;
  const { scale } = headGrid(model.circumferenceCm);
  const mesh = new MeshMaker();
  const measures = yield* partOf(drawRound(model, state, detail, mesh), 0, DRAWN);
  const hair = mesh.made();
  const { positions } = headSurface();
  const head = positions.map((value) => value * scale);
  const look = lookIn(model, state);
  const headLight = shade(hair, look ? round.value.darkWorn : round.value.darkSet, head);
  const sample = look ? drawSample(modelIn(model, state), look) : null;
  let lowestCm = 0;
  for (let i = 1; i < hair.positions.length; i += 3) lowestCm = Math.min(lowestCm, hair.positions[i]!);
  return { hair, headLight, scale, sample, lowestCm, measures };
}
