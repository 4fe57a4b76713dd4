'use client';
import { useSyncExternalStore } from 'react';
import { z } from 'zod';
import { MOST_NAME_LETTERS } from '@/core/run/run-event';
import { SHARES } from '@/core/run/share';

/** How the chair is shown on this device: it is the device in the hand, not the studio, that decides. */
const chairSettings = z.object({
  isLeftHanded: z.boolean().catch(false),
  isBig: z.boolean().catch(false),
  hasTone: z.boolean().catch(false),
  /** The name that the hand at this device goes by; empty where it goes by none. */
  ownName: z.string().max(MOST_NAME_LETTERS).catch(''),
  /** What of a head it takes first where there are more hands. */
  share: z.enum(SHARES).catch('all'),
});
type ChairSettings = z.output<typeof chairSettings>;

const KEY = 'keen.chair.settings';
const USUAL: ChairSettings = {
  isLeftHanded: false,
  isBig: false,
  hasTone: false,
  ownName: '',
  share: 'all',
};
const listeners = new Set<() => void>();
let known: { readonly text: string | null; readonly settings: ChairSettings } = {
  text: null,
  settings: USUAL,
};

/** What is kept on this device; as usual where nothing is, or where it cannot be read. */
function kept(): ChairSettings {
  let text: string | null = null;
  try {
    text = localStorage.getItem(KEY);
    if (text === known.text) return known.settings;
    const read = chairSettings.safeParse(JSON.parse(text ?? '{}'));
    known = { text, settings: read.success ? read.data : USUAL };
  } catch {
    known = { text, settings: USUAL };
  }
  return known.settings;
}

/** Keeps how the chair is shown on this device. A full or closed storage leaves it as it was. */
export function keepChairSettings(settings: ChairSettings): void {
  try {
    localStorage.setItem(KEY, JSON.stringify(settings));
  } catch {
    return;
  }
  for (const listener of listeners) listener();
}

const watch = (listener: () => void) => {
  listeners.add(listener);
  window.addEventListener('storage', listener);
  return () => {
    listeners.delete(listener);
    window.removeEventListener('storage', listener);
  };
};

/** How the chair is shown here; other tabs of the device follow. */
export const useChairSettings = (): ChairSettings => useSyncExternalStore(watch, kept, () => USUAL);
