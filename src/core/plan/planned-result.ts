import type { Brief } from '../brief/brief';
import type { PlanFile } from '../formats/plan-file';
import type { DampLeft } from './drying-forecast';
import { daysSpread, halvesOf, lookSpread, seenRanges, TRADE_HALVES } from './result-ranges';
import type { Dose } from '../products/dose';
import type { SectionPlan } from './section-forecasts';
import { resultOf, type SetResult } from './set-result';
import type { UnknownSpread } from './unknown-spread';
import { ofSide, zoneGroups, type ZoneGroup } from './zone-groups';
import type { Side } from '../hair/half';

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
  readonly seen: Pick<PlanFile, 'result' | 'daysPresentable' | 'halves'>;
  /** The same on most heads; null where nothing is learnt of this one. */
  readonly onMost: SetResult | null;
}

/** What comes of some groups of zones. */
function resultOfGroups(
  { brief, doses, unknown }: PlannedSet,
  groups: readonly ZoneGroup[],
  damp: DampLeft,
): { outcome: SetResult; seen: Pick<PlanFile, 'result' | 'daysPresentable'> } {
  const result = resultOf(brief, groups, doses, damp.mean);
  const results = {
    likeliest: result,
    slow: resultOf(brief, groups, doses, damp.slow, 0),
    quick: resultOf(brief, groups, doses, damp.quick, 0),
  };
  const firstDay = result.byDay[0]!;
  const halves = halvesOf(brief);
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
        definition: {
          ...lookSpread(results, 'definition', unknown, halves.definition),
          why: [...result.definition.why],
        },
        frizz: {
          ...lookSpread(results, 'frizz', unknown, TRADE_HALVES.definition),
          why: [...result.frizz.why],
        },
        volume: result.volume.value,
        volumeWhy: [...result.volume.why],
        ranges: seenRanges(results, unknown, halves),
        byDay: [...result.byDay],
      },
      daysPresentable: {
        ...daysSpread(results, unknown),
        why: [...result.days.why],
      },
    },
  };
}

/** Curl, look and days of a plan whose hair is so damp when it is taken down; half by half too where layers differ so. */
export function plannedResult(planned: PlannedSet, damp: DampLeft): PlannedResult {
  const groups = zoneGroups(planned.brief, planned.sections);
  const { outcome, seen } = resultOfGroups(planned, groups, damp);
  const half = (side: Side) => resultOfGroups(planned, ofSide(groups, side), damp).seen;
  const isApart = groups.some(({ side }) => side !== null);
  return {
    outcome,
    onMost: planned.brief.learnt
      ? resultOf({ ...planned.brief, learnt: null }, groups, planned.doses, damp.mean, 0)
      : null,
    seen: isApart ? { ...seen, halves: { left: half('left'), right: half('right') } } : seen,
  };
}
