'use client';
import { useEffect, useState } from 'react';
import { serverNowMs } from './server-clock';

/** The time by the server's clock, started from the server's so that the first picture agrees, then ticking. */
export function useNow(startMs: number, everyMs: number): number {
  const [nowMs, setNowMs] = useState(startMs);
  useEffect(() => {
    const timer = setInterval(() => setNowMs(serverNowMs()), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return nowMs;
}
