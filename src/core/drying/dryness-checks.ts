import { dryness } from '../coefficients/drying';
import { normalCdf } from '../stats/normal';
import type { Level } from './nodes';
import { conditioned, type RateBelief, type TimesByRate } from './rate-belief';
import { hoursAtRate, INSTANT_H } from './rate-table';

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

const { sectionSd, wrongDry: WRONG_DRY, wrongDamp: WRONG_DAMP, placeShift } = dryness.value;
/** Spread of ln time of one place about the head's rate: between sections, and between what is drawn for a head. */
export const PLACE_SD: Readonly<Record<Level, number>> = {
  root: Math.hypot(sectionSd, dryness.value.rootSd),
  middle: Math.hypot(sectionSd, dryness.value.middleSd),
  ends: Math.hypot(sectionSd, dryness.value.endsSd),
};

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

/** How likely a hand says what it said of a place that is dry, or still damp. */
const saidOf = (feel: CheckFeel, isDry: boolean): number => {
  const wrong = isDry ? WRONG_DAMP : WRONG_DRY;
  return (feel === 'dry') === isDry ? 1 - wrong : wrong;
};

/**
 * Likelihood of all that was felt at one place, if the model's own time for it were `hours`: over the intervals between
 * the checks, the chance that it became dry in one, times what each hand would then have said.
 *
 * @param checks "cool" tells nothing and is left out; in the order of their times
 * @param lnSd spread of ln hours of the place about them
 * @source drying §9, exact for checks that err independently
 * @example placeLikelihood([], 8, 0.15) // => 1
 */
export function placeLikelihood(checks: readonly DrynessCheck[], hours: number, lnSd: number): number {
  const lnHours = Math.log(Math.max(INSTANT_H, hours));
  const dryBy = checks.map(({ afterH }) =>
    normalCdf((Math.log(Math.max(INSTANT_H, afterH)) - lnHours) / lnSd),
  );
  let likelihood = 0;
  for (let interval = 0; interval <= checks.length; interval++) {
    // Dry from this interval on: the checks before it met damp hair, the others dry.
    const chance = (dryBy[interval] ?? 1) - (interval === 0 ? 0 : dryBy[interval - 1]!);
    likelihood += checks.reduce((product, { feel }, i) => product * saidOf(feel, i >= interval), chance);
  }
  return likelihood;
}

/** Times of one place, from those of the model: it dries a little sooner than a head that waits for its slowest. */
export const placeTimes = ({ lnRates, hours }: TimesByRate): TimesByRate => ({
  lnRates,
  hours: hours.map((own) => Math.exp(placeShift) * own),
});

/**
 * Belief in the head's drying rate after dryness checks: each place felt bends it by what all its checks say together.
 *
 * @param timesOf drying times of a section's level over the rate axis
 */
export function beliefAfterChecks(
  prior: RateBelief,
  checks: readonly DrynessCheck[],
  timesOf: (sectionNumber: number, level: Level) => TimesByRate,
): RateBelief {
  const places = new Map<string, DrynessCheck[]>();
  for (const check of checks) {
    if (check.feel === 'cool') continue;
    const key = `${check.sectionNumber}/${check.level}`;
    places.set(key, [...(places.get(key) ?? []), check]);
  }
  return [...places.values()].reduce((belief, felt) => {
    const { sectionNumber, level } = felt[0]!;
    const times = placeTimes(timesOf(sectionNumber, level));
    const inOrder = [...felt].sort((a, b) => a.afterH - b.afterH);
    return conditioned(belief, (lnRate) =>
      placeLikelihood(inOrder, hoursAtRate(times.lnRates, times.hours, lnRate), PLACE_SD[level]),
    );
  }, prior);
}
