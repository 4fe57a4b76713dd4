import { normalCdf, Z_90 } from '@/core/stats/normal';
import type { Spread } from '@/core/stats/spread';

/** Chance that a style with this band of days is still presentable on a day, day 0 being the takedown. */
export function chanceStillGood(days: Spread, day: number): number {
  if (day <= 0) return 1;
  const sd = Math.log(days.p90 / days.p50) / Z_90;
  return 1 - normalCdf(Math.log((day + 0.5) / days.p50) / sd);
}
