import { rangesOf } from '../plan/result-ranges';
import type { PlanFile } from '../formats/plan-file';
import type { Half } from '../hair/half';
import type { Zone } from '../hair/zone';
import { clamp } from '../units/clamp';
import type { RatingId } from '../wear/rating-scales';

/** What was forecast of one scale on one day. */
export interface Said {
  readonly low: number;
  readonly middle: number;
  readonly high: number;
}

/** What was said of a day beforehand, scale by scale. */
export type SaidOfDay = Partial<Record<RatingId, Said>>;

/**
 * What was said of a day beforehand, for the scales that are forecast: as far round the figure of that day as the range
 * of the first day reaches.
 *
 * @param half a half of a trial has a forecast of its own where its layers differ from the other's
 */
export function saidOfDay(
  forecast: Pick<PlanFile, 'result' | 'halves'>,
  day: number,
  half: Half = 'whole',
): SaidOfDay {
  const { result } = (half !== 'whole' && forecast.halves?.[half]) || forecast;
  const of = result.byDay.find((one) => one.day === day);
  if (!of) return {};
  const first = { definition: result.definition, frizz: result.frizz, volume: rangesOf(result).volume };
  const middleOf = {
    definition: result.definition.p50,
    frizz: result.frizz.p50,
    volume: result.volume,
  };
  const round = (scale: 'definition' | 'frizz' | 'volume'): Said => ({
    low: clamp(of[scale] - (middleOf[scale] - first[scale].p10), 0, 10),
    middle: of[scale],
    high: clamp(of[scale] + (first[scale].p90 - middleOf[scale]), 0, 10),
  });
  return { definition: round('definition'), frizz: round('frizz'), volume: round('volume') };
}

/**
 * How much of its length was said to show in a zone on a day, as a share: the range of the whole head of the first day,
 * about the zone's own figure.
 */
export function saidStretchOfDay(
  { result }: Pick<PlanFile, 'result'>,
  day: number,
  zone: Zone,
  stretchedCm: number,
): Said | null {
  const visibleCm = result.byDay.find((one) => one.day === day)?.visibleLengthCm[zone];
  if (visibleCm === undefined) return null;
  const middle = Math.min(1, visibleCm / stretchedCm);
  const { stretch } = rangesOf(result);
  return {
    low: clamp(middle - (result.stretch - stretch.p10), 0, 1),
    middle,
    high: clamp(middle + (stretch.p90 - result.stretch), 0, 1),
  };
}
