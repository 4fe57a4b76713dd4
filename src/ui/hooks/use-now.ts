'use client';
import { useEffect, useState } from 'react';
import { serverNowMs } from './server-clock';

/** By then the clocks have been compared, or the server is away. */
const FIRST_TICK_MS = 1000;

/**
 * The time by the server's clock, started from the server's so that the first picture agrees, then ticking. A page
 * that was kept on the device is soon on time too.
 */
export function useNow(startMs: number, everyMs: number): number {
  const [nowMs, setNowMs] = useState(startMs);
  useEffect(() => {
    const tick = () => setNowMs(Math.max(startMs, Math.round(serverNowMs())));
    const first = setTimeout(tick, FIRST_TICK_MS);
    const timer = setInterval(tick, everyMs);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
    };
  }, [startMs, everyMs]);
  return nowMs;
}
