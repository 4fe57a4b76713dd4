'use client';
import { dryingMethods } from '@/core/drying-methods';
import type { Clock } from '@/core/formats/display';
import { MINUTE_MS } from '@/core/units/time';
import { capitalised } from '@/core/words/words';
import { formatMinutes, formatWhen } from '@/ui/format';
import type { DryCourse } from './use-dry-course';
import styles from './chair.module.css';

/** How it dries now, since when, until when, and which machine comes next. */
export function DryNow({
  course: { running, next, isWorking },
  clock,
  nowMs,
}: {
  readonly course: DryCourse;
  readonly clock: Clock;
  readonly nowMs: number;
}) {
  const when = (ms: number) => formatWhen(ms, clock, nowMs);
  const isNextLate = next !== null && next.fromMs < nowMs;
  return (
    <p className={styles.dryNow} aria-live="polite">
      {running && (
        <>
          <b>
            {capitalised(dryingMethods[running.method].phrase)} since {when(running.fromMs)}
          </b>
          {running.dueMs !== null &&
            `, ${formatMinutes(Math.max(1, (running.dueMs - nowMs) / MINUTE_MS))} more, until ${when(running.dueMs)}`}
          .{' '}
        </>
      )}
      {next && (
        <>
          {isNextLate ? 'Planned and not begun: ' : 'Then '}
          {dryingMethods[next.method].phrase} for {formatMinutes((next.untilMs - next.fromMs) / MINUTE_MS)},{' '}
          {when(next.fromMs)}.{' '}
        </>
      )}
      {!running && !next && 'Nothing was begun: it is taken to dry as planned. '}
      {isWorking && <span role="status">Working out the new time…</span>}
    </p>
  );
}
