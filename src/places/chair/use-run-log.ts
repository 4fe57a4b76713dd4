'use client';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { runState, type RunEvent, type RunEventKind } from '@/core/run/run-state';
import { recordEvents } from './actions';

const RETRY_AFTER_MS = 3000;
const queueKey = (setId: string) => `keen.run.${setId}`;

function readQueue(setId: string): RunEvent[] {
  try {
    return JSON.parse(localStorage.getItem(queueKey(setId)) ?? '[]') as RunEvent[];
  } catch {
    return [];
  }
}

function writeQueue(setId: string, events: readonly RunEvent[]) {
  if (events.length === 0) localStorage.removeItem(queueKey(setId));
  else localStorage.setItem(queueKey(setId), JSON.stringify(events));
}

/**
 * The log of a set on this device. A tap is written down here first and sent after, so that neither a reload,
 * a crash nor a lost connection loses it. Only ids, section numbers and times are stored, nothing about people.
 */
export function useRunLog(setId: string, sectionCount: number, known: readonly RunEvent[]) {
  const [events, setEvents] = useState<readonly RunEvent[]>(known);
  const [waiting, setWaiting] = useState(0);
  const [refusal, setRefusal] = useState<string | null>(null);
  const sending = useRef(false);

  const flush = useCallback(async () => {
    if (sending.current) return;
    const queue = readQueue(setId);
    setWaiting(queue.length);
    if (queue.length === 0) return;
    sending.current = true;
    try {
      const answer = await recordEvents({ setId, events: queue });
      if (answer.ok || answer.code === 'invalid') {
        const sent = new Set(queue.map((event) => event.id));
        writeQueue(
          setId,
          readQueue(setId).filter((event) => !sent.has(event.id)),
        );
        setRefusal(answer.ok ? null : (answer.errors[0]?.message ?? null));
      }
      sending.current = false;
      const left = readQueue(setId).length;
      setWaiting(left);
      if (left > 0) setTimeout(() => void flush(), answer.ok ? 0 : RETRY_AFTER_MS);
    } catch {
      sending.current = false;
      setTimeout(() => void flush(), RETRY_AFTER_MS);
    }
  }, [setId]);

  useEffect(() => {
    // Taps from before a reload or crash are still in the queue.
    const left = readQueue(setId);
    if (left.length > 0) {
      queueMicrotask(() => {
        setEvents((own) => [...own, ...left.filter((event) => !own.some((o) => o.id === event.id))]);
        void flush();
      });
    }
    const again = () => void flush();
    window.addEventListener('online', again);
    return () => window.removeEventListener('online', again);
  }, [setId, flush]);

  const record = useCallback(
    (kind: RunEventKind, sectionNumber: number | null = null, note: string | null = null) => {
      const event: RunEvent = { id: crypto.randomUUID(), kind, atMs: Date.now(), sectionNumber, note };
      writeQueue(setId, [...readQueue(setId), event]);
      setEvents((own) => [...own, event]);
      void flush();
    },
    [setId, flush],
  );

  const state = useMemo(() => runState(events, sectionCount), [events, sectionCount]);
  return { state, record, waiting, refusal };
}
