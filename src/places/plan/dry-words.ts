import type { Clock } from '@/core/formats/display';
import type { ForecastView } from '@/core/plan/forecast-view';
import { isBeyondHorizon } from '@/core/drying/horizon';
import { dryingMethods } from '@/core/drying-methods';
import type { PlanFile } from '@/core/formats/plan-file';
import { HOUR_MS } from '@/core/units/time';
import {
  formatAboutClock,
  formatAboutDay,
  formatAboutWhen,
  formatDryHours,
  formatEnds,
  formatMinutes,
} from '@/ui/format';

/** When a plan is dry to the root: by the clock where its day is laid out, else in hours after setting. */
export interface DryWords {
  readonly value: string;
  /** The day it falls on; null in hours. */
  readonly day: string | null;
  readonly range: string;
}

/** The one way that desk, comparison and sheet say it. */
export function dryWords(view: ForecastView, clock: Clock): DryWords {
  const { p10, p50, p90 } = view.plan.drying.dryAfterH;
  if (formatDryHours(p90) === 'at once')
    return { value: 'already dry', day: null, range: 'nothing that was put on it wets it' };
  if (isBeyondHorizon(p50))
    return {
      value: 'not within ten days',
      day: null,
      range: isBeyondHorizon(p10)
        ? 'not in this air; change the drying'
        : `at the earliest ${formatDryHours(p10)} after setting`,
    };
  const start = view.blocks.find((block) => block.step === 'install')?.endMs;
  if (start === undefined)
    return {
      value: formatDryHours(p50),
      day: null,
      range: `between ${formatDryHours(p10)} and ${formatDryHours(p90)} after setting`,
    };
  const at = (hours: number) => start + hours * HOUR_MS;
  return {
    value: formatAboutClock(at(p50), clock),
    day: formatAboutDay(at(p50), clock),
    range: isBeyondHorizon(p90)
      ? `from ${formatAboutWhen(at(p10), clock, at(p50))}, and it may take over ten days`
      : `between ${formatEnds(at(p10), at(p90), clock)}`,
  };
}

/** The same as one line: "Sat 13 Mar, 07:20, between 06:20 and 08:30". */
export const dryLine = ({ value, day, range }: DryWords): string =>
  [day, value, range].filter((part) => part !== null).join(', ');

/** How much more blown air would make it sure; empty where it is, or nothing is known of it. */
export function sureUnderWords(more: PlanFile['drying']['sureUnder']): string {
  if (!more) return '';
  const under = dryingMethods[more.method].phrase;
  return more.moreMin === null
    ? `No sitting ${under} makes it sure: leave more time, or take more and smaller sections.`
    : `About ${formatMinutes(more.moreMin)} more ${under} before it makes it 9 in 10 sure.`;
}
