import { HORIZON_H } from './horizon';
import { interpolate } from '../stats/interpolate';
import { dryRun } from './dry-run';
import type { DryingStep, DryRun, DryRunInput } from './dry-run-input';
import type { Level } from './nodes';
import { LEVELS } from './nodes';
import type { Zone } from '../hair/zone';

/** ln of the drying rates at which a head is run. */
const LN_RATES = [-0.7, -0.35, 0, 0.35, 0.7] as const;
/** The same where blown air comes and goes: hair that it just leaves damp takes hours longer, and times bend there. */
const CLOSE_LN_RATES = [-0.7, -0.525, -0.35, -0.175, 0, 0.175, 0.35, 0.7] as const;
const usualRates = (steps: readonly DryingStep[]): readonly number[] =>
  steps.some(({ method }) => method.isBlown) ? CLOSE_LN_RATES : LN_RATES;

/** Stands for no time at all where a logarithm is taken, h. */
export const INSTANT_H = 1e-6;

/** How long one level of one class of sections takes, for a head that dries faster or slower. */
export interface NodeTimes {
  readonly zone: Zone;
  readonly level: Level;
  /** Sections of this class. */
  readonly count: number;
  /** Hours at each rate of the table. */
  readonly hours: readonly number[];
}

/** Drying times over the drying rate of the head: everything uncertain about drying moves along this axis. */
export interface RateTable {
  readonly lnRates: readonly number[];
  readonly nodes: readonly NodeTimes[];
  /** The run at rate 1. */
  readonly usual: DryRun;
  /** The run at each rate. */
  readonly runs: readonly DryRun[];
}

/** Fewer rates: the usual head and a slow one, which decides whether a plan is sure. Enough to compare plans. */
export const FEW_LN_RATES = [-0.5, 0] as const;
const ROUGH_STEPS = { stepScale: 4, untilDry: true } as const;
const COARSE_STEPS = { stepScale: 3, untilDry: true } as const;
const USUAL_STEPS = { stepScale: 1.3 } as const;

/**
 * Runs the drying model over a range of drying rates.
 *
 * @param lnRates rates to run it at, 0 among them
 * @param isRough very long steps at every rate
 * @source drying §9
 */
export function rateTable(
  input: Omit<DryRunInput, 'rate' | 'horizonH'>,
  lnRates: readonly number[] = usualRates(input.steps),
  isRough = false,
): RateTable {
  const runs = lnRates.map((lnRate) =>
    dryRun({
      ...input,
      rate: Math.exp(lnRate),
      horizonH: HORIZON_H,
      ...(isRough ? ROUGH_STEPS : lnRate === 0 ? USUAL_STEPS : COARSE_STEPS),
    }),
  );
  const nodes = input.classes.flatMap((section, i) =>
    LEVELS.map((level, l): NodeTimes => ({
      zone: section.zone,
      level,
      count: section.count,
      hours: runs.map((run) => Math.min(HORIZON_H, run.dryAfterH[i * 3 + l]!)),
    })),
  );
  return { lnRates, nodes, usual: runs[lnRates.indexOf(0)]!, runs };
}

/** Hours until the slowest of `nodes` is dry, at each rate of the table. */
export const slowestHours = (table: RateTable, nodes: readonly NodeTimes[]): number[] =>
  table.lnRates.map((_, i) => Math.max(0, ...nodes.map((node) => node.hours[i]!)));

/** Hours at a drying rate; beyond the table, time goes on as 1/rate. */
export function hoursAtRate(lnRates: readonly number[], hours: readonly number[], lnRate: number): number {
  const last = lnRates.length - 1;
  if (lnRate < lnRates[0]!) return Math.min(HORIZON_H, hours[0]! * Math.exp(lnRates[0]! - lnRate));
  if (lnRate > lnRates[last]!) return hours[last]! * Math.exp(lnRates[last]! - lnRate);
  const i = Math.min(
    last - 1,
    lnRates.findLastIndex((x) => x <= lnRate),
  );
  const share = (lnRate - lnRates[i]!) / (lnRates[i + 1]! - lnRates[i]!);
  const [slow, quick] = [Math.max(INSTANT_H, hours[i]!), Math.max(INSTANT_H, hours[i + 1]!)];
  return slow * (quick / slow) ** share;
}

/**
 * The ln rate at which a head would be dry after `hours`: the inverse of {@link hoursAtRate}.
 *
 * @param hours at the rates of the table, falling
 */
export function rateForHours(lnRates: readonly number[], hours: readonly number[], wantedH: number): number {
  const last = lnRates.length - 1;
  const ln = (h: number) => Math.log(Math.max(INSTANT_H, h));
  const wanted = ln(wantedH);
  if (wanted >= ln(hours[0]!)) return lnRates[0]! + ln(hours[0]!) - wanted;
  if (wanted <= ln(hours[last]!)) return lnRates[last]! + ln(hours[last]!) - wanted;
  let i = 0;
  while (i < last - 1 && ln(hours[i + 1]!) > wanted) i++;
  const [slow, quick] = [ln(hours[i]!), ln(hours[i + 1]!)];
  const share = slow === quick ? 0.5 : (slow - wanted) / (slow - quick);
  return lnRates[i]! + share * (lnRates[i + 1]! - lnRates[i]!);
}

/** Mean share of removable water left after `afterH` hours at a drying rate. */
export function dampnessAt(table: RateTable, lnRate: number, afterH: number): number {
  return interpolate(
    table.lnRates,
    table.runs.map((run) => {
      const last = run.timeH.length - 1;
      return afterH >= run.timeH[last]! ? run.dampness[last]! : interpolate(run.timeH, run.dampness, afterH);
    }),
    lnRate,
  );
}
