'use client';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { formatClock, formatDay } from '../format';
import styles from './ribbon.module.css';

const MINUTE_MS = 60_000;
/** A press of an arrow, with Shift, and of a page key, minutes. */
const STEP = 15;
const LONG_STEP = 60;
const DAY = 24 * 60;
/** Drawn millimetres are no scale here, so a drag has its own: minutes for each pixel, in whole steps. */
const MINUTES_A_PIXEL = 2;

const KEYS: Readonly<Record<string, number>> = {
  ArrowLeft: -1,
  ArrowDown: -1,
  ArrowRight: 1,
  ArrowUp: 1,
};

/** The time to be ready: dragged, or moved with the arrow keys where it can be moved. */
export function ReadyPin({
  readyMs: settledMs,
  isSettled,
  timeZone,
  onMove,
}: {
  readyMs: number;
  /** Whether the day is laid out for where the pin was moved last. */
  isSettled: boolean;
  timeZone: string;
  onMove: ((readyMs: number) => void) | undefined;
}) {
  const [dragged, setDragged] = useState(0);
  const [movedTo, setMovedTo] = useState<number | null>(null);
  const readyMs = isSettled ? settledMs : (movedTo ?? settledMs);
  const from = useRef(0);
  const shownMs = readyMs + dragged * MINUTE_MS;
  const words = `${formatDay(shownMs, timeZone)}, ${formatClock(shownMs, timeZone)}`;
  const move = (minutes: number) => {
    const next = readyMs + minutes * MINUTE_MS;
    setMovedTo(next);
    onMove?.(next);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const direction = KEYS[event.key];
    const minutes =
      direction !== undefined
        ? direction * (event.shiftKey ? LONG_STEP : STEP)
        : event.key === 'PageUp'
          ? DAY
          : event.key === 'PageDown'
            ? -DAY
            : 0;
    if (minutes === 0) return;
    event.preventDefault();
    move(minutes);
  };
  const minutesAt = (event: PointerEvent) =>
    Math.round(((event.clientX - from.current) * MINUTES_A_PIXEL) / STEP) * STEP;
  const handlers = onMove && {
    role: 'slider' as const,
    tabIndex: 0,
    'aria-label': 'Ready by',
    'aria-valuemin': -DAY,
    'aria-valuemax': DAY,
    'aria-valuenow': dragged,
    'aria-valuetext': words,
    title: 'Drag it, or use the arrow keys',
    onKeyDown,
    onPointerDown: (event: PointerEvent<HTMLDivElement>) => {
      from.current = event.clientX;
      event.currentTarget.setPointerCapture(event.pointerId);
    },
    onPointerMove: (event: PointerEvent<HTMLDivElement>) => {
      if (event.currentTarget.hasPointerCapture(event.pointerId)) setDragged(minutesAt(event));
    },
    onPointerUp: (event: PointerEvent<HTMLDivElement>) => {
      const minutes = minutesAt(event);
      setDragged(0);
      if (minutes !== 0) move(minutes);
    },
    onPointerCancel: () => setDragged(0),
  };
  return (
    <div className={styles.pinHold} data-moves={onMove !== undefined} {...handlers}>
      <span className={styles.day}>{formatDay(shownMs, timeZone)}</span>
      <span className={styles.label}>Ready by</span>
      <span className={styles.needle} />
      <span className={styles.pinTime}>{formatClock(shownMs, timeZone)}</span>
    </div>
  );
}
