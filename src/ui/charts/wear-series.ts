import type { WearDayForecast } from '@/core/plan/set-result';
import type { RatedDay } from '@/core/wear/last-good-day';

/** One day of the chart; missing figures stay missing. */
export interface WearPoint {
  readonly day: number;
  readonly forecastDefinition?: number;
  readonly forecastFrizz?: number;
  readonly definition?: number;
  readonly frizz?: number;
}

/** Lays forecast and entries side by side, from day 0 to the later of both ends. */
export function wearSeries(forecast: readonly WearDayForecast[], days: readonly RatedDay[]): WearPoint[] {
  const last = Math.max(forecast.length - 1, ...days.map((day) => day.day));
  return Array.from({ length: last + 1 }, (_, day) => {
    const expected = forecast[day];
    const entry = days.find((worn) => worn.day === day);
    return {
      day,
      ...(expected ? { forecastDefinition: expected.definition, forecastFrizz: expected.frizz } : {}),
      ...(entry?.ratings.definition !== undefined && { definition: entry.ratings.definition }),
      ...(entry?.ratings.frizz !== undefined && { frizz: entry.ratings.frizz }),
    };
  });
}
