'use client';
import { useEffect, useState } from 'react';

/** The time, started from the server's so that the first picture agrees, then ticking. */
export function useNow(startMs: number, everyMs: number): number {
  const [nowMs, setNowMs] = useState(startMs);
  useEffect(() => {
    const timer = setInterval(() => setNowMs(Date.now()), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return nowMs;
}
