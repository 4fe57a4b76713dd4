import { z } from 'zod';
import type { Brief } from '../brief/brief';
import type { DrynessCheck } from '../drying/dryness-checks';
import { beliefAfterChecks } from '../drying/dryness-checks';
import { chanceDry, type RateBelief } from '../drying/rate-belief';
import { planFile, type PlanFile } from '../formats/plan-file';
import type { Layout } from '../parting/layout';
import { dampAtTakedown, dryingForecast, sectionTimes } from './drying-forecast';
import { forecastBasis } from './forecast';
import { plannedResult } from './planned-result';

/** What comes of a set that was taken down at a moment, with what hands had felt by then. */
export const takenDownShape = z.object({
  takenDownAtMs: z.number(),
  chanceDry: z.number(),
  result: planFile.shape.result,
  daysPresentable: planFile.shape.daysPresentable,
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

/**
 * Curl, look and days of a set by how damp it was when it was taken down: as the forecast has it, but for the moment and
 * for what was felt.
 */
export function asTakenDown(
  brief: Brief,
  layout: Layout,
  { atMs, afterH, checks, belief: begunWith }: Takedown,
): TakenDown {
  const basis = forecastBasis(brief, layout);
  const drying = dryingForecast(basis.drying, []);
  const belief = beliefAfterChecks(
    begunWith ?? drying.belief,
    checks,
    (number) => basis.sections[number - 1]?.zone ?? 'crown',
    (zone, level) => sectionTimes(drying.table, zone, level),
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
  takenDown ? { ...given, result: takenDown.result, daysPresentable: takenDown.daysPresentable } : given;
