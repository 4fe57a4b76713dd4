import type { TopicId } from '@/core/explain/topics';
import { stretchedOf } from '@/core/diary/day-problem';
import { wholeDays } from '@/core/diary/whole-days';
import { standingForecast } from '@/core/plan/as-taken-down';
import { workedMinutes } from '@/core/run/worked-minutes';
import { HOUR_MS } from '@/core/units/time';
import { hasEnded } from '@/core/wear/end-reasons';
import { formatDays, formatDryHours, formatIndex, formatMinutes, formatPercent } from '@/ui/format';
import { outcomeRows, type OutcomeRow } from './outcome-rows';
import type { loadSet } from './queries';

type Loaded = NonNullable<Awaited<ReturnType<typeof loadSet>>>;

/** What each line of a set is called and how its figures are said. */
export const ROWS: Readonly<
  Record<OutcomeRow['id'], { label: string; topic: TopicId; show: (value: number) => string }>
> = {
  install: { label: 'Setting it', topic: 'handsOn', show: formatMinutes },
  dry: { label: 'Dry to the root', topic: 'dry', show: formatDryHours },
  definition: {
    label: 'Definition, first day',
    topic: 'definition',
    show: (value) => `${formatIndex(value)} of 10`,
  },
  stretch: { label: 'Stretch at the crown', topic: 'shows', show: formatPercent },
  days: { label: 'Days presentable', topic: 'days', show: formatDays },
};

/** What happened, as far as it is known. */
export function happenedWords(row: OutcomeRow): string {
  const { show } = ROWS[row.id];
  const { happened } = row;
  if (happened === null) return 'not recorded';
  switch (happened.kind) {
    case 'value':
      return show(happened.value);
    case 'between':
      return `${show(happened.low)} to ${show(happened.high)}`;
    case 'at-least':
      return `more than ${show(happened.value)}`;
    case 'at-most':
      return `${show(happened.value)} or less`;
  }
}

/** A set's forecast against what happened, line by line. */
export function rowsOf({ set }: Pick<Loaded, 'set'>): OutcomeRow[] {
  const { installedAtMs, checks } = set.run;
  const crownDay = set.wearDays.find((day) => day.visibleCm.crown !== undefined);
  const crownCm = stretchedOf(set.brief.head.stretchedLengthCm).crown;
  const first = wholeDays(set.wearDays).find(({ ratings }) => ratings.definition !== undefined);
  const planned = new Map(set.sections.map(({ number, plannedMin }) => [number, plannedMin]));
  return outcomeRows(standingForecast(set.forecast, set.asTakenDown), {
    workedMin: set.isEnteredLater ? null : workedMinutes(set.run, planned),
    checks:
      installedAtMs === null
        ? []
        : checks.map((check) => ({ ...check, afterH: (check.atMs - installedAtMs) / HOUR_MS })),
    firstDefinition:
      first?.ratings.definition !== undefined && first.day <= 1
        ? { value: first.ratings.definition, day: first.day }
        : null,
    stretch: crownDay?.visibleCm.crown ? crownDay.visibleCm.crown / crownCm : null,
    lastGoodDay: set.outcome?.lastGoodDay ?? set.wearDays.at(-1)?.day ?? null,
    endedByItself: set.outcome !== null && hasEnded(set.outcome.reason, set.outcome.wouldHaveGoneOn),
  });
}
