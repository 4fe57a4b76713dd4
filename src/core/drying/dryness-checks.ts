import { grouped } from '../grouped';
import { dryness } from '../coefficients/drying';
import { normalCdf } from '../stats/normal';
import type { Zone } from '../hair/zone';
import type { Level } from './nodes';
import {
  chanceDry,
  conditioned,
  countingHeads,
  reweighed,
  sectionChance,
  type RateBelief,
  type TimesByRate,
} from './rate-belief';
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
/** Spread of ln time of one place about the head's rate: between sections, and between heads where none were drawn. */
const PLACE_SD: Readonly<Record<Level, number>> = {
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

/** Fewer heads that count say little of where between them the truth lies. */
const ENOUGH_HEADS = 12;

/**
 * Belief in the head's drying rate after dryness checks: each place felt counts by what all its checks say together.
 * Heads that were drawn for the plan are weighed by it; where none were, the rate is, with the spread that places
 * usually have about it.
 *
 * @param zoneOf zone of a section by its number
 * @param timesOf drying times of a zone's level over the rate axis
 */
export function beliefAfterChecks(
  prior: RateBelief,
  checks: readonly DrynessCheck[],
  zoneOf: (sectionNumber: number) => Zone,
  timesOf: (zone: Zone, level: Level) => TimesByRate,
): RateBelief {
  const places = grouped(
    checks.filter(({ feel }) => feel !== 'cool').sort((a, b) => a.afterH - b.afterH),
    ({ sectionNumber, level }) => `${sectionNumber}/${level}`,
  );
  if (places.size === 0) return prior;
  const felt = [...places.values()].map((all) => ({
    all,
    zone: zoneOf(all[0]!.sectionNumber),
    level: all[0]!.level,
  }));
  if (prior.heads) {
    const weighed = reweighed(prior.heads, (hoursOf) =>
      felt.reduce(
        (product, { all, zone, level }) => product * placeLikelihood(all, hoursOf(zone, level), sectionSd),
        1,
      ),
    );
    // A head unlike all that were drawn leaves a handful of them: the rate reaches further than they do.
    if (weighed.heads && countingHeads(weighed.heads) >= ENOUGH_HEADS) return weighed;
  }
  return felt.reduce((belief, { all, zone, level }): RateBelief => {
    const times = timesOf(zone, level);
    return conditioned(belief, (lnRate) => {
      const hours = Math.exp(placeShift) * hoursAtRate(times.lnRates, times.hours, lnRate);
      return placeLikelihood(all, hours, PLACE_SD[level]);
    });
  }, prior);
}

/** Chance that one section of a zone is dry at a level, by some hours; sections differ among themselves. */
export function chanceOfSection(
  belief: RateBelief,
  times: TimesByRate,
  zone: Zone,
  level: Level,
  afterH: number,
): number {
  if (belief.heads) return sectionChance(belief.heads, zone, level, afterH, sectionSd);
  const { lnRates, hours } = times;
  const own = { lnRates, hours: hours.map((usual) => Math.exp(placeShift) * usual) };
  return chanceDry(belief, own, afterH, PLACE_SD[level]);
}
