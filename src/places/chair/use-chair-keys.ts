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
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, [isOff]);
}
