import type { Clock } from '@/core/formats/display';
import type { ForecastView } from '@/core/plan/forecast-view';
import { HOUR_MS } from '@/core/units/time';
import { formatAboutClock, formatAboutDay, formatEnds, formatHours } from '@/ui/format';

/** When a plan is dry to the root: by the clock where its day is laid out, else in hours after setting. */
export interface DryWords {
  readonly value: string;
  /** The day it falls on; null in hours. */
  readonly day: string | null;
  readonly range: string;
}

/** The one way that desk, comparison and sheet say it. */
export function dryWords(view: ForecastView, clock: Clock): DryWords {
  const { dryAfterH } = view.plan.drying;
  const start = view.blocks.find((block) => block.step === 'install')?.endMs;
  if (start === undefined)
    return {
      value: formatHours(dryAfterH.p50),
      day: null,
      range: `between ${formatHours(dryAfterH.p10)} and ${formatHours(dryAfterH.p90)} after setting`,
    };
  const at = (hours: number) => start + hours * HOUR_MS;
  return {
    value: formatAboutClock(at(dryAfterH.p50), clock),
    day: formatAboutDay(at(dryAfterH.p50), clock),
    range: `between ${formatEnds(at(dryAfterH.p10), at(dryAfterH.p90), clock)}`,
  };
}

/** The same as one line: "Sat 13 Mar, 07:20, between 06:20 and 08:30". */
export const dryLine = ({ value, day, range }: DryWords): string =>
  [day, value, range].filter((part) => part !== null).join(', ');
