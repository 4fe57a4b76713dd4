import { dryness } from '../coefficients/drying';
import { normalCdf } from '../stats/normal';
import type { Level } from './nodes';
import { conditioned, type RateBelief, type TimesByRate } from './rate-belief';
import { hoursAtRate } from './rate-table';

/** What a hand can say. */
export const CHECK_FEELS = ['dry', 'cool', 'damp'] as const;
/** What a hand feels. Cool hair may be damp or merely cool, so it tells nothing. */
export type CheckFeel = (typeof CHECK_FEELS)[number];

/** One check: where a hand felt, when, and what. */
export interface DrynessCheck {
  readonly sectionNumber: number;
  readonly level: Level;
  readonly feel: CheckFeel;
  /** Hours after the set was finished. */
  readonly afterH: number;
}

const { sectionSd: SECTION_SD, wrong: WRONG } = dryness.value;

/**
 * Checks of one place boiled down to what they say together: the last "damp" and the first "dry" after it.
 * A "dry" that a later "damp" contradicts is dropped.
 */
export function agreedChecks(checks: readonly DrynessCheck[]): {
  lastDampH: number | null;
  firstDryH: number | null;
} {
  const telling = checks.filter((check) => check.feel !== 'cool').sort((a, b) => a.afterH - b.afterH);
  const lastDamp = telling.filter((check) => check.feel === 'damp').at(-1)?.afterH ?? null;
  const firstDry = telling.find((check) => check.feel === 'dry' && check.afterH > (lastDamp ?? -1));
  return { lastDampH: lastDamp, firstDryH: firstDry?.afterH ?? null };
}

/**
 * Belief in the head's drying rate after dryness checks. Each place felt is one observation,
 * compared with the model's own time for that place.
 *
 * @param timesOf drying times of a section's level over the rate axis
 * @source drying §9: interval-censored observation with a share of wrong checks
 */
export function beliefAfterChecks(
  prior: RateBelief,
  checks: readonly DrynessCheck[],
  timesOf: (sectionNumber: number, level: Level) => TimesByRate,
): RateBelief {
  const places = new Map<string, DrynessCheck[]>();
  for (const check of checks) {
    const key = `${check.sectionNumber}/${check.level}`;
    places.set(key, [...(places.get(key) ?? []), check]);
  }
  let belief = prior;
  for (const felt of places.values()) {
    const { lastDampH, firstDryH } = agreedChecks(felt);
    if (lastDampH === null && firstDryH === null) continue;
    const { sectionNumber, level } = felt[0]!;
    const times = timesOf(sectionNumber, level);
    belief = conditioned(belief, (lnRate) => {
      const lnHours = Math.log(Math.max(1e-6, hoursAtRate(times.lnRates, times.hours, lnRate)));
      const dryBy = (hours: number) => normalCdf((Math.log(Math.max(1e-6, hours)) - lnHours) / SECTION_SD);
      if (lastDampH !== null && firstDryH !== null) {
        return WRONG / 2 + (1 - WRONG) * Math.max(0, dryBy(firstDryH) - dryBy(lastDampH));
      }
      return lastDampH !== null
        ? WRONG + (1 - 2 * WRONG) * (1 - dryBy(lastDampH))
        : WRONG + (1 - 2 * WRONG) * dryBy(firstDryH!);
    });
  }
  return belief;
}
