'use client';
import type { Clock } from '@/core/formats/display';
import { formatClock, formatDay, formatMoment } from '../format';
import { useTimeDrag } from './use-time-drag';
import styles from './ribbon.module.css';

/** The time to be ready: dragged, or moved with the arrow keys where it can be moved. */
export function ReadyPin({
  readyMs,
  isSettled,
  clock,
  onMove,
}: {
  readyMs: number;
  /** Whether the day is laid out for where the pin was moved last. */
  isSettled: boolean;
  clock: Clock;
  onMove: ((readyMs: number) => void) | undefined;
}) {
  const { shownMs, handlers } = useTimeDrag(readyMs, isSettled, onMove && ((_, toMs) => onMove(toMs)));
  const words = formatMoment(shownMs, clock);
  return (
    <div
      className={styles.pinHold}
      data-moves={onMove !== undefined}
      {...(handlers && { ...handlers, 'aria-label': 'Ready by', 'aria-valuetext': words })}
    >
      <span className={styles.day}>{formatDay(shownMs, clock)}</span>
      <span className={styles.label}>Ready by</span>
      <span className={styles.needle} />
      <span className={styles.pinTime}>{formatClock(shownMs, clock)}</span>
    </div>
  );
}
