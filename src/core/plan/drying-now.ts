import { dryness } from '../coefficients/drying';
import { beliefAfterChecks, PLACE_SD, placeTimes, type DrynessCheck } from '../drying/dryness-checks';
import { LEVELS } from '../drying/nodes';
import {
  chanceDry,
  drySpread,
  hoursForChances,
  type RateBelief,
  type TimesByRate,
} from '../drying/rate-belief';
import { perZone, type PerZone, type Zone } from '../hair/zone';
import type { Spread } from '../stats/spread';
import type { ForecastView } from './forecast-view';

/** What is known of a drying head after the checks so far. */
export interface DryingNow {
  readonly belief: RateBelief;
  readonly whole: TimesByRate;
  /** Slowest level of each zone. */
  readonly zones: PerZone<TimesByRate>;
  /** Hours after the set was finished. */
  readonly dryAfterH: Spread;
  /** Hours after which it is 8 in 10 sure: early enough to feel, late enough to hope. */
  readonly worthFeelingAfterH: number;
}

/** Chance from which a takedown needs no reason. */
export const DRY_ENOUGH = dryness.value.dryEnough;

const slowestOf = (levels: readonly TimesByRate[]): TimesByRate => ({
  lnRates: levels[0]!.lnRates,
  hours: levels[0]!.hours.map((_, i) => Math.max(...levels.map((times) => times.hours[i]!))),
});

/**
 * Bends a drying forecast to what was felt.
 *
 * @param zoneOf zone of a section by its number
 */
export function dryingNow(
  dryTimes: ForecastView['dryTimes'],
  checks: readonly DrynessCheck[],
  zoneOf: (sectionNumber: number) => Zone,
): DryingNow {
  const belief = beliefAfterChecks(
    dryTimes.belief,
    checks,
    (number, level) => dryTimes.zones[zoneOf(number)][level],
  );
  const zones = perZone((zone) => slowestOf(LEVELS.map((level) => dryTimes.zones[zone][level])));
  const [worthFeelingAfterH] = hoursForChances(belief, dryTimes.whole, [DRY_ENOUGH]) as [number];
  return {
    belief,
    whole: dryTimes.whole,
    zones,
    dryAfterH: drySpread(belief, dryTimes.whole),
    worthFeelingAfterH,
  };
}

/**
 * Chance, `afterH` hours after the set was finished, that the whole head and each zone's sections are dry. Sections of a
 * zone differ among themselves; none is less sure than the head, which waits for all of them.
 */
export function chancesAt(now: DryingNow, afterH: number): { whole: number; zones: PerZone<number> } {
  const whole = chanceDry(now.belief, now.whole, afterH);
  const ofSection = (times: TimesByRate) => chanceDry(now.belief, placeTimes(times), afterH, PLACE_SD.root);
  return { whole, zones: perZone((zone) => Math.max(whole, ofSection(now.zones[zone]))) };
}
