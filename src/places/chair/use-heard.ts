'use client';
import { useEffect, useState } from 'react';
import { setEventsPage } from '@/core/run/set-events';
import type { RunEvent } from '@/core/run/run-event';

/** What the server has of a set after a place in its log; null without an answer. */
async function askAfter(setId: string, sequence: number): Promise<readonly RunEvent[] | null> {
  try {
    const response = await fetch(`/api/v1/sets/${setId}/events?after=${sequence}`, { cache: 'no-store' });
    const page = setEventsPage.safeParse(await response.json());
    return page.success
      ? page.data.events.map((heard) => ({ ...heard.event, sequence: heard.sequence }))
      : null;
  } catch {
    return null;
  }
}

/**
 * Events that reached the server after this page was made: a page is as old as its request, and the taps of the page
 * before it, of another tab or of another device may have come in meanwhile. Asked for once the page is there, and
 * whenever it is looked at again.
 */
export function useHeard(setId: string, known: readonly RunEvent[]): readonly RunEvent[] {
  const [heard, setHeard] = useState<readonly RunEvent[]>([]);
  const last = Math.max(0, ...known.map(({ sequence }) => sequence ?? 0));
  useEffect(() => {
    let isGone = false;
    const ask = async () => {
      if (document.visibilityState === 'hidden') return;
      const events = await askAfter(setId, last);
      if (events !== null && !isGone) setHeard(events);
    };
    void ask();
    document.addEventListener('visibilitychange', ask);
    window.addEventListener('online', ask);
    window.addEventListener('pageshow', ask);
    return () => {
      isGone = true;
      document.removeEventListener('visibilitychange', ask);
      window.removeEventListener('online', ask);
      window.removeEventListener('pageshow', ask);
    };
  }, [setId, last]);
  return heard;
}
