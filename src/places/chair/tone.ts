'use client';
import { useEffect, useRef } from 'react';

const TONE = { hertz: 660, seconds: 0.25, volume: 0.25 } as const;

/** One short tone; a device that may not sound stays silent. */
function sound(): void {
  try {
    const audio = new AudioContext();
    const oscillator = audio.createOscillator();
    const gain = audio.createGain();
    oscillator.frequency.value = TONE.hertz;
    gain.gain.setValueAtTime(TONE.volume, audio.currentTime);
    gain.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + TONE.seconds);
    oscillator.connect(gain).connect(audio.destination);
    oscillator.onended = () => void audio.close();
    oscillator.start();
    oscillator.stop(audio.currentTime + TONE.seconds);
  } catch {
    // No sound here: what is due stands on the screen all the same.
  }
}

/**
 * Sounds once for each thing that falls due.
 *
 * @param due names what is due now; null while nothing is
 */
export function useTone(due: string | null, isOn: boolean): void {
  const heard = useRef<string | null>(null);
  useEffect(() => {
    // What fell due while it was off is heard when it is switched on.
    if (!isOn) return;
    if (due !== null && due !== heard.current) sound();
    heard.current = due;
  }, [due, isOn]);
}
