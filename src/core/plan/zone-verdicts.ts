import { startStates } from '../coefficients/start-states';
import { ZONES } from '../hair/zone';
import { techniqueOf } from '../techniques';
import { carryProblem, carryProposals } from '../techniques/carrying';
import type { ZoneVerdict } from '../techniques/zone-verdict';
import type { Brief } from '../brief/brief';
import { sourceOf, type SectionPlan } from './section-forecasts';

/** Says for each zone whether its hair can carry what is planned there, and what could be done if not. */
export function zoneVerdicts(brief: Brief, sections: readonly SectionPlan[]): ZoneVerdict[] {
  const isStretched = startStates[brief.set.startState].straightened > 0.5;
  return ZONES.flatMap((zone): ZoneVerdict[] => {
    const inZone = sections.filter((section) => section.zone === zone);
    if (inZone.length === 0) return [];
    const { technique: id, tool } = brief.zones[zone];
    const technique = techniqueOf(id);
    const fullest = inZone.reduce((most, section) => (section.areaCm2 > most.areaCm2 ? section : most));
    const wound = technique.tool ? tool : null;
    const sizes = wound?.alternate ? [wound, wound.alternate] : [wound];
    const problem =
      sizes.map((size) => carryProblem(technique, fullest.bundle, size, isStretched)).find(Boolean) ?? null;
    return [
      {
        zone,
        technique: id,
        sections: inZone.length,
        lengthCm: brief.head.stretchedLengthCm[zone],
        problem,
        proposals: problem
          ? carryProposals(id, sourceOf(brief, zone, fullest.areaCm2), inZone.length, wound, isStretched)
          : [],
      },
    ];
  });
}
