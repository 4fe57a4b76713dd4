import type { PlanFile } from '@/core/formats/plan-file';
import { rangesOf } from '@/core/plan/result-ranges';
import { agreedChecks, type DrynessCheck } from '@/core/drying/dryness-checks';

/** One line of forecast against what happened, as plain figures. */
export interface OutcomeRow {
  readonly id: 'install' | 'dry' | 'definition' | 'stretch' | 'days';
  readonly low: number;
  readonly middle: number;
  readonly high: number;
  /** What happened, as far as it is known: a figure, or only a bound. */
  readonly happened:
    | { readonly kind: 'value'; readonly value: number }
    | { readonly kind: 'between'; readonly low: number; readonly high: number }
    | { readonly kind: 'at-least'; readonly value: number }
    | { readonly kind: 'at-most'; readonly value: number }
    | null;
}

export interface WhatHappened {
  readonly workedMin: number | null;
  readonly checks: readonly DrynessCheck[];
  /** Definition on the first day entered, and that day. */
  readonly firstDefinition: { readonly value: number; readonly day: number } | null;
  /** Visible over stretched length at the crown. */
  readonly stretch: number | null;
  readonly lastGoodDay: number | null;
  readonly endedByItself: boolean;
}

/** Whether what happened lies in the band; null while that cannot be said. */
export function heldUp({ low, high, happened }: OutcomeRow): boolean | null {
  if (happened === null) return null;
  if (happened.kind === 'value') return happened.value >= low && happened.value <= high;
  if (happened.kind === 'between') return happened.high >= low && happened.low <= high;
  if (happened.kind === 'at-least') return happened.value > high ? false : null;
  return happened.value < low ? false : null;
}

/** Lays a forecast beside what happened. */
export function outcomeRows(plan: PlanFile, seen: WhatHappened): OutcomeRow[] {
  const { stretch } = rangesOf(plan.result);
  const { lastDampH, firstDryH } = agreedChecks(seen.checks);
  const dry: OutcomeRow['happened'] =
    lastDampH !== null && firstDryH !== null
      ? { kind: 'between', low: lastDampH, high: firstDryH }
      : firstDryH !== null
        ? { kind: 'at-most', value: firstDryH }
        : lastDampH !== null
          ? { kind: 'at-least', value: lastDampH }
          : null;
  const band = (spread: { p10: number; p50: number; p90: number }) => ({
    low: spread.p10,
    middle: spread.p50,
    high: spread.p90,
  });
  const value = (figure: number | null): OutcomeRow['happened'] =>
    figure === null ? null : { kind: 'value', value: figure };
  return [
    { id: 'install', ...band(plan.handsOn.installMin), happened: value(seen.workedMin) },
    { id: 'dry', ...band(plan.drying.dryAfterH), happened: dry },
    {
      id: 'definition',
      ...band(plan.result.definition),
      happened: value(seen.firstDefinition?.value ?? null),
    },
    {
      id: 'stretch',
      low: stretch.p10,
      middle: plan.result.stretch,
      high: stretch.p90,
      happened: value(seen.stretch),
    },
    {
      id: 'days',
      ...band(plan.daysPresentable),
      happened:
        seen.lastGoodDay === null
          ? null
          : seen.endedByItself
            ? { kind: 'value', value: seen.lastGoodDay }
            : { kind: 'at-least', value: seen.lastGoodDay },
    },
  ];
}
