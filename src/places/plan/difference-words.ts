import type { Units } from '@/core/formats/display';
import type { PlanFile } from '@/core/formats/plan-file';
import { plural } from '@/core/words/words';
import { formatDiameter, formatHours, formatIndex, formatMinutes, formatPercent } from '@/ui/format';
import { workOf } from './hands-on';

/** What two ways of doing a head are compared by. */
export interface Compared {
  readonly chance: number | null;
  /** Hours from the end of setting until it is dry; null where that is not compared. */
  readonly dryH: number | null;
  readonly workMin: number;
  readonly definition: number;
  readonly days: number;
  readonly stretch: number;
  readonly curlMm: number;
}

/** Differences smaller than these are not spoken of. */
const SMALLEST = {
  dryH: 0.5,
  chance: 0.04,
  workMin: 10,
  definition: 0.5,
  days: 0.5,
  stretch: 0.03,
  curl: 0.1,
} as const;

/** What a plan is compared by. */
export const comparedPlan = ({ drying, handsOn, result, daysPresentable }: PlanFile): Compared => ({
  chance: drying.chanceDryAtWearBy,
  dryH: drying.dryAfterH.p50,
  workMin: workOf({ handsOn }).minutes,
  definition: result.definition.p50,
  days: daysPresentable.p50,
  stretch: result.stretch,
  curlMm: result.curlDiameterMm,
});

/** How one way differs from another, in words: "25 min more work", "lasts 2 days longer". Empty when they are alike. */
export function differenceWords(from: Compared, to: Compared, units: Units): string[] {
  const words: string[] = [];
  const dry = (to.dryH ?? 0) - (from.dryH ?? 0);
  if (from.dryH !== null && to.dryH !== null && Math.abs(dry) >= SMALLEST.dryH) {
    words.push(`dry ${formatHours(Math.abs(dry))} ${dry < 0 ? 'sooner' : 'later'}`);
  }
  const work = to.workMin - from.workMin;
  if (Math.abs(work) >= SMALLEST.workMin) {
    const minutes = Math.round(Math.abs(work) / 5) * 5;
    words.push(`${formatMinutes(minutes)} ${work > 0 ? 'more' : 'less'} work`);
  }
  const days = Math.round(to.days - from.days);
  if (Math.abs(to.days - from.days) >= SMALLEST.days && days !== 0) {
    words.push(`lasts ${plural(Math.abs(days), 'day')} ${days > 0 ? 'longer' : 'less'}`);
  }
  const definition = to.definition - from.definition;
  if (Math.abs(definition) >= SMALLEST.definition) {
    words.push(`defined ${formatIndex(Math.abs(definition))} of 10 ${definition > 0 ? 'better' : 'less'}`);
  }
  const curl = to.curlMm - from.curlMm;
  if (Math.abs(curl) >= SMALLEST.curl * from.curlMm && Math.abs(curl) >= 1) {
    words.push(`curls ${formatDiameter(Math.abs(curl), units)} ${curl > 0 ? 'larger' : 'smaller'}`);
  }
  if (Math.abs(to.stretch - from.stretch) >= SMALLEST.stretch) {
    words.push(`shows ${formatPercent(to.stretch)} of its length instead of ${formatPercent(from.stretch)}`);
  }
  if (from.chance !== null && to.chance !== null && Math.abs(to.chance - from.chance) >= SMALLEST.chance) {
    words.push(to.chance > from.chance ? 'surer to be dry' : 'less sure to be dry');
  }
  return words;
}
