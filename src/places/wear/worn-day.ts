import { dateInZone } from '@/ui/format';
import { DAY_MS } from '@/core/units/time';

/** Calendar date of a day of wear in a time zone, "2027-03-13". */
export const dateOfDay = (takenDownAtMs: number, day: number, timeZone: string): string =>
  new Date(Date.parse(dateInZone(takenDownAtMs, timeZone)) + day * DAY_MS).toISOString().slice(0, 10);
