import type { Brief } from '../brief/brief';
import type { PlanFile } from '../formats/plan-file';
import type { DampLeft } from './drying-forecast';
import { daysSpread, lookSpread, seenRanges } from './result-ranges';
import type { Dose } from '../products/dose';
import type { SectionPlan } from './section-forecasts';
import { resultOf, type SetResult } from './set-result';
import type { UnknownSpread } from './unknown-spread';
import { zoneGroups } from './zone-groups';

/** A set as it is planned. */
export interface PlannedSet {
  readonly brief: Brief;
  readonly sections: readonly SectionPlan[];
  readonly doses: readonly Dose[];
  /** What not knowing parts of the head does to its ranges. */
  readonly unknown: UnknownSpread;
}

/** What comes of a set, and the same as a plan carries it. */
export interface PlannedResult {
  readonly outcome: SetResult;
  readonly seen: Pick<PlanFile, 'result' | 'daysPresentable'>;
}

/** Curl, look and days of a plan whose hair is so damp when it is taken down. */
export function plannedResult(
  { brief, sections, doses, unknown }: PlannedSet,
  damp: DampLeft,
): PlannedResult {
  const groups = zoneGroups(brief, sections);
  const result = resultOf(brief, groups, doses, damp.mean);
  const results = {
    likeliest: result,
    slow: resultOf(brief, groups, doses, damp.slow, 0),
    quick: resultOf(brief, groups, doses, damp.quick, 0),
  };
  const firstDay = result.byDay[0]!;
  return {
    outcome: result,
    seen: {
      result: {
        curlDiameterMm: firstDay.curlDiameterMm,
        rootCurlDiameterMm: result.rootDiameterMm,
        tipCurlDiameterMm: result.tipDiameterMm,
        visibleLengthCm: firstDay.visibleLengthCm,
        stretch: firstDay.stretch,
        curlWhy: [...result.curlWhy],
        definition: { ...lookSpread(results, 'definition', unknown), why: [...result.definition.why] },
        frizz: { ...lookSpread(results, 'frizz', unknown), why: [...result.frizz.why] },
        volume: result.volume.value,
        volumeWhy: [...result.volume.why],
        ranges: seenRanges(results, unknown),
        byDay: [...result.byDay],
      },
      daysPresentable: {
        ...daysSpread(results, unknown),
        why: [...result.days.why],
      },
    },
  };
}
