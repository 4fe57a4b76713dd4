import { wearDayNumber } from '@/core/wear/wear-day-number';
import { invalid } from './errors';

/**
 * The day of wear that a calendar date is, counted from the takedown of a set.
 *
 * @throws AppError invalid before the takedown, for a day still to come, and for one that does not exist
 */
export function wornDayOf(
  { takenDownAtMs }: { readonly takenDownAtMs: number | null },
  date: string,
  nowMs: number,
  timeZone: string,
): number {
  if (takenDownAtMs === null) throw invalid('date', 'this set has not been taken down yet');
  const day = wearDayNumber(date, takenDownAtMs, timeZone);
  const today = wearDayNumber(
    new Intl.DateTimeFormat('sv-SE', { dateStyle: 'short', timeZone }).format(nowMs),
    takenDownAtMs,
    timeZone,
  );
  if (day === null) throw invalid('date', `“${date}” is not a day that exists`);
  if (day < 0) throw invalid('date', 'that day is before the takedown; choose the takedown day or later');
  if (today !== null && day > today) throw invalid('date', 'that day has not come yet');
  return day;
}
