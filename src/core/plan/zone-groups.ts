import { ZONES, type Zone } from '../hair/zone';
import type { Brief, ZoneSet } from '../brief/brief';
import { goesOn } from '../products/layer';
import type { SectionPlan } from './section-forecasts';

/** Zones in which the very same is done with the very same layers, and their sections. */
export interface ZoneGroup {
  readonly set: ZoneSet;
  readonly zones: readonly Zone[];
  readonly sections: readonly SectionPlan[];
  /** Share of the head's hair. */
  readonly share: number;
}

const sumHairs = (sections: readonly SectionPlan[]) =>
  sections.reduce((sum, section) => sum + section.hairCount, 0);

/** The head in groups of zones that are set alike, largest first: one group unless zones differ. */
export function zoneGroups(brief: Brief, sections: readonly SectionPlan[]): ZoneGroup[] {
  const keyOf = ({ technique, rootMethod, endsMethod, tool }: ZoneSet, zone: Zone) =>
    JSON.stringify([
      technique,
      rootMethod,
      endsMethod,
      tool?.diameterMm,
      tool?.workingLengthMm,
      tool?.alternate?.diameterMm,
      brief.set.layers.map((layer) => goesOn(layer, zone)),
    ]);
  const groups = new Map<string, Zone[]>();
  for (const zone of ZONES) {
    if (!sections.some((section) => section.zone === zone)) continue;
    const key = keyOf(brief.zones[zone], zone);
    groups.set(key, [...(groups.get(key) ?? []), zone]);
  }
  const all = sumHairs(sections);
  return [...groups.values()]
    .map((zones): ZoneGroup => {
      const ofGroup = sections.filter((section) => zones.includes(section.zone));
      return { set: brief.zones[zones[0]!], zones, sections: ofGroup, share: sumHairs(ofGroup) / all };
    })
    .sort((a, b) => b.share - a.share);
}
