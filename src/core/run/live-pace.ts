import { pace as table } from '../coefficients/pace';
import { Z_90 } from '../stats/normal';
import type { Spread } from '../stats/spread';
import { restedMs, type RunState } from './run-state';

/** How the set is going against its plan. */
export interface LivePace {
  /** Actual over planned time, drawn towards the plan while few sections are done. */
  readonly pace: number;
  /** Mean minutes a section so far; null before the first. */
  readonly minPerSection: number | null;
  readonly plannedMinPerSection: number;
  /** When the last section will be done, epoch ms. */
  readonly finishAtMs: Spread;
}

/**
 * Live pace and finishing time.
 *
 * @param plannedMin planned minutes of each section, by number, in working order
 * @param startedAtMs when hands-on work began
 * @source log ratio shrunk by n/(n + 2) (set-geometry §10)
 */
export function livePace(
  state: RunState,
  plannedMin: ReadonlyMap<number, number>,
  startedAtMs: number,
  nowMs: number,
): LivePace {
  const c = table.value;
  const done = state.doneOrder;
  const lastMs = Math.max(startedAtMs, ...state.doneAtMs.values());
  // A pause belongs to the section it falls in: one after the last done section takes nothing off those before.
  const workedMs = (fromMs: number, untilMs: number) =>
    untilMs - fromMs - restedMs(state.pauses, fromMs, untilMs);
  const workedMin = Math.max(0.01, workedMs(startedAtMs, lastMs) / 60_000);
  const all = [...plannedMin];
  const meanMin = all.reduce((sum, [, min]) => sum + min, 0) / all.length;
  // What was parted a moment ago has no minutes of its own yet.
  const plannedDone = done.reduce((sum, number) => sum + (plannedMin.get(number) ?? meanMin), 0);
  const ratio = done.length === 0 ? 1 : workedMin / plannedDone;
  const pace = Math.exp((Math.log(ratio) * done.length) / (done.length + c.priorSections));
  const open = all.flatMap(([number, min]) => (state.doneAtMs.has(number) ? [] : [min]));
  const leftMin = pace * open.reduce((sum, min) => sum + min, 0);
  // Work already put into the open section counts, but never more than that section.
  const begunMin = Math.min(pace * (open[0] ?? 0), Math.max(0, workedMs(lastMs, nowMs) / 60_000));
  const sd =
    open.length === 0
      ? 0
      : leftMin * Math.hypot(c.sectionSd / Math.sqrt(open.length), c.paceSd / Math.sqrt(done.length + 1));
  const at = (min: number) => Math.max(nowMs, nowMs + (min - begunMin) * 60_000);
  return {
    pace,
    minPerSection: done.length === 0 ? null : workedMin / done.length,
    plannedMinPerSection: meanMin,
    finishAtMs: { p10: at(leftMin - Z_90 * sd), p50: at(leftMin), p90: at(leftMin + Z_90 * sd) },
  };
}
