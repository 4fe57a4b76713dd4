'use client';
import { useEffect, useRef } from 'react';
import { CHAIR_KEYS, SWITCH_KEYS, type ChairKey } from './keys';

/** Listens for the chair's single keys, except while something is typed or a button holds the key itself. */
export function useChairKeys(onKey: (key: ChairKey) => void, isOff: boolean) {
  const handler = useRef(onKey);
  useEffect(() => {
    handler.current = onKey;
  }, [onKey]);
  useEffect(() => {
    if (isOff) return;
    const listen = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
      const target = event.target as HTMLElement | null;
      if (target?.matches('input, textarea, select') || target?.closest('[role="dialog"]')) return;
      if (event.key === ' ' && target?.matches('button, a')) return;
      // Arrows and Enter move over the map and press what is in focus; from anywhere else a switch sent them.
      const asKey = SWITCH_KEYS[event.key];
      if (asKey && target?.closest('button, a, [role="button"]')) return;
      const known =
        asKey ?? CHAIR_KEYS.find(({ key }) => key === event.key || key === event.key.toLowerCase())?.key;
      if (!known) return;
      event.preventDefault();
      handler.current(known);
    };
    // A button that was tapped does not keep the keys: the next press of a foot switch is a section, not that button again.
    const letGo = ({ detail }: MouseEvent) => {
      const inFocus = document.activeElement;
      if (detail > 0 && inFocus instanceof HTMLElement && inFocus.matches('button')) inFocus.blur();
    };
    window.addEventListener('keydown', listen);
    window.addEventListener('click', letGo, { capture: true });
    return () => {
      window.removeEventListener('keydown', listen);
      window.removeEventListener('click', letGo, { capture: true });
    };
  }, [isOff]);
}
