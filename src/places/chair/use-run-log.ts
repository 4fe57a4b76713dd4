'use client';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { runState, type RunEvent, type RunEventKind } from '@/core/run/run-state';
import { openOutbox, type Outbox } from './outbox';

/** The log of a set as this device sees it: what the server knows, and the taps on their way to it. */
export function useRunLog(setId: string, sectionCount: number, known: readonly RunEvent[]) {
  const [events, setEvents] = useState<readonly RunEvent[]>(known);
  const [waiting, setWaiting] = useState(0);
  const [refusal, setRefusal] = useState<string | null>(null);
  const outbox = useRef<Outbox | null>(null);

  useEffect(() => {
    const own = openOutbox(setId, (count, refused) => {
      setWaiting(count);
      if (refused) setRefusal(refused);
    });
    outbox.current = own;
    // Taps from before a reload or crash are still waiting.
    const left = own.waiting();
    queueMicrotask(() => {
      setEvents((seen) => [...seen, ...left.filter((event) => !seen.some(({ id }) => id === event.id))]);
      void own.flush();
    });
    const again = () => void own.flush();
    window.addEventListener('online', again);
    return () => window.removeEventListener('online', again);
  }, [setId]);

  const record = useCallback(
    (kind: RunEventKind, sectionNumber: number | null = null, note: string | null = null) => {
      const event: RunEvent = { id: crypto.randomUUID(), kind, atMs: Date.now(), sectionNumber, note };
      setEvents((seen) => [...seen, event]);
      outbox.current?.put(event);
    },
    [],
  );

  const state = useMemo(() => runState(events, sectionCount), [events, sectionCount]);
  return { state, record, waiting, refusal };
}
