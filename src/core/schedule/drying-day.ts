import type { DryingStep } from '../drying/dry-run-input';
import { air } from '../drying-methods/air';
import type { DryingMethod } from '../drying-methods/method';

/** A drying step where it lies in the day. */
export interface LaidStep extends DryingStep {
  /** Place among the steps that were asked for; null where the rest of the time is filled. */
  readonly asked: number | null;
}

/** A stretch of time, h after the set was finished. */
export interface Stretch {
  readonly fromH: number;
  readonly untilH: number;
}

/** The time there is for drying, and the nights in it. */
export interface DryingWindow {
  readonly hours: number;
  readonly nights: readonly Stretch[];
  /** What is over the hair of somebody asleep. */
  readonly nightCover: DryingMethod;
}

/** Shorter than this is no step, h. */
const NOTHING_H = 1e-6;

const hoursOf = (steps: readonly DryingStep[]) => steps.reduce((sum, step) => sum + step.hours, 0);

/** Steps cut to the hours there are: what goes on by itself gives way first, the last first. */
function shortened(steps: readonly LaidStep[], hours: number): LaidStep[] {
  let over = hoursOf(steps) - hours;
  const kept = steps.map((step) => step.hours);
  for (const givesWay of [true, false]) {
    for (let i = steps.length - 1; i >= 0 && over > 0; i--) {
      if (steps[i]!.method.canSleepIn !== givesWay) continue;
      const less = Math.min(over, kept[i]!);
      kept[i]! -= less;
      over -= less;
    }
  }
  return steps.map((step, i) => ({ ...step, hours: kept[i]! }));
}

/** Time that costs nobody anything: open air by day, the night's cover by night. */
function filling({ fromH, untilH }: Stretch, { nights, nightCover }: DryingWindow): LaidStep[] {
  const steps: LaidStep[] = [];
  let at = fromH;
  const until = (untilHour: number, method: DryingMethod) => {
    const end = Math.min(untilH, untilHour);
    if (end <= at) return;
    steps.push({ method, hours: end - at, asked: null });
    at = end;
  };
  for (const night of nights) {
    until(night.fromH, air);
    until(night.untilH, nightCover);
  }
  until(untilH, air);
  return steps;
}

/** When steps of some hours begin that are kept for the end: as late as somebody is awake all through. */
function latestAwake(hours: number, { fromH, untilH }: Stretch, nights: readonly Stretch[]): number {
  let end = untilH;
  while (end - hours >= fromH - NOTHING_H) {
    const begin = end - hours;
    const asleep = nights.findLast(
      (night) => night.fromH < end - NOTHING_H && night.untilH > begin + NOTHING_H,
    );
    if (!asleep) return begin;
    end = asleep.fromH;
  }
  return untilH - hours;
}

/** Stretches of the same are one; where filling made a step longer it is no longer the step that was asked for. */
function joined(steps: readonly LaidStep[]): LaidStep[] {
  const out: LaidStep[] = [];
  for (const step of steps) {
    if (step.hours <= NOTHING_H) continue;
    const before = out.at(-1);
    const isOne = before?.method.id === step.method.id && (before.asked === null || step.asked === null);
    if (isOne) out[out.length - 1] = { ...before, hours: before.hours + step.hours, asked: null };
    else out.push(step);
  }
  return out;
}

/**
 * The steps that were asked for, laid into the time there is. Each keeps its hours while there is time; what remains is
 * filled by what costs nobody anything. Blown air that ends the list is kept for last, before the takedown, where
 * somebody is awake; where nobody is, it stays last.
 *
 * @source common practice: a night, then half an hour under the hood before taking down (trade §5)
 */
export function laySteps(asked: readonly DryingStep[], window: DryingWindow): LaidStep[] {
  const steps = asked.map((step, i): LaidStep => ({ ...step, asked: i }));
  const { hours, nights } = window;
  if (hours <= 0) return [];
  if (hoursOf(steps) >= hours) return joined(shortened(steps, hours));
  const lead = steps.slice(0, steps.findLastIndex(({ method }) => method.canSleepIn) + 1);
  const last = steps.slice(lead.length);
  const free = { fromH: hoursOf(lead), untilH: hours };
  const lastH = hoursOf(last);
  const lastAtH = last.length > 0 ? latestAwake(lastH, free, nights) : hours;
  return joined([
    ...lead,
    ...filling({ fromH: free.fromH, untilH: lastAtH }, window),
    ...last,
    ...filling({ fromH: lastAtH + lastH, untilH: hours }, window),
  ]);
}

/** The same where no time is set: as they were asked for. */
export const asAsked = (asked: readonly DryingStep[]): LaidStep[] =>
  asked.map((step, i) => ({ ...step, asked: i }));

/** What a run follows: the steps, and open air, without hours of its own, for hair that is still damp after them. */
export const thenInAir = (steps: readonly DryingStep[]): DryingStep[] => [
  ...steps,
  { method: air, hours: 0 },
];
