import { interpolate } from '../stats/interpolate';
import { dryRun, type DryRun, type DryRunInput } from './dry-run';
import type { Level } from './nodes';
import { LEVELS } from './nodes';
import type { Zone } from '../hair/zone';

/** ln of the drying rate at which a sequence of methods is run; a single method needs only one run. */
const LN_RATES = [-0.7, -0.35, 0, 0.35, 0.7] as const;

/** Longest drying that is followed, h. Hair still damp then will not dry in this air. */
export const HORIZON_H = 240;

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
  /** Runs of a sequence at each rate; empty for a single method, where time scales with 1/rate. */
  readonly runs: readonly DryRun[];
}

/**
 * Runs the drying model over a range of drying rates.
 * Under one method all through, time is exactly proportional to 1/rate, so that one run serves them all.
 *
 * @source drying §9
 */
export function rateTable(input: Omit<DryRunInput, 'rate' | 'horizonH'>): RateTable {
  const isSingle = input.steps.length === 1;
  const runAt = (lnRate: number) => dryRun({ ...input, rate: Math.exp(lnRate), horizonH: HORIZON_H });
  const runs = isSingle ? [] : LN_RATES.map(runAt);
  const usual = isSingle ? runAt(0) : runs[LN_RATES.indexOf(0)]!;
  const capped = (hours: number) => Math.min(HORIZON_H, hours);
  const nodes = input.classes.flatMap((section, i) =>
    LEVELS.map((level, l): NodeTimes => ({
      zone: section.zone,
      level,
      count: section.count,
      hours: isSingle
        ? LN_RATES.map((x) => capped(usual.dryAfterH[i * 3 + l]! * Math.exp(-x)))
        : runs.map((run) => capped(run.dryAfterH[i * 3 + l]!)),
    })),
  );
  return { lnRates: LN_RATES, nodes, usual, runs };
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

/** Mean share of removable water left after `afterH` hours at a drying rate. */
export function dampnessAt(table: RateTable, lnRate: number, afterH: number): number {
  const at = (run: DryRun, hours: number) => {
    const last = run.timeH.length - 1;
    return hours >= run.timeH[last]! ? run.dampness[last]! : interpolate(run.timeH, run.dampness, hours);
  };
  if (table.runs.length === 0) return at(table.usual, afterH * Math.exp(lnRate));
  return interpolate(
    table.lnRates,
    table.runs.map((run) => at(run, afterH)),
    lnRate,
  );
}
