import { alongHair } from '../curl/along-hair';
import type { Helix } from '../curl/helix';
import type { SetForm } from './technique';

/** Form of ropes wound or plaited without a tool: a curve along the hair, as thick as one rope. */
export const ropeForm = (ropeMm: number, helixAt: (shareFromRoot: number) => Helix): SetForm => ({
  nodes: alongHair(helixAt),
  ends: null,
  thicknessMm: ropeMm,
  definingMm: ropeMm,
  fit: null,
  knot: null,
});
