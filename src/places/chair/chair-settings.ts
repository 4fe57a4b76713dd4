'use client';
import { useSyncExternalStore } from 'react';
import { MOST_NAME_LETTERS } from '@/core/run/run-event';
import { SHARES, type Share } from '@/core/run/share';

/** How the chair is shown on this device: it is the device in the hand, not the studio, that decides. */
interface ChairSettings {
  readonly isLeftHanded: boolean;
  readonly isBig: boolean;
  readonly hasTone: boolean;
  /** The name that the hand at this device goes by; empty where it goes by none. */
  readonly ownName: string;
  /** What of a head it takes first where there are more hands. */
  readonly share: Share;
}

const KEY = 'keen.chair.settings';
const USUAL: ChairSettings = {
  isLeftHanded: false,
  isBig: false,
  hasTone: false,
  ownName: '',
  share: 'all',
};

/** What was kept, each choice by itself: one that cannot be read is as usual. Read by hand, for the chair stands on it. */
function readSettings(kept: Readonly<Partial<Record<keyof ChairSettings, unknown>>>): ChairSettings {
  const { ownName } = kept;
  return {
    isLeftHanded: kept.isLeftHanded === true,
    isBig: kept.isBig === true,
    hasTone: kept.hasTone === true,
    ownName: typeof ownName === 'string' && ownName.length <= MOST_NAME_LETTERS ? ownName : USUAL.ownName,
    share: SHARES.find((share) => share === kept.share) ?? USUAL.share,
  };
}

const listeners = new Set<() => void>();
let known: { readonly text: string | null; readonly settings: ChairSettings } = {
  text: null,
  settings: USUAL,
};

/** What is kept on this device; as usual where nothing is, or where it cannot be read. */
export function chairSettings(): ChairSettings {
  let text: string | null = null;
  try {
    text = localStorage.getItem(KEY);
    if (text === known.text) return known.settings;
    const kept: unknown = JSON.parse(text ?? '{}');
    known = { text, settings: typeof kept === 'object' && kept ? readSettings(kept) : USUAL };
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
export const useChairSettings = (): ChairSettings => useSyncExternalStore(watch, chairSettings, () => USUAL);

/** Has the hand at this device go by a name. */
export const goesBy = (name: string): void =>
  keepChairSettings({ ...chairSettings(), ownName: name.slice(0, MOST_NAME_LETTERS) });
