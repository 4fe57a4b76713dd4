import type { BriefInput } from '../formats/brief';
import { dryingMethods } from '../drying-methods';
import { LEVELS } from '../drying/nodes';
import type { TimesByRate } from '../drying/rate-belief';
import { hoursAtRate } from '../drying/rate-table';
import { perZone, ZONES, type Zone } from '../hair/zone';
import { asDried, courseOf, dryingTimeline, type DryingStretch } from '../run/dry-log';
import type { RunState } from '../run/run-state';
import { HOUR_MS } from '../units/time';
import type { DryTimes } from './forecast-view';

/** A machine that was begun while some hair was still open, as it is for the zones that were in by then. */
export interface EarlyDrying {
  /** Dried from when the machine was begun. */
  readonly brief: BriefInput;
  readonly zones: readonly Zone[];
  /** How long before the end of the set it was begun, h. */
  readonly aheadH: number;
}

/**
 * What a hood does that is begun with some zones still open: those that are in dry under it, the others wait.
 *
 * @param planned drying from the end of the set on
 * @param zones of the sections, by number
 * @returns null where no machine ran before the end of the set, or no zone was in by then
 */
export function earlyDrying(
  brief: BriefInput,
  planned: readonly DryingStretch[],
  { drying, doneAtMs, room }: Pick<RunState, 'drying' | 'doneAtMs' | 'room'>,
  zones: ReadonlyMap<number, Zone>,
  installedAtMs: number,
  untilMs: number,
): EarlyDrying | null {
  const early = drying.find(({ method, fromMs }) => fromMs < installedAtMs && dryingMethods[method].isBlown);
  if (!early) return null;
  const late = new Set(
    [...zones].flatMap(([number, zone]) =>
      (doneAtMs.get(number) ?? Infinity) <= early.fromMs ? [] : [zone],
    ),
  );
  const inBy = ZONES.filter((zone) => !late.has(zone) && [...zones.values()].includes(zone));
  if (inBy.length === 0) return null;
  return {
    brief: asDried(brief, dryingTimeline(planned, drying, early.fromMs, untilMs), room),
    zones: inBy,
    aheadH: (installedAtMs - early.fromMs) / HOUR_MS,
  };
}

/** Tells one way that a set was dried from another. */
export const courseName = (course: BriefInput, early: EarlyDrying | null): string =>
  courseOf(course) + (early ? ` ${early.zones.join()} ${courseOf(early.brief)}` : '');

/** Times of a set part of which was under a machine before the rest was in, counted from its end as all others are. */
export function withEarlyDrying(
  dried: DryTimes,
  fromMachine: DryTimes,
  { zones, aheadH }: Pick<EarlyDrying, 'zones' | 'aheadH'>,
): DryTimes {
  const { lnRates } = dried.whole;
  const ahead = (times: TimesByRate): TimesByRate => ({
    lnRates,
    hours: lnRates.map((lnRate) => Math.max(0, hoursAtRate(times.lnRates, times.hours, lnRate) - aheadH)),
  });
  const places = perZone((zone) =>
    zones.includes(zone)
      ? (Object.fromEntries(
          LEVELS.map((level) => [level, ahead(fromMachine.zones[zone][level])]),
        ) as DryTimes['zones'][Zone])
      : dried.zones[zone],
  );
  // The slowest place of all: a zone's largest section is slower than its typical one, which the whole head knows.
  const parts = [
    ...(zones.length === ZONES.length ? [] : [slowest(dried, lnRates, (zone) => !zones.includes(zone))]),
    slowest(fromMachine, lnRates, (zone) => zones.includes(zone), aheadH),
  ];
  return {
    ...dried,
    zones: places,
    whole: { lnRates, hours: lnRates.map((_, i) => Math.max(...parts.map((hours) => hours[i]!))) },
  };
}

/** Hours of the slowest of some zones, as much slower than their typical sections as the whole head is than its own. */
function slowest(
  { whole, zones }: DryTimes,
  lnRates: readonly number[],
  isIt: (zone: Zone) => boolean,
  aheadH = 0,
): number[] {
  const typical = (lnRate: number, of: readonly Zone[]) =>
    Math.max(
      ...of.flatMap((zone) =>
        LEVELS.map((level) => hoursAtRate(zones[zone][level].lnRates, zones[zone][level].hours, lnRate)),
      ),
    );
  return lnRates.map((lnRate) => {
    const all = typical(lnRate, ZONES);
    const share = all > 0 ? typical(lnRate, ZONES.filter(isIt)) / all : 1;
    return Math.max(0, share * hoursAtRate(whole.lnRates, whole.hours, lnRate) - aheadH);
  });
}
