import { dryness } from '../coefficients/drying';
import { nightCares } from '../coefficients/night-care';
import type { Brief } from '../brief/brief';
import { dryingMethods } from '../drying-methods';
import { hoodCool } from '../drying-methods/hood-cool';
import { hoodWarm } from '../drying-methods/hood-warm';
import type { DryingMethod } from '../drying-methods/method';
import { slowRateOf } from '../drying/rate-belief';
import { layOutDay, type KeptNights, type PrepPart, type Schedule } from '../schedule/backward';
import { asAsked, laySteps, thenInAir, type LaidStep } from '../schedule/drying-day';
import {
  beliefBefore,
  hoursToDry,
  type DryingBasis,
  type DryingForecast,
  type ReadyToDry,
} from './drying-forecast';
import { prepParts } from './prep-parts';
import type { SectionPlan } from './section-forecasts';
import { hoursToLeave, sureUnderAir, type SureUnderAir } from './time-to-leave';

/** The work of a plan and the day it is laid out in. */
export interface PlannedDay {
  readonly prep: readonly PrepPart[];
  readonly takedownMin: number;
  readonly separatingMin: number;
  /** Null without a time to be ready. */
  readonly schedule: Schedule | null;
  /** What it dries by: as it lies in the day, else as it was asked for. */
  readonly steps: readonly LaidStep[];
}

/** What is over hair still damp at night: a bonnet, a scarf, or nothing. */
export const nightCoverOf = ({ wear }: Brief): DryingMethod =>
  dryingMethods[nightCares[wear.night].cover ?? 'air'];

/** The nights that a plan keeps free of work; null where it keeps none. */
export const keptNights = ({ sleep, timeZone }: Brief): KeptNights | null =>
  sleep && { hours: sleep, timeZone };

/** A day laid out before heads are drawn leaves a little to spare, so that they seldom find it too short. */
const SPARE_CHANCE = 0.02;

/** Lays out the day of a plan; where only its end is given, with time enough to be sure. */
export function plannedDay(
  brief: Brief,
  sections: readonly SectionPlan[],
  { waiting, uncertain }: ReadyToDry,
): PlannedDay {
  const prep = prepParts(brief, sections);
  const takedownMin = sections.reduce((sum, section) => sum + section.takedownMin, 0);
  const separatingMin = sections.reduce((sum, section) => sum + section.separatingMin, 0);
  if (brief.wearByMs === null)
    return { prep, takedownMin, separatingMin, schedule: null, steps: asAsked(brief.drying) };
  const slowRate = slowRateOf(beliefBefore({ uncertain }), 1 - dryness.value.sure - SPARE_CHANCE);
  const schedule = layOutDay(
    {
      prep,
      installMin: waiting.installMin,
      drying: brief.drying,
      nightCover: nightCoverOf(brief),
      neededH: (stepsIn) =>
        hoursToLeave(brief.drying, stepsIn, (steps) =>
          hoursToDry({ ...uncertain, steps: thenInAir(steps) }, slowRate),
        ),
      takedownMin,
      separatingMin,
    },
    brief.wearByMs,
    brief.startAtMs,
    keptNights(brief),
  );
  return { prep, takedownMin, separatingMin, schedule, steps: schedule.drying };
}

/**
 * How much more blown air would make a plan sure; null where it is sure, or has no time to dry in.
 *
 * @param chance that it is dry at takedown
 */
export function sureUnder(
  { drying: asked, head }: Brief,
  schedule: Schedule | null,
  { uncertain }: DryingBasis,
  { belief }: Pick<DryingForecast, 'belief'>,
  chance: number | null,
): SureUnderAir | null {
  if (schedule === null || chance === null || chance >= dryness.value.sure) return null;
  const { window } = schedule;
  if (window.hours <= 0) return null;
  const slowRate = slowRateOf(belief, 1 - dryness.value.sure);
  const hood = head.conditions.includes('child') ? hoodCool : hoodWarm;
  return sureUnderAir(asked, window.hours, hood, (longer) =>
    hoursToDry({ ...uncertain, steps: thenInAir(laySteps(longer, window)) }, slowRate),
  );
}

/** Hours from when hair still damp was covered first to when it is covered no more. */
export function dampCoveredH(steps: readonly LaidStep[], dryAfterH: number): number {
  let [at, firstH, lastH] = [0, Infinity, 0];
  for (const { method, hours } of steps) {
    if (method.cover && at < dryAfterH) {
      firstH = Math.min(firstH, at);
      lastH = Math.min(dryAfterH, at + hours);
    }
    at += hours;
  }
  return Math.max(0, lastH - firstH);
}

/** Hours of blown air among steps. */
export const blownH = (steps: readonly LaidStep[]): number =>
  steps.reduce((sum, { method, hours }) => (method.isBlown ? sum + hours : sum), 0);
