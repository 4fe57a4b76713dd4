import type { CSSProperties } from 'react';
import { wholeSetLabel } from '@/core/draft/labels';
import { dryingMethods } from '@/core/drying-methods';
import type { Clock } from '@/core/formats/display';
import { DAY_MS, HOUR_MS } from '@/core/units/time';
import { endReasons } from '@/core/wear/end-reasons';
import { listed } from '@/core/words/words';
import { formatClock, formatDay, formatHours, formatMinutes, formatWeekday } from '@/ui/format';
import type { OutcomeRow } from '../outcome-rows';
import type { loadNext } from './queries';
import styles from './happened-ribbon.module.css';

/** A day without a rating is this high, and one rated nothing still to be seen, of 1. */
const UNRATED = 0.3;
const LEAST = 0.15;

type Happened = NonNullable<Awaited<ReturnType<typeof loadNext>>>['set'];

/** How long the setting took, beside what was planned. */
function settingWords(install: OutcomeRow | undefined): string {
  if (install?.happened?.kind !== 'value') return '';
  return `${formatMinutes(install.happened.value)}, planned ${formatMinutes(install.middle)}`;
}

/** A set as it really went: set, dried, taken down, each day as high as its definition, and the days that were expected. */
export function HappenedRibbon({
  set,
  rows,
  clock,
}: {
  readonly set: Happened;
  readonly rows: readonly OutcomeRow[];
  readonly clock: Clock;
}) {
  const rowOf = (id: OutcomeRow['id']) => rows.find((row) => row.id === id);
  const { brief, startedAtMs, installedAtMs, takenDownAtMs, wearDays, outcome } = set;
  if (takenDownAtMs === null) return null;
  const last = Math.max(outcome?.lastGoodDay ?? 0, ...wearDays.map(({ day }) => day));
  const definitionOf = (day: number) => {
    const rated = wearDays.flatMap(({ day: own, ratings }) =>
      own === day && typeof ratings.definition === 'number' ? [ratings.definition] : [],
    );
    return rated.length === 0 ? null : rated.reduce((sum, value) => sum + value, 0) / rated.length;
  };
  const days = Array.from({ length: last + 1 }, (_, day) => day);
  const missed = Array.from(
    { length: Math.max(0, Math.round(rowOf('days')?.middle ?? 0) - last) },
    (_, i) => last + 1 + i,
  );
  const how = listed((brief.drying ?? []).map(({ method }) => dryingMethods[method].phrase));
  const dayName = (day: number) => formatWeekday(takenDownAtMs + day * DAY_MS, clock);
  return (
    <div className={styles.scroller} tabIndex={0} role="region" aria-label="The set as it went">
      <ol className={styles.ribbon}>
        <li className={styles.set}>
          <span className={styles.above}>{formatDay(startedAtMs, clock)}</span>
          <span className={styles.bar}>
            <b>{wholeSetLabel(brief.set)}</b>
            {settingWords(rowOf('install'))}
          </span>
        </li>
        {installedAtMs !== null && (
          <li className={styles.dry}>
            <span className={styles.above} />
            <span className={styles.bar}>
              <b>dried {formatHours((takenDownAtMs - installedAtMs) / HOUR_MS)}</b>
              {how}
            </span>
          </li>
        )}
        <li className={styles.mark} data-mark="takedown">
          <span className={styles.above}>taken down {formatClock(takenDownAtMs, clock)}</span>
        </li>
        {days.map((day) => {
          const definition = definitionOf(day);
          const high = definition === null ? UNRATED : Math.max(LEAST, definition / 10);
          return (
            <li
              key={day}
              className={styles.day}
              data-rated={definition !== null}
              data-over={outcome !== null && day > outcome.lastGoodDay}
            >
              <span className={styles.above}>{dayName(day)}</span>
              <span className={styles.bar} style={{ '--high': high } as CSSProperties}>
                <span className="visually-hidden">
                  {definition === null ? 'not rated' : `definition ${definition}`}
                </span>
              </span>
            </li>
          );
        })}
        {outcome && (
          <li className={styles.mark} data-mark="end">
            <span className={styles.above}>{endReasons[outcome.reason].label.toLowerCase()}</span>
          </li>
        )}
        {missed.length > 0 && (
          <li className={styles.missed}>
            <span className={styles.above} />
            <span className={styles.days} aria-hidden="true">
              {missed.map((day) => (
                <span key={day} />
              ))}
            </span>
            <span className={styles.below}>
              {missed.length === 1 ? 'the day we had expected' : 'the days we had expected'}
            </span>
          </li>
        )}
      </ol>
    </div>
  );
}
