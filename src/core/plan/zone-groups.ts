import { grouped } from '../grouped';
import { ZONES, type Zone } from '../hair/zone';
import type { Brief, ZoneSet } from '../brief/brief';
import type { Side } from '../hair/half';
import { goesOn, sidesApart, type HairPlace } from '../products/layer';
import type { SectionPlan } from './section-forecasts';

/** Zones in which the very same is done with the very same layers, on one side where halves differ, and their sections. */
export interface ZoneGroup {
  readonly set: ZoneSet;
  readonly zones: readonly Zone[];
  /** The side that is meant, where the layers of two halves differ. */
  readonly side: Side | null;
  readonly sections: readonly SectionPlan[];
  /** Share of the head's hair. */
  readonly share: number;
}

const sumHairs = (sections: readonly SectionPlan[]) =>
  sections.reduce((sum, section) => sum + section.hairCount, 0);

/** The head in groups of zones that are set alike, largest first: one group unless zones or halves differ. */
export function zoneGroups(brief: Brief, sections: readonly SectionPlan[]): ZoneGroup[] {
  const keyOf = ({ technique, rootMethod, endsMethod, tool }: ZoneSet, place: HairPlace) =>
    JSON.stringify([
      technique,
      rootMethod,
      endsMethod,
      tool?.diameterMm,
      tool?.workingLengthMm,
      tool?.alternate?.diameterMm,
      brief.set.layers.map((layer) => goesOn(layer, place)),
    ]);
  const all = sumHairs(sections);
  return sidesApart(brief.set.layers)
    .flatMap((side): ZoneGroup[] => {
      const ofSide = sections.filter((section) => side === null || section.side === side);
      const there = ZONES.filter((zone) => ofSide.some((section) => section.zone === zone));
      const groups = grouped(there, (zone) => keyOf(brief.zones[zone], { zone, side }));
      return [...groups.values()].map((zones) => {
        const ofGroup = ofSide.filter((section) => zones.includes(section.zone));
        return {
          set: brief.zones[zones[0]!],
          zones,
          side,
          sections: ofGroup,
          share: sumHairs(ofGroup) / all,
        };
      });
    })
    .sort((a, b) => b.share - a.share);
}

/** The groups of one side, as if it were a head. */
export function ofSide(groups: readonly ZoneGroup[], side: Side): ZoneGroup[] {
  const own = groups.filter((group) => group.side === side);
  const all = own.reduce((sum, { share }) => sum + share, 0);
  return own.map((group) => ({ ...group, share: group.share / all }));
}
