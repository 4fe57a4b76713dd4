'use client';
import { useEffect, useState } from 'react';
import { settledG, type Scale, type ScaleReading } from '@/core/scale/scale';

/** Readings kept: the last few seconds. */
const MOST_READINGS = 40;
/** A scale that has not told anything for this long is off, or its page is closed. */
const SILENT_MS = 2500;

/** What a scale tells: its last reading, and the weight it has settled on. Null while nothing is heard. */
export function useScale(scale: Scale): { readonly nowG: number; readonly settledG: number | null } | null {
  const [readings, setReadings] = useState<readonly ScaleReading[]>([]);
  useEffect(() => {
    let silence: ReturnType<typeof setTimeout> | undefined;
    const stop = scale((reading) => {
      clearTimeout(silence);
      silence = setTimeout(() => setReadings([]), SILENT_MS);
      setReadings((before) => [...before.slice(1 - MOST_READINGS), reading]);
    });
    return () => {
      clearTimeout(silence);
      stop();
    };
  }, [scale]);
  const last = readings.at(-1);
  return last ? { nowG: last.grams, settledG: settledG(readings) } : null;
}
