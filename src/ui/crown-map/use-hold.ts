'use client';
import { useEffect, useRef, type MouseEvent } from 'react';

/** Pressed this long is held, ms. */
const HOLD_MS = 550;

/** Tells a long press from a tap; the tap that ends a long press does not count as one. */
export function useHold() {
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const frame = useRef(0);
  const held = useRef(false);
  const stop = () => {
    if (timer.current !== null) clearTimeout(timer.current);
    cancelAnimationFrame(frame.current);
    timer.current = null;
  };
  useEffect(() => stop, []);
  return {
    /** Whether the press that is ending was long; asked once a press. */
    wasHeld: () => {
      const was = held.current;
      held.current = false;
      return was;
    },
    on: (act: () => void) => ({
      onPointerDown: () => {
        stop();
        held.current = false;
        timer.current = setTimeout(() => {
          // A finger that lifted while the page was busy is heard before the next frame: that was a tap.
          frame.current = requestAnimationFrame(() => {
            held.current = true;
            act();
          });
        }, HOLD_MS);
      },
      onPointerUp: stop,
      onPointerLeave: stop,
      onPointerCancel: stop,
      onContextMenu: (event: MouseEvent) => {
        event.preventDefault();
        stop();
        if (!held.current) act();
        // A finger that lifts after it is no tap either.
        held.current = true;
      },
    }),
  };
}
