'use client';
import { useEffect, useState } from 'react';
import type { HeardEvent } from '@/core/run/set-events';
import type { RunEvent } from '@/core/run/run-event';
import { seenStore } from './outbox/seen-store';
import { loadWire } from './outbox/wire';

/** How often is asked where nothing comes by itself, ms. */
const ASK_EVERY_MS = 2000;
/** A line that says nothing for so long is taken for none, ms: the server speaks every five seconds. */
const SILENCE_MS = 8000;

const asEvent = ({ event, sequence }: HeardEvent): RunEvent => ({ ...event, sequence });

/** What the server has of a set after a place in its log; null without an answer. */
async function askAfter(setId: string, sequence: number): Promise<readonly RunEvent[] | null> {
  try {
    const response = await fetch(`/api/v1/sets/${setId}/events?after=${sequence}`, { cache: 'no-store' });
    const { setEventsPage } = await loadWire();
    const page = setEventsPage.safeParse(await response.json());
    return page.success ? page.data.events.map(asEvent) : null;
  } catch {
    return null;
  }
}

/**
 * Hears what comes into the log of a set, as it comes: by Server-Sent Events, and by asking every two seconds where
 * those do not come through. Only while the page is looked at: a browser allows few open lines to one server.
 *
 * @param lastHeard the place up to which the page knows the log already
 * @returns what stops it
 */
export function followLog(
  setId: string,
  lastHeard: () => number,
  hear: (events: readonly RunEvent[]) => void,
): () => void {
  let source: EventSource | null = null;
  let isLive = false;
  let silence: ReturnType<typeof setTimeout> | undefined;
  const ask = async () => {
    const events = await askAfter(setId, lastHeard());
    if (events) hear(events);
  };
  const isLooked = () => document.visibilityState !== 'hidden';
  const close = () => {
    source?.close();
    source = null;
    isLive = false;
    clearTimeout(silence);
  };
  const alive = () => {
    isLive = true;
    clearTimeout(silence);
    silence = setTimeout(() => (isLive = false), SILENCE_MS);
  };
  const open = () => {
    if (source !== null || !isLooked()) return;
    const opened = new EventSource(`/api/v1/sets/${setId}/events?after=${lastHeard()}`);
    source = opened;
    opened.addEventListener('message', ({ data }: MessageEvent<string>) => {
      alive();
      // One after the other, as they came.
      void loadWire().then(({ heardEvent }) => {
        const read = heardEvent.safeParse(JSON.parse(data));
        if (read.success) hear([asEvent(read.data)]);
      });
    });
    opened.addEventListener('here', alive);
    opened.addEventListener('error', () => {
      isLive = false;
      // Refused for good, as by a server that has no line free: asking goes on, and it is tried again later.
      if (opened.readyState === EventSource.CLOSED && source === opened) source = null;
    });
  };
  const look = () => {
    if (!isLooked()) return close();
    void ask();
    open();
  };
  const timer = setInterval(() => {
    if (!isLooked() || isLive) return;
    void ask();
    open();
  }, ASK_EVERY_MS);
  look();
  document.addEventListener('visibilitychange', look);
  window.addEventListener('online', look);
  window.addEventListener('pageshow', look);
  window.addEventListener('pagehide', close);
  return () => {
    close();
    clearInterval(timer);
    document.removeEventListener('visibilitychange', look);
    window.removeEventListener('online', look);
    window.removeEventListener('pageshow', look);
    window.removeEventListener('pagehide', close);
  };
}

/**
 * Events that reached the server after this page was made, from this and every other device; and those that this
 * device saw before, where the page is an old copy and the server is away.
 */
export function useHeard(setId: string, known: readonly RunEvent[]): readonly RunEvent[] {
  const [heard, setHeard] = useState<readonly RunEvent[]>([]);
  const last = Math.max(0, ...known.map(({ sequence }) => sequence ?? 0));
  useEffect(() => {
    let isGone = false;
    let lastHeard = last;
    const hear = (events: readonly RunEvent[]) => {
      const isNew = events.some(({ sequence }) => (sequence ?? 0) > lastHeard);
      if (isGone || !isNew) return;
      lastHeard = Math.max(lastHeard, ...events.map(({ sequence }) => sequence ?? 0));
      setHeard((before) => [...before, ...events.filter(({ id }) => !before.some((one) => one.id === id))]);
    };
    let stop = () => {};
    void seenStore
      .of(setId)
      .then(hear)
      .finally(() => {
        if (!isGone) stop = followLog(setId, () => lastHeard, hear);
      });
    return () => {
      isGone = true;
      stop();
    };
  }, [setId, last]);
  useEffect(() => {
    void seenStore.keep(setId, [...known, ...heard]);
  }, [setId, known, heard]);
  return heard;
}
