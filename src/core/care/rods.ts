import { DAY_MS } from '../units/time';

/** Days of a month, on average. */
const MONTH_DAYS = 30.44;
/** Further off than this nothing is planned. */
const MOST_MONTHS = 24;

/** When rods will be too small that fit now; null where that is far off. @param months as a forecast has them */
export const outgrownAtMs = (startedAtMs: number, months: number): number | null =>
  months > MOST_MONTHS ? null : Math.round(startedAtMs + Math.max(0, months) * MONTH_DAYS * DAY_MS);
