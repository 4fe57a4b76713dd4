import { dryingSpread, UNKNOWN_HEAD_LN_SD } from '../coefficients/drying';
import { normalCdf } from '../stats/normal';
import type { Spread } from '../stats/spread';
import type { Zone } from '../hair/zone';
import type { DrawnTimes } from './draws';
import { LEVELS, type Level } from './nodes';
import { hoursAtRate, INSTANT_H, rateForHours } from './rate-table';

/** What is believed of the drying rate of this head on this day: weights over ln rate, adding up to 1. */
export interface RateBelief {
  readonly lnRates: readonly number[];
  readonly weights: readonly number[];
  /** The drawn heads that it was made of; null where none were drawn. */
  readonly heads: WeighedHeads | null;
}

/** Heads as they were drawn, and how likely each is by now. */
export interface WeighedHeads {
  readonly weights: readonly number[];
  /** ln of the drying rate at which the model takes as long as the head did. */
  readonly lnRates: readonly number[];
  readonly zones: readonly Zone[];
  /** Hours of the usual section of each zone, zone by zone, root to ends; one row a head. */
  readonly placesH: readonly (readonly number[])[];
}

const GRID_STEP = 0.04;
const GRID_HALF = 34;
const MOST_POINTS = 120;

/**
 * Standard deviation of ln drying time when nothing was felt yet: room, pick-up, hair and product are only known
 * roughly, and so is the head. Independent causes add in squares.
 *
 * @param headLnSd spread of what is known of the head's own rate
 * @source drying §7; combination of standard uncertainties, JCGM 100:2008 §5.1.2
 */
export const lnTimeSd = (headLnSd: number): number =>
  Math.hypot(headLnSd, ...Object.values(dryingSpread.value));

/**
 * Belief before any check: normal in ln rate about what is known of the head.
 *
 * @example priorBelief().weights.reduce((sum, weight) => sum + weight, 0) // => 1
 */
export function priorBelief(meanLnRate = 0, sd = lnTimeSd(UNKNOWN_HEAD_LN_SD)): RateBelief {
  const lnRates = Array.from(
    { length: 2 * GRID_HALF + 1 },
    (_, i) => meanLnRate + (i - GRID_HALF) * GRID_STEP,
  );
  return normalised(
    lnRates,
    lnRates.map((x) => Math.exp(-0.5 * ((x - meanLnRate) / sd) ** 2)),
  );
}

/**
 * A belief whose chances to be dry are corrected: what was told with chance p is told with `corrected(p)`, at every
 * moment alike.
 *
 * @param corrected rising, from chance to chance
 */
export function recalibrated(belief: RateBelief, corrected: (chance: number) => number): RateBelief {
  const [none, all] = [corrected(0), corrected(1)];
  const fromQuick = (lnRates: readonly number[], weights: readonly number[]): number[] => {
    const total = weights.reduce((sum, weight) => sum + weight, 0);
    const order = lnRates.map((_, i) => i).sort((a, b) => lnRates[b]! - lnRates[a]!);
    const out = new Array<number>(weights.length).fill(0);
    let [sum, before] = [0, none];
    for (const i of order) {
      sum += weights[i]! / total;
      const after = corrected(Math.min(1, sum));
      out[i] = (total * (after - before)) / (all - none);
      before = after;
    }
    return out;
  };
  const { heads, lnRates, weights } = belief;
  return heads
    ? beliefOfHeads({ ...heads, weights: fromQuick(heads.lnRates, heads.weights) })
    : normalised(lnRates, fromQuick(lnRates, weights));
}

/** Belief with each weight multiplied by a likelihood. */
export function conditioned(belief: RateBelief, likelihood: (lnRate: number) => number): RateBelief {
  return normalised(
    belief.lnRates,
    belief.weights.map((weight, i) => weight * likelihood(belief.lnRates[i]!)),
  );
}

