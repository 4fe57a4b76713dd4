import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { MINUTE_MS } from '@/core/units/time';

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

/** Minutes that a key moves by; 0 for other keys. */
function minutesOf({ key, shiftKey }: KeyboardEvent): number {
  const direction = KEYS[key];
  if (direction !== undefined) return direction * (shiftKey ? LONG_STEP : STEP);
  return key === 'PageUp' ? DAY : key === 'PageDown' ? -DAY : 0;
}

/**
 * A moment on the ribbon that is dragged, or moved with the arrow keys. Where it was moved to is shown at once;
 * the day is laid out anew after.
 *
 * @param settledMs where it lies in the day as laid out
 * @param isSettled whether the day is laid out for the last move
 */
export function useTimeDrag(
  settledMs: number,
  isSettled: boolean,
  onMove: ((byMinutes: number, toMs: number) => void) | undefined,
) {
  const [dragged, setDragged] = useState(0);
  const [movedTo, setMovedTo] = useState<number | null>(null);
  const from = useRef(0);
  const atMs = isSettled ? settledMs : (movedTo ?? settledMs);
  const move = (minutes: number) => {
    const next = atMs + minutes * MINUTE_MS;
    setMovedTo(next);
    onMove?.(minutes, next);
  };
  const minutesAt = (event: PointerEvent) =>
    Math.round(((event.clientX - from.current) * MINUTES_A_PIXEL) / STEP) * STEP;
  const handlers = onMove && {
    role: 'slider' as const,
    tabIndex: 0,
    'aria-valuemin': -DAY,
    'aria-valuemax': DAY,
    'aria-valuenow': dragged,
    title: 'Drag it, or use the arrow keys',
    onKeyDown: (event: KeyboardEvent) => {
      const minutes = minutesOf(event);
      if (minutes === 0) return;
      event.preventDefault();
      move(minutes);
    },
    onPointerDown: (event: PointerEvent<HTMLElement>) => {
      from.current = event.clientX;
      event.currentTarget.setPointerCapture(event.pointerId);
    },
    onPointerMove: (event: PointerEvent<HTMLElement>) => {
      if (event.currentTarget.hasPointerCapture(event.pointerId)) setDragged(minutesAt(event));
    },
    onPointerUp: (event: PointerEvent<HTMLElement>) => {
      const minutes = minutesAt(event);
      setDragged(0);
      if (minutes !== 0) move(minutes);
    },
    onPointerCancel: () => setDragged(0),
  };
  return { shownMs: atMs + dragged * MINUTE_MS, draggedMin: dragged, handlers };
}
