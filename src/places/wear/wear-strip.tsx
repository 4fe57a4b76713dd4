'use client';
import { UTC_CLOCK, type Clock } from '@/core/formats/display';
import type { WearDayForecast } from '@/core/plan/set-result';
import type { Spread } from '@/core/stats/spread';
import { formatIndex, formatChance, formatWeekday } from '@/ui/format';
import { chanceStillGood } from '@/ui/ribbon/still-good';
import styles from './wear-desk.module.css';
import { dateOfDay } from './worn-day';

/** ISO number of the weekday of a calendar date. */
const isoWeekday = (date: string) => new Date(`${date}T12:00Z`).getUTCDay() || 7;

/** The days of a style side by side: forecast fading, entries filled in. A day is chosen by pressing it. */
export function WearStrip({
  days,
  forecast,
  band,
  takenDownAtMs,
  clock,
  chosen,
  lastDay,
  onChoose,
}: {
  days: readonly { readonly day: number; readonly definition: number; readonly frizz: number }[];
  forecast: readonly WearDayForecast[];
  band: Spread;
  takenDownAtMs: number;
  clock: Clock;
  chosen: string;
  lastDay: number;
  onChoose: (date: string) => void;
}) {
  const count = Math.min(30, Math.max(Math.ceil(band.p90), lastDay, ...days.map((day) => day.day)) + 1);
  return (
    <ol className={styles.strip} aria-label="Days of wear">
      {Array.from({ length: count }, (_, day) => {
        const date = dateOfDay(takenDownAtMs, day, clock.timeZone);
        const entry = days.find((worn) => worn.day === day);
        const chance = chanceStillGood(band, day);
        return (
          <li key={day} data-week={day > 0 && isoWeekday(date) === clock.firstDay}>
            <button
              type="button"
              aria-pressed={date === chosen}
              disabled={day > lastDay}
              data-entered={entry !== undefined}
              onClick={() => onChoose(date)}
            >
              <span>{formatWeekday(Date.parse(`${date}T12:00Z`), UTC_CLOCK)}</span>
              <strong>{entry ? formatIndex(entry.definition) : '–'}</strong>
              <small>{forecast[day] ? `forecast ${formatIndex(forecast[day].definition)}` : ''}</small>
              <small>{formatChance(chance)} still good</small>
            </button>
          </li>
        );
      })}
    </ol>
  );
}
