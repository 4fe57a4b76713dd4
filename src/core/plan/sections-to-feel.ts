import { hoursAtRate } from '../drying/rate-table';
import { ZONES, type Zone } from '../hair/zone';
import type { ForecastView } from './forecast-view';

/** How many sections are named. */
const NAMED = 3;

/**
 * The sections to feel first: one from each of the zones that dry last, from the middle of the zone's numbers.
 *
 * @param sections number and zone of each section, in working order
 */
export function sectionsToFeel(
  dryTimes: ForecastView['dryTimes'],
  sections: readonly { readonly number: number; readonly zone: Zone }[],
): number[] {
  const slowness = (zone: Zone) => {
    const levels = Object.values(dryTimes.zones[zone]);
    return Math.max(...levels.map((times) => hoursAtRate(times.lnRates, times.hours, 0)));
  };
  return ZONES.map((zone) => ({ zone, own: sections.filter((section) => section.zone === zone) }))
    .filter(({ own }) => own.length > 0)
    .sort((a, b) => slowness(b.zone) - slowness(a.zone))
    .slice(0, NAMED)
    .map(({ own }) => own[Math.floor(own.length / 2)]!.number)
    .sort((a, b) => a - b);
}
