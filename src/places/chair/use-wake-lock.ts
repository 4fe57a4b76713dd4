'use client';
import { useEffect } from 'react';

/** Keeps the screen lit while something is worked on; asked again when the page comes back into sight. */
export function useWakeLock(isOn: boolean): void {
  useEffect(() => {
    if (!isOn || !('wakeLock' in navigator)) return;
    let held: WakeLockSentinel | null = null;
    let isOver = false;
    const hold = async () => {
      if (document.visibilityState !== 'visible') return;
      try {
        const lock = await navigator.wakeLock.request('screen');
        if (isOver) await lock.release();
        else held = lock;
      } catch {
        // A device low on power may refuse: the set goes on, and a touch lights the screen.
      }
    };
    const again = () => void hold();
    again();
    document.addEventListener('visibilitychange', again);
    return () => {
      isOver = true;
      document.removeEventListener('visibilitychange', again);
      void held?.release();
    };
  }, [isOn]);
}
