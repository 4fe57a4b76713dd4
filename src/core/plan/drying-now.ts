import { dryness } from '../coefficients/drying';
import { beliefAfterChecks, chanceOfSection, type DrynessCheck } from '../drying/dryness-checks';
import { LEVELS } from '../drying/nodes';
import { chanceDry, drySpread, hoursForChances, type RateBelief } from '../drying/rate-belief';
import { perZone, type PerZone, type Zone } from '../hair/zone';
import type { Spread } from '../stats/spread';
import type { ForecastView } from './forecast-view';

/** What is known of a drying head after the checks so far. */
export interface DryingNow {
  readonly belief: RateBelief;
  readonly dryTimes: ForecastView['dryTimes'];
  /** Hours after the set was finished. */
  readonly dryAfterH: Spread;
  /** Hours after which it is 8 in 10 sure: early enough to feel, late enough to hope. */
  readonly worthFeelingAfterH: number;
}

/** Chance from which a takedown needs no reason. */
export const DRY_ENOUGH = dryness.value.dryEnough;

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
    zoneOf,
    (zone, level) => dryTimes.zones[zone][level],
  );
  const [worthFeelingAfterH] = hoursForChances(belief, dryTimes.whole, [DRY_ENOUGH]) as [number];
  return { belief, dryTimes, dryAfterH: drySpread(belief, dryTimes.whole), worthFeelingAfterH };
}

/**
 * Chance, `afterH` hours after the set was finished, that the whole head and each zone's sections are dry. Sections of a
 * zone differ among themselves; none is less sure than the head, which waits for all of them.
 */
export function chancesAt(
  { belief, dryTimes }: DryingNow,
  afterH: number,
): { whole: number; zones: PerZone<number> } {
  const whole = chanceDry(belief, dryTimes.whole, afterH);
  return {
    whole,
    zones: perZone((zone) => {
      const levels = LEVELS.map((level) =>
        chanceOfSection(belief, dryTimes.zones[zone][level], zone, level, afterH),
      );
      return Math.max(whole, Math.min(...levels));
    }),
  };
}
