import { z } from 'zod';
import type { Brief } from '../brief/brief';
import type { Zone } from '../hair/zone';
import type { DrynessCheck } from '../drying/dryness-checks';
import { beliefAfterChecks } from '../drying/dryness-checks';
import { chanceDry, type RateBelief } from '../drying/rate-belief';
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
  const belief = beliefAfterChecks(begunWith ?? drying.belief, checks, zoneOf, (zone, level) =>
    sectionTimes(drying.table, zone, level),
  );
  const damp = dampAtTakedown({ table: drying.table, belief }, afterH);
  return {
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
