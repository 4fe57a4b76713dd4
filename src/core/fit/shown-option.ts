import { forecast } from '../plan/forecast';
import { layoutFor } from '../plan/layout-for';
import type { Brief } from '../brief/brief';
import type { DryingMethodId } from '../drying-methods';
import { isoWithOffset } from '../plan/iso-time';
import type { Spread } from '../stats/spread';
import { HOUR_MS } from '../units/time';
import { briefOf, stepsOf, type Candidate, type ZoneTechniques } from './candidate';
import { candidateWords, type Strength } from './options';
import type { Choice } from './search';

const SHORTEST_STEP_H = 0.25;

/** An option with the figures of the whole forecast, as it is shown. */
export interface ShownOption {
  readonly candidate: Candidate;
  readonly zones: ZoneTechniques;
  readonly words: string;
  readonly strengths: readonly Strength[];
  readonly drying: readonly { readonly method: DryingMethodId; readonly hours: number }[];
  /** When the work begins, ISO 8601; null where no time is set to be ready by. */
  readonly startAt: string | null;
  readonly chance: number;
  /** Washing and preparing, setting, undoing; the middle and the range of setting in it. */
  readonly workMin: Spread;
  readonly definition: Spread;
  readonly days: Spread;
  readonly stretch: number;
  readonly curlMm: number;
}

/**
 * Works an option out in full, with its sections cut and all.
 *
 * @param availableH hours from the start of the work to the time it must be worn
 * @param draws heads drawn for the chance
 */
export function shownOption(
  base: Brief,
  { candidate, zones, windowH }: Pick<Choice, 'candidate' | 'zones' | 'windowH'>,
  strengths: readonly Strength[],
  availableH: number,
  draws: number,
): ShownOption {
  const readyMs = base.wearByMs ?? 0;
  const startMs = readyMs - availableH * HOUR_MS;
  // As long as the plan will say once it is taken: what is shown is what comes of it.
  const steps = (stepsOf(candidate.drying, windowH) ?? []).map((step) => ({
    ...step,
    hours: Math.max(SHORTEST_STEP_H, Math.round(step.hours * 4) / 4),
  }));
  const brief: Brief = { ...briefOf(base, candidate, steps, zones), wearByMs: readyMs, startAtMs: startMs };
  const { plan } = forecast(brief, layoutFor(brief), draws);
  const { prepMin, installMin, takedownMin, separatingMin } = plan.handsOn;
  const rest = prepMin + takedownMin + separatingMin;
  return {
    candidate,
    zones,
    words: candidateWords(candidate, zones),
    strengths,
    drying: steps.map(({ method, hours }) => ({
      method: method.id as DryingMethodId,
      hours,
    })),
    startAt: base.wearByMs === null ? null : isoWithOffset(startMs, base.timeZone),
    chance: plan.drying.chanceDryAtWearBy ?? 0,
    workMin: { p10: installMin.p10 + rest, p50: installMin.p50 + rest, p90: installMin.p90 + rest },
    definition: plan.result.definition,
    days: plan.daysPresentable,
    stretch: plan.result.stretch,
    curlMm: plan.result.curlDiameterMm,
  };
}
