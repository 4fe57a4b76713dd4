import { round } from '../../coefficients/round';
import { shade } from '../light';
import { MeshMaker, type RoundMesh } from '../mesh';
import { handOf, lookOf, type RoundDay, type RoundModel } from '../model';
import type { Vec } from '../vec';
import { NODES } from './axis';
import { framed } from './curl-on-axis';
import { drawPiece, type WornPiece } from './worn';

const LOCKS = 5;
const FINE = 10;

/** A free lock of the longest zone, hanging straight from nought: beside a ruler it shows the visible length itself. */
export function drawSample(model: RoundModel, day: RoundDay): RoundMesh | null {
  const seenOf = (section: RoundModel['sections'][number]) =>
    lookOf(day, section.side).visibleCm[section.zone] ?? 0;
  const section = model.sections.reduce<RoundModel['sections'][number] | null>(
    (best, one) => (best && seenOf(best) >= seenOf(one) ? best : one),
    null,
  );
  if (!section) return null;
  const look = lookOf(day, section.side);
  const curlMm = look.curlMm[section.zone] ?? 0;
  const visibleCm = Math.min(seenOf(section), 0.998 * section.lengthCm);
  const root = { at: [0, 0, 0], normal: [0, 0, 1] } as const;
  const piece: WornPiece = {
    section,
    root,
    lockRoots: Array.from({ length: LOCKS }, (): Vec => [0, 0, 0]),
    hand: handOf(section),
    visibleCm,
    curl: {
      lengthCm: section.lengthCm,
      visibleCm,
      diameterMm: curlMm,
      shape: section.isOwn ? 'curl' : section.technique.curlName,
    },
    hairs: section.hairCount / model.pieces / 3,
    gapCm: 0,
    side: 1,
    radiusCm: curlMm / 30,
    stands: 1,
    comb: [0, -1, 0],
    isFront: false,
    over: null,
    // One lock, whole: how it comes apart shows on the head.
    definition: 10,
    frizz: look.frizz,
    stream: 7,
  };
  const nodes = new Float64Array(3 * NODES);
  for (let i = 0; i < NODES; i++) nodes[3 * i + 1] = (-visibleCm * i) / (NODES - 1);
  const mesh = new MeshMaker();
  drawPiece(model, piece, framed(nodes, 0, piece.hand), null, FINE, mesh, []);
  const made = mesh.made();
  shade(made, round.value.darkSet, new Float32Array(0));
  return made;
}
