'use client';
import { UTC_CLOCK, type Clock } from '@/core/formats/display';
import { isGoodDay } from '@/core/wear/last-good-day';
import type { Ratings } from '@/core/wear/rating-scales';
import type { Said } from '@/core/diary/said-of-day';
import type { Spread } from '@/core/stats/spread';
import { formatChance, formatIndex, formatWeekday } from '@/ui/format';
import { chanceStillGood } from '@/ui/ribbon/still-good';
import styles from './wear-desk.module.css';
import { dateOfDay } from './worn-day';

/** ISO number of the weekday of a calendar date. */
const isoWeekday = (date: string) => new Date(`${date}T12:00Z`).getUTCDay() || 7;

/**
 * The days of a style side by side. What was said of a day shows once it is rated, so that it does not lead the hand;
 * of days to come, how likely they are still good. A day is chosen by pressing it.
 */
export function WearStrip({
  days,
  saidOf,
  band,
  takenDownAtMs,
  clock,
  chosen,
  lastDay,
  onChoose,
}: {
  days: readonly { readonly day: number; readonly ratings: Ratings }[];
  saidOf: (day: number) => Said | undefined;
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
        const definition = entry?.ratings.definition;
        const said = saidOf(day);
        const rated = entry ? Object.keys(entry.ratings).length : 0;
        return (
          <li key={day} data-week={day > 0 && isoWeekday(date) === clock.firstDay}>
            <button
              type="button"
              aria-pressed={date === chosen}
              disabled={day > lastDay}
              data-entered={rated > 0}
              data-good={entry ? isGoodDay(entry) !== false : undefined}
              onClick={() => onChoose(date)}
            >
              <span>
                {formatWeekday(Date.parse(`${date}T12:00Z`), UTC_CLOCK)} <i>{day}</i>
              </span>
              {day > lastDay ? (
                <small>
                  {formatChance(chanceStillGood(band, day))} <span>still good</span>
                </small>
              ) : (
                <>
                  <strong>{definition === undefined ? '–' : formatIndex(definition)}</strong>
                  <small>
                    {definition !== undefined && said
                      ? `we said ${formatIndex(said.middle)}`
                      : rated > 0
                        ? `${rated} rated`
                        : 'not rated'}
                  </small>
                </>
              )}
            </button>
          </li>
        );
      })}
    </ol>
  );
}
