import { shedding } from '../coefficients/shedding';
import { DAY_MS, HOUR_MS } from '../units/time';
import type { schoolQuestions } from '../schools/schools';
import type { RunState } from './run-state';

/** What is done with a set once it is dry, in order; which of separating and fluffing comes first is a school. */
export const FINISH_STAGES = ['undoing', 'separating', 'fluffing', 'measuring', 'worn'] as const;
export type FinishStage = (typeof FINISH_STAGES)[number];
/** Whether roots are fluffed before pieces are separated, or after. */
export type FluffSchool = keyof (typeof schoolQuestions)['fluffing']['schools'];

/** How the sections of a set are finished. */
export interface FinishPlan {
  readonly sectionCount: number;
  /** Sections that have to be undone; what hangs free is only separated. */
  readonly toUndo: number;
  readonly school: FluffSchool;
}

/** Nobody is still at it so long after the first section was undone, h. */
const OVER_AFTER_H = 12;

/**
 * What is to be done now.
 *
 * @returns null before the takedown
 */
export function finishStage(
  state: RunState,
  { sectionCount, toUndo, school }: FinishPlan,
  nowMs: number,
): FinishStage | null {
  const { takenDownAtMs, undone, separated, fluffedAtMs, measured } = state;
  if (takenDownAtMs === null) return null;
  if (measured || nowMs - takenDownAtMs > OVER_AFTER_H * HOUR_MS) return 'worn';
  const isSeparated = separated.size >= sectionCount;
  // Later work says that the work before it is over, whether or not each section was tapped.
  const isUndone = undone.size >= toUndo || separated.size > 0 || fluffedAtMs !== null;
  if (!isUndone) return 'undoing';
  if (school === 'roots-first') {
    if (fluffedAtMs === null && separated.size === 0) return 'fluffing';
    return isSeparated ? 'measuring' : 'separating';
  }
  if (fluffedAtMs !== null) return 'measuring';
  return isSeparated ? 'fluffing' : 'separating';
}

/**
 * How much hair that was shed while the set was in comes out with it, if all is well.
 *
 * @param sinceMs when hands last went through the hair
 * @returns hairs, from and to
 * @example shedIn(0, 2 * 86_400_000) // => { from: 100, to: 200 }
 */
export function shedIn(sinceMs: number, untilMs: number): { readonly from: number; readonly to: number } {
  const days = Math.max(1, (untilMs - sinceMs) / DAY_MS);
  const round = (hairs: number) => Math.round(hairs / 10) * 10;
  return { from: round(days * shedding.value.fewestADay), to: round(days * shedding.value.mostADay) };
}
