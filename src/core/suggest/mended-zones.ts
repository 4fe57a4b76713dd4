import type { Zone } from '../hair/zone';
import type { TechniqueId } from '../techniques';
import type { ZoneVerdict } from '../techniques/zone-verdict';

/** Zones whose hair cannot carry the technique of the rest, and what is done there. */
export type ZoneTechniques = Partial<Readonly<Record<Zone, TechniqueId>>>;

/** More of the head than this done otherwise is another set. */
const MOST_OTHERWISE = 0.5;

/**
 * What is done in zones whose hair cannot carry a set: the nearest technique that can as it is, without a tool.
 * Empty where every zone carries it; null where one has no such way, or most of the head would be done otherwise.
 */
export function mendedZones(verdicts: readonly ZoneVerdict[]): ZoneTechniques | null {
  const zones: { [zone in Zone]?: ZoneTechniques[Zone] } = {};
  let otherwise = 0;
  for (const { zone, problem, proposals, sections } of verdicts) {
    if (!problem) continue;
    const instead = proposals.find(
      ({ toolDiameterMm, sections: newCount }) => toolDiameterMm === null && newCount === null,
    );
    if (!instead) return null;
    zones[zone] = instead.technique;
    otherwise += sections;
  }
  const all = verdicts.reduce((sum, { sections }) => sum + sections, 0);
  return otherwise > MOST_OTHERWISE * all ? null : zones;
}
