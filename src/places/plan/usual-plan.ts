import { Temporal } from 'temporal-polyfill';
import { withSchools, type ChosenSchools } from '@/core/schools/schools';
import type { HandId } from '@/core/coefficients/hands';
import type { HeadInput } from '@/core/formats/brief';
import { twoStrandTwist } from '@/core/techniques/two-strand-twist';
import type { DraftBrief } from '@/core/draft/draft-brief';

const READY_HOUR = 9;

/** Preparing as it usually goes, and the night that is kept free (common practice). */
export const USUAL_PREP = [{ step: 'cleanse' }, { step: 'instant-condition' }, { step: 'blot' }] as const;
export const USUAL_SLEEP = { from: '23:00', until: '07:00' } as const;

/** Tomorrow morning in a time zone, as a local time: when most sets are wanted. */
export function tomorrowMorning(nowMs: number, timeZone: string): string {
  const today = Temporal.Instant.fromEpochMilliseconds(nowMs).toZonedDateTimeISO(timeZone).toPlainDate();
  return today.add({ days: 1 }).toPlainDateTime({ hour: READY_HOUR }).toString({ smallestUnit: 'minute' });
}

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
