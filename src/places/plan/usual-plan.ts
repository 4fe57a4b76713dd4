import { Temporal } from 'temporal-polyfill';
import { withSchools, type ChosenSchools } from '@/core/schools/schools';
import type { HandId } from '@/core/coefficients/hands';
import type { HeadInput } from '@/core/formats/brief';
import { twoStrandTwist } from '@/core/techniques/two-strand-twist';
import type { DraftBrief } from '@/core/draft/draft-brief';
import { localMs } from '@/core/schedule/local-time';
import { minuteOfDay } from '@/core/schedule/sleep';
import { usualStartMs } from '@/core/suggest/ask';
import { DAY_MS } from '@/core/units/time';

const READY_HOUR = 9;

/** Preparing as it usually goes, and the night that is kept free (common practice). */
export const USUAL_PREP = [{ step: 'cleanse' }, { step: 'instant-condition' }, { step: 'blot' }] as const;
export const USUAL_SLEEP = { from: '23:00', until: '07:00' } as const;

/** Tomorrow morning in a time zone, as a local time: when most sets are wanted. */
export function tomorrowMorning(nowMs: number, timeZone: string): string {
  const today = Temporal.Instant.fromEpochMilliseconds(nowMs).toZonedDateTimeISO(timeZone).toPlainDate();
  return today.add({ days: 1 }).toPlainDateTime({ hour: READY_HOUR }).toString({ smallestUnit: 'minute' });
}

/** A morning that a set can still be made for, begun at the usual hour. */
export function nextMorning(nowMs: number, timeZone: string): string {
  const morning = tomorrowMorning(nowMs, timeZone);
  return usualBegin(morning, timeZone) >= nowMs ? morning : tomorrowMorning(nowMs + DAY_MS, timeZone);
}

/** When work on a set usually begins, for the time that it is to be ready. */
export const usualBegin = (ready: string, timeZone: string): number =>
  usualStartMs(
    localMs(ready, timeZone) ?? 0,
    { fromMin: minuteOfDay(USUAL_SLEEP.from), untilMin: minuteOfDay(USUAL_SLEEP.until) },
    timeZone,
  );

/** The plan a head starts from: twists, damp, leave-in and foam, air, ready tomorrow morning, done as was chosen on it before. */
export function usualPlan(
  headName: string,
  head: HeadInput,
  schools: ChosenSchools,
  { timeZone, hand }: { readonly timeZone: string; readonly hand: HandId },
  nowMs: number,
): { title: string; brief: DraftBrief; layerProductIds: (string | null)[] } {
  const brief: DraftBrief = {
    format: 'keen-spiral/brief',
    version: 1,
    head,
    set: {
      technique: twoStrandTwist.id,
      sections: twoStrandTwist.usualSections,
      rootMethod: twoStrandTwist.rootMethods[0],
      endsMethod: twoStrandTwist.endsMethods[0],
      startState: 'damp',
      hand,
      layers: [{ role: 'leave-in' }, { role: 'mousse' }],
    },
    room: { temperatureC: 22, relativeHumidity: 0.5, dewPointOutsideC: 12 },
    wear: { night: 'gather-and-bonnet', separations: 2, fluffing: 1, hands: 'oiled' },
    prep: [...USUAL_PREP],
    sleep: USUAL_SLEEP,
    drying: [{ method: 'air', hours: 8 }],
    wearBy: tomorrowMorning(nowMs, timeZone),
    timeZone,
  };
  const schooled = withSchools(brief, schools);
  return {
    title: `${headName}’s set`,
    brief: schooled,
    layerProductIds: (schooled.set.layers ?? []).map(() => null),
  };
}
