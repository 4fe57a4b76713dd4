import { startStates } from '../coefficients/start-states';
import { ZONES, type Zone } from '../hair/zone';
import { techniqueOf, type TechniqueId } from '../techniques';
import { carryProblem, carryProposals, type CarryProblem, type CarryProposal } from '../techniques/carrying';
import type { Brief } from './brief';
import { sourceOf, type SectionPlan } from './section-forecasts';

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

/** Says for each zone whether its hair can carry what is planned there, and what could be done if not. */
export function zoneVerdicts(brief: Brief, sections: readonly SectionPlan[]): ZoneVerdict[] {
  const isStretched = startStates[brief.set.startState].straightened > 0.5;
  return ZONES.flatMap((zone): ZoneVerdict[] => {
    const own = sections.filter((section) => section.zone === zone);
    if (own.length === 0) return [];
    const { technique: id, tool } = brief.zones[zone];
    const technique = techniqueOf(id);
    const fullest = own.reduce((most, section) => (section.areaCm2 > most.areaCm2 ? section : most));
    const wound = technique.tool ? tool : null;
    const problem = carryProblem(technique, fullest.bundle, wound, isStretched);
    return [
      {
        zone,
        technique: id,
        sections: own.length,
        lengthCm: brief.head.stretchedLengthCm[zone],
        problem,
        proposals: problem
          ? carryProposals(id, sourceOf(brief, zone, fullest.areaCm2), own.length, wound, isStretched)
          : [],
      },
    ];
  });
}

/** Verdicts with the same problem and the same way out together: two sides of a tapered cut are one thing to mend. */
export function groupedVerdicts<V extends { readonly problem: unknown; readonly proposals: unknown }>(
  verdicts: readonly V[],
): [V, ...V[]][] {
  const groups = new Map<string, [V, ...V[]]>();
  for (const verdict of verdicts) {
    const key = JSON.stringify([verdict.problem, verdict.proposals]);
    const own = groups.get(key);
    if (own) own.push(verdict);
    else groups.set(key, [verdict]);
  }
  return [...groups.values()];
}
