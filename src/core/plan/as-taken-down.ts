import { z } from 'zod';
import type { Brief } from '../brief/brief';
import type { Zone } from '../hair/zone';
import type { DrynessCheck } from '../drying/dryness-checks';
import { beliefAfterChecks } from '../drying/dryness-checks';
import type { Level } from '../drying/nodes';
import { chanceDry, priorBelief, type RateBelief, type TimesByRate } from '../drying/rate-belief';
import { planFile, type PlanFile } from '../formats/plan-file';
import type { Layout } from '../parting/layout';
import { HOUR_MS, MINUTE_MS } from '../units/time';
import { dampAtTakedown, dryingForecast, sectionTimes } from './drying-forecast';
import { forecastBasis } from './forecast';
import { plannedResult } from './planned-result';

/** What comes of a set that was taken down at a moment, with what hands had felt by then. */
export const takenDownShape = z.object({
  takenDownAtMs: z.number(),
  chanceDry: z.number(),
  result: planFile.shape.result,
  daysPresentable: planFile.shape.daysPresentable,
  halves: planFile.shape.halves,
  /** What hands showed of the drying; missing in takedowns of before that was kept. */
  seen: z
    .object({
      /** How far ln of its drying rate lay from what the trade expects, where hands told. */
      rate: z.object({ value: z.number(), ownVariance: z.number() }).nullable(),
      /** Chance to be dry at the takedown as it was told before anybody felt. */
      saidChance: z.number(),
      /** What was felt last, shortly before the takedown. */
      felt: z.enum(['dry', 'damp']).nullable(),
    })
    .optional(),
});
export type TakenDown = z.output<typeof takenDownShape>;

/** When a set was taken down, and what is known of its drying. */
export interface Takedown {
  readonly atMs: number;
  /** Hours after the set was finished. */
  readonly afterH: number;
  readonly checks: readonly DrynessCheck[];
  /** The belief it was begun with. */
  readonly belief: RateBelief | null;
}

/** The brief with the day as it came: drying steps lie between the end of the set and the takedown. */
function inRealDay(brief: Brief, layout: Layout, atMs: number, afterH: number): Brief {
  const { day, drying } = forecastBasis({ ...brief, wearByMs: null, startAtMs: null }, layout);
  const prepMin = day.prep.reduce((sum, { minutes }) => sum + minutes, 0);
  const workMs = (prepMin + drying.waiting.installMin) * MINUTE_MS;
  return {
    ...brief,
    startAtMs: atMs - afterH * HOUR_MS - workMs,
    wearByMs: atMs + (day.takedownMin + day.separatingMin) * MINUTE_MS,
  };
}

/** A check this long before a takedown still tells how it was then, h. */
const STILL_TELLS_H = 0.75;
/** Less precision than this, and hands told next to nothing of the rate: one over a variance of ln rate. */
const LEAST_TOLD = 1;

/** What was felt shortly before a takedown: damp where any place was. */
function feltLast(checks: readonly DrynessCheck[], afterH: number): 'dry' | 'damp' | null {
  const feels = checks
    .filter((check) => check.afterH >= afterH - STILL_TELLS_H && check.afterH <= afterH)
    .map(({ feel }) => feel);
  return feels.includes('damp') ? 'damp' : feels.includes('dry') ? 'dry' : null;
}

/** What is believed of a rate before anything was felt. */
const BEFORE = priorBelief();
/** Steps of its grid to either side, over which a likelihood is taken to be a parabola. */
const REACH = 2;

/**
 * What hands alone say of the drying rate of a head, over what the trade expects. Heads drawn for the plan are left out
 * of it: their times differ by more than their rate.
 *
 * @source Laplace's approximation of the likelihood about the likeliest rate
 */
function rateSeen(
  checks: readonly DrynessCheck[],
  zoneOf: (sectionNumber: number) => Zone,
  timesOf: (zone: Zone, level: Level) => TimesByRate,
): { readonly value: number; readonly ownVariance: number } | null {
  const { lnRates, weights } = beliefAfterChecks(BEFORE, checks, zoneOf, timesOf);
  const at = weights.indexOf(Math.max(...weights));
  const ln = [at - REACH, at, at + REACH].map((i) => Math.log(weights[i]! / BEFORE.weights[i]!));
  const [below, here, above] = ln as [number, number, number];
  const step = REACH * (lnRates[1]! - lnRates[0]!);
  const slope = (above - below) / (2 * step);
  const precision = (2 * here - above - below) / (step * step);
  // Nothing was felt that tells, or the likeliest rate lies at the end of all that was thought of.
  if (!(precision > LEAST_TOLD)) return null;
  return { value: lnRates[at]! + slope / precision, ownVariance: 1 / precision };
}

/**
 * Curl, look and days of a set by how damp it was when it was taken down: as the forecast has it, but for the moment and
 * for what was felt.
 *
 * @param zoneOf zone of a section by its number at the chair
 */
export function asTakenDown(
  brief: Brief,
  layout: Layout,
  { atMs, afterH, checks, belief: begunWith }: Takedown,
  zoneOf: (sectionNumber: number) => Zone,
): TakenDown {
  const basis = forecastBasis(inRealDay(brief, layout, atMs, afterH), layout);
  const drying = dryingForecast(basis.drying, []);
  const timesOf = (zone: Zone, level: Level) => sectionTimes(drying.table, zone, level);
  const belief = beliefAfterChecks(begunWith ?? drying.belief, checks, zoneOf, timesOf);
  const damp = dampAtTakedown({ table: drying.table, belief }, afterH);
  const before = begunWith ?? drying.belief;
  return {
    seen: {
      rate: rateSeen(checks, zoneOf, timesOf),
      saidChance: chanceDry(before, drying.all, afterH),
      felt: feltLast(checks, afterH),
    },
    takenDownAtMs: atMs,
    chanceDry: chanceDry(belief, drying.all, afterH),
    ...plannedResult(basis, damp).seen,
  };
}

/** A forecast as it stands: as it was given, but for what the takedown has settled since. */
export const standingForecast = (given: PlanFile, takenDown: TakenDown | null): PlanFile =>
  takenDown
    ? {
        ...given,
        result: takenDown.result,
        daysPresentable: takenDown.daysPresentable,
        halves: takenDown.halves,
      }
    : given;
