import { thresholds } from '../coefficients/thresholds';
import type { DryingMethodId } from '../drying-methods';
import type { DryingMethod } from '../drying-methods/method';
import type { DryingStep } from '../drying/dry-run-input';
import { HORIZON_H, isBeyondHorizon } from '../drying/horizon';

/** Figures of the day are worked out no finer than this, h. */
const FIVE_MINUTES_H = 1 / 12;
const MOST_LENGTHENINGS = 6;

const hoursOf = (steps: readonly DryingStep[]) => steps.reduce((sum, step) => sum + step.hours, 0);

/**
 * Hours to leave for drying: those of the steps that were asked for, or as many more as it takes to be sure. Where a
 * night or a hood lies among them depends on how many they are, so they are tried.
 *
 * @param stepsIn how the steps lie in so many hours
 * @param dryAfterH hours until a head that dries slowly is dry by such steps
 */
export function hoursToLeave(
  asked: readonly DryingStep[],
  stepsIn: (windowH: number) => readonly DryingStep[],
  dryAfterH: (steps: readonly DryingStep[]) => number,
): number {
  const needed = (windowH: number) => dryAfterH(stepsIn(windowH));
  let tooShort = hoursOf(asked);
  const first = needed(tooShort);
  if (first <= tooShort || isBeyondHorizon(first)) return tooShort;
  let enough = first;
  for (let i = 0; i < MOST_LENGTHENINGS; i++) {
    const dry = needed(enough);
    if (Math.abs(dry - first) < FIVE_MINUTES_H / 5) return enough;
    if (dry <= enough) break;
    tooShort = enough;
    enough = Math.min(HORIZON_H, dry + FIVE_MINUTES_H);
  }
  while (enough - tooShort > FIVE_MINUTES_H) {
    const middle = (tooShort + enough) / 2;
    if (needed(middle) <= middle) enough = middle;
    else tooShort = middle;
  }
  return enough;
}

/** Blown air that would make a plan sure: which, and how much longer than was asked; null when no sitting does. */
export interface SureUnderAir {
  readonly method: DryingMethodId;
  readonly moreMin: number | null;
}

/**
 * How much more blown air before the takedown makes it sure, in whole five minutes: the last that was asked for goes on
 * longer, or another comes in where none was.
 *
 * @param otherwise what comes in where no blown air was asked for
 * @param dryAfterH hours until a head that dries slowly is dry, by steps that were asked for
 */
export function sureUnderAir(
  asked: readonly DryingStep[],
  windowH: number,
  otherwise: DryingMethod,
  dryAfterH: (asked: readonly DryingStep[]) => number,
): SureUnderAir {
  const at = asked.findLastIndex(({ method }) => method.isBlown);
  const steps = at < 0 ? [...asked, { method: otherwise, hours: 0 }] : asked;
  const which = at < 0 ? steps.length - 1 : at;
  const before = hoursOf(steps.filter(({ method }) => method.isBlown));
  const isSure = (more: number) =>
    dryAfterH(steps.map((step, i) => (i === which ? { ...step, hours: step.hours + more } : step))) <=
    windowH;
  const most = Math.min(thresholds.value.longestHotH, windowH) - before;
  const method = steps[which]!.method.id as DryingMethodId;
  if (most <= 0 || !isSure(most)) return { method, moreMin: null };
  let [tooShort, enough] = [0, most];
  while (enough - tooShort > FIVE_MINUTES_H / 2) {
    const middle = (tooShort + enough) / 2;
    if (isSure(middle)) enough = middle;
    else tooShort = middle;
  }
  return { method, moreMin: Math.ceil(enough * 12 - 1e-9) * 5 };
}