function normalised(
  lnRates: readonly number[],
  raw: readonly number[],
  heads: WeighedHeads | null = null,
): RateBelief {
  const total = raw.reduce((sum, weight) => sum + weight, 0);
  return { lnRates, weights: raw.map((weight) => weight / total), heads };
}

/** Times over the rate axis: the rates of a table and the hours at each. */
export interface TimesByRate {
  readonly lnRates: readonly number[];
  readonly hours: readonly number[];
}

/**
 * How many heads count, weighed as they are.
 *
 * @source effective sample size (Kong 1992)
 */
export function countingHeads({ weights }: WeighedHeads): number {
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  return total ** 2 / weights.reduce((sum, weight) => sum + weight ** 2, 0);
}

/** Belief about the rates of weighed heads, each smeared a little: the more, the fewer of them count. */
function beliefOfHeads(heads: WeighedHeads): RateBelief {
  const { lnRates: rates, weights } = heads;
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const mean = rates.reduce((sum, x, i) => sum + weights[i]! * x, 0) / total;
  const sd = Math.sqrt(rates.reduce((sum, x, i) => sum + weights[i]! * (x - mean) ** 2, 0) / total);
  const counting = countingHeads(heads);
  // Silverman's rule, and never narrower than the grid can show.
  const width = Math.max(GRID_STEP, 0.9 * sd * counting ** -0.2);
  const low = Math.min(...rates) - 3 * width;
  const high = Math.max(...rates) + 3 * width;
  const points = Math.max(2, Math.min(MOST_POINTS, Math.ceil((high - low) / GRID_STEP)));
  const lnRates = Array.from({ length: points + 1 }, (_, i) => low + ((high - low) * i) / points);
  return normalised(
    lnRates,
    lnRates.map((x) =>
      rates.reduce((sum, rate, i) => sum + weights[i]! * Math.exp(-0.5 * ((x - rate) / width) ** 2), 0),
    ),
    heads,
  );
}

/** Places are kept to this many figures: a head is felt by hand. */
const KEPT_FIGURES = 4;

/**
 * Belief that gives the same times as draws of whole heads did: each draw lies at the rate at which the head of
 * the table would have taken as long.
 *
 * @param zones those that each draw has places of, in their order
 */
export const beliefFromDraws = (
  times: TimesByRate,
  drawn: readonly DrawnTimes[],
  zones: readonly Zone[],
): RateBelief =>
  beliefOfHeads({
    weights: drawn.map(() => 1),
    lnRates: drawn.map(({ allH }) => rateForHours(times.lnRates, times.hours, allH)),
    zones,
    placesH: drawn.map(({ placesH }) => placesH.map((hours) => Number(hours.toPrecision(KEPT_FIGURES)))),
  });

/** Drying times of a zone's level over the rate axis. */
export type TimesOfPlace = (zone: Zone, level: Level) => TimesByRate;

/**
 * A belief about another course of drying than its heads were drawn for: each place of a head lies at the rate at which
 * the table of the one course took as long, and takes what the table of the other gives there.
 */
export function onOtherCourse(belief: RateBelief, before: TimesOfPlace, after: TimesOfPlace): RateBelief {
  const { heads } = belief;
  if (!heads) return belief;
  const moved = heads.zones.flatMap((zone) =>
    LEVELS.map((level) => {
      const [from, to] = [before(zone, level), after(zone, level)];
      return (hours: number) =>
        hoursAtRate(to.lnRates, to.hours, rateForHours(from.lnRates, from.hours, hours));
    }),
  );
  const placesH = heads.placesH.map((places) => places.map((hours, i) => moved[i]!(hours)));
  return { ...belief, heads: { ...heads, placesH } };
}

/**
 * Belief with each drawn head weighed by how likely it makes what was felt.
 *
 * @source importance sampling
 */
