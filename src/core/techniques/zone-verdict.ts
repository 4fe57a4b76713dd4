import type { Zone } from '../hair/zone';
import type { TechniqueId } from '.';
import type { CarryProblem, CarryProposal } from './carrying';

/** What is done in a zone, and whether its hair can carry it. */
export interface ZoneVerdict {
  readonly zone: Zone;
  readonly technique: TechniqueId;
  readonly sections: number;
  readonly lengthCm: number;
  readonly problem: CarryProblem | null;
  /** What can be done there instead; empty without a problem. */
  readonly proposals: readonly CarryProposal[];
}

/** Verdicts with the same problem and the same way out together: two sides of a tapered cut are one thing to mend. */
export function groupedVerdicts<V extends { readonly problem: unknown; readonly proposals: unknown }>(
  verdicts: readonly V[],
): [V, ...V[]][] {
  const groups = new Map<string, [V, ...V[]]>();
  for (const verdict of verdicts) {
    const key = JSON.stringify([verdict.problem, verdict.proposals]);
    const group = groups.get(key);
    if (group) group.push(verdict);
    else groups.set(key, [verdict]);
  }
  return [...groups.values()];
}
