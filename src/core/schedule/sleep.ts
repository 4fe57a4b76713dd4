import { Temporal } from 'temporal-polyfill';

/** Hours kept for sleep, minutes after midnight by the clock on the wall; usually over midnight. */
export interface SleepHours {
  readonly fromMin: number;
  readonly untilMin: number;
}

/** One stretch of sleep as instants. */
export interface Sleep {
  readonly startMs: number;
  readonly endMs: number;
}

/**
 * Minutes after midnight of "23:15".
 *
 * @example minuteOfDay('23:30') // => 1410
 */
export function minuteOfDay(clock: string): number {
  const [hours, minutes] = clock.split(':').map(Number);
  return hours! * 60 + minutes!;
}

/**
 * The nights that touch a span of time, first to last. Clocks put forward or back that night make it an hour
 * shorter or longer, as they do.
 */
export function nightsBetween(hours: SleepHours, timeZone: string, fromMs: number, untilMs: number): Sleep[] {
  const dayOf = (ms: number) =>
    Temporal.Instant.fromEpochMilliseconds(Math.floor(ms)).toZonedDateTimeISO(timeZone).toPlainDate();
  const at = (day: Temporal.PlainDate, minute: number) =>
    day.toZonedDateTime({
      timeZone,
      plainTime: Temporal.PlainTime.from({ hour: Math.floor(minute / 60), minute: minute % 60 }),
    }).epochMilliseconds;
  const overMidnight = hours.untilMin <= hours.fromMin;
  const nights: Sleep[] = [];
  const last = dayOf(untilMs);
  for (
    let day = dayOf(fromMs).subtract({ days: 1 });
    Temporal.PlainDate.compare(day, last) <= 0;
    day = day.add({ days: 1 })
  ) {
    const night = {
      startMs: at(day, hours.fromMin),
      endMs: at(overMidnight ? day.add({ days: 1 }) : day, hours.untilMin),
    };
    if (night.endMs > fromMs && night.startMs < untilMs) nights.push(night);
  }
  return nights;
}