export function reweighed(
  heads: WeighedHeads,
  likelihood: (hoursOf: (zone: Zone, level: Level) => number) => number,
): RateBelief {
  const raw = heads.placesH.map((places, i) => {
    const hoursOf = (zone: Zone, level: Level) =>
      places[3 * heads.zones.indexOf(zone) + LEVELS.indexOf(level)]!;
    return heads.weights[i]! * likelihood(hoursOf);
  });
  return beliefOfHeads({ ...heads, weights: raw });
}

/**
 * Chance that one section of a zone is dry at a level by some hours.
 *
 * @param lnSd spread of ln hours between sections
 */
export function sectionChance(
  { weights, zones, placesH }: WeighedHeads,
  zone: Zone,
  level: Level,
  afterH: number,
  lnSd: number,
): number {
  const place = 3 * zones.indexOf(zone) + LEVELS.indexOf(level);
  const lnAfter = Math.log(Math.max(INSTANT_H, afterH));
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const dry = placesH.reduce((sum, places, i) => {
    const hours = places[place]!;
    const isDry = hours <= INSTANT_H ? 1 : normalCdf((lnAfter - Math.log(hours)) / lnSd);
    return sum + weights[i]! * isDry;
  }, 0);
  return dry / total;
}

/** Grid cells are read as having this width in ln time, so that the chance moves smoothly. */
const CELL = GRID_STEP / 2;

const LN_INSTANT = Math.log(2 * INSTANT_H);

/** ln hours to dry at each rate of a belief. */
const lnHoursOf = (belief: RateBelief, times: TimesByRate): number[] =>
  belief.lnRates.map((x) => Math.log(Math.max(INSTANT_H, hoursAtRate(times.lnRates, times.hours, x))));

function chanceBy(
  weights: readonly number[],
  lnHours: readonly number[],
  afterH: number,
  lnSd = CELL,
): number {
  const lnAfter = Math.log(Math.max(INSTANT_H, afterH));
  let chance = 0;
  for (let i = 0; i < weights.length; i++) {
    const z = (lnAfter - lnHours[i]!) / lnSd;
    const wasDryAtOnce = lnHours[i]! <= LN_INSTANT;
    chance += weights[i]! * (wasDryAtOnce || z > 5 ? 1 : z < -5 ? 0 : normalCdf(z));
  }
  return Math.min(1, chance);
}

/**
 * Chance that hair with these times is dry `afterH` hours after the set was finished.
 *
 * @param lnSd spread of ln hours of one place about the head's own; none for the whole head
 */
export const chanceDry = (belief: RateBelief, times: TimesByRate, afterH: number, lnSd = 0): number =>
  chanceBy(belief.weights, lnHoursOf(belief, times), afterH, Math.hypot(CELL, lnSd));

/** Hours after which the chance reaches each of `wanted`, by bisection. */
export function hoursForChances(belief: RateBelief, times: TimesByRate, wanted: readonly number[]): number[] {
  const lnHours = lnHoursOf(belief, times);
  const longest = 1.2 * Math.exp(Math.max(...lnHours));
  return wanted.map((chance) => {
    let low = 0;
    let high = longest;
    while (high - low > 1e-4 * longest) {
      const middle = (low + high) / 2;
      if (chanceBy(belief.weights, lnHours, middle) < chance) low = middle;
      else high = middle;
    }
    return high <= 2 * INSTANT_H ? 0 : high;
  });
}

/** The drying rate that a share of heads is slower than. */
export function slowRateOf({ lnRates, weights }: RateBelief, share: number): number {
  let slower = 0;
  const at = weights.findIndex((weight) => (slower += weight) >= share);
  return Math.exp(lnRates[Math.max(0, at)]!);
}

/** 10–90 % band of the time to dry, h. */
export function drySpread(belief: RateBelief, times: TimesByRate): Spread {
  const [p10, p50, p90] = hoursForChances(belief, times, [0.1, 0.5, 0.9]);
  return { p10: p10!, p50: p50!, p90: p90! };
}
