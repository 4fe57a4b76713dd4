'use client';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { runEvent, type RunEvent, type RunEventDetail, type RunEventKind } from '@/core/run/run-event';
import { runState } from '@/core/run/run-state';
import { offsetMs } from '@/ui/hooks/server-clock';
import type { OutboxNews } from './outbox/outbox';
import type { RefusedEvent } from './outbox/outbox-store';
import { useChairSettings } from './chair-settings';
import { ownDeviceId, thisDevice } from './outbox/this-device';
import { useHeard } from './use-heard';

const NO_NEWS: OutboxNews = {
  waiting: [],
  refused: [],
  kept: [],
  isDeviceFull: false,
  isOffline: false,
  isSignedOut: false,
};

/** The log of a set as this device sees it: what the server has, and the taps on their way to it. */
export function useRunLog(setId: string, sectionCount: number, known: readonly RunEvent[]) {
  const { ownName } = useChairSettings();
  const by = ownName.trim() || null;
  const [deviceId, setDeviceId] = useState<string | null>(null);
  useEffect(() => void ownDeviceId().then(setDeviceId), []);
  /** Taps of this page, until the server has given them their place. */
  const [tapped, setOwn] = useState<readonly RunEvent[]>([]);
  /** What waits on this device; null until it was looked at: before that nothing is called kept. */
  const [told, setNews] = useState<OutboxNews | null>(null);
  const news = told ?? NO_NEWS;
  /** Taps that the outbox has not spoken of yet: until it does, nothing may be called kept. */
  const [fresh, setFresh] = useState<readonly string[]>([]);

  useEffect(() => {
    const outbox = thisDevice();
    const stop = outbox.watch((told) => {
      setNews(told);
      const spokenOf = new Set([
        ...told.kept.map(({ id }) => id),
        ...[...told.waiting, ...told.refused].map(({ event }) => event.id),
      ]);
      setFresh((before) => before.filter((id) => !spokenOf.has(id)));
      const kept = told.kept.filter((event) => event.setId === setId);
      const gone = new Set(told.refused.map(({ event }) => event.id));
      const waiting = told.waiting.filter((queued) => queued.setId === setId).map(({ event }) => event);
      setOwn((before) => [
        ...before
          .filter(({ id }) => !gone.has(id))
          .map((event) => kept.find(({ id }) => id === event.id) ?? event),
        // Taps from before a reload or crash, or of another tab, are shown as they wait, and once they went.
        ...[...kept, ...waiting].filter((event) => !before.some(({ id }) => id === event.id)),
      ]);
    });
    return stop;
  }, [setId]);

  useEffect(() => {
    if (!news.isDeviceFull) return;
    const warn = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', warn);
    return () => window.removeEventListener('beforeunload', warn);
  }, [news.isDeviceFull]);

  const record = useCallback(
    (kind: RunEventKind, detail: RunEventDetail = {}) => {
      const event = runEvent(crypto.randomUUID(), kind, Date.now(), { ...detail, by });
      setOwn((before) => [...before, event]);
      setFresh((before) => [...before, event.id]);
      void thisDevice().put(setId, event);
      return event;
    },
    [setId, by],
  );

  const heard = useHeard(setId, known);
  const state = useMemo(() => {
    const told = [...known, ...heard.filter(({ id }) => !known.some((event) => event.id === id))];
    const has = new Set(told.map(({ id }) => id));
    const ahead = offsetMs();
    const mine = tapped
      .filter(({ id }) => !has.has(id))
      .map((event) => ({
        ...event,
        device: event.device ?? deviceId,
        atMs: event.sequence === null ? event.atMs + ahead : event.atMs,
      }));
    return runState([...told, ...mine], sectionCount);
  }, [known, heard, tapped, sectionCount, deviceId]);

  const mine = (queued: { readonly setId: string }) => queued.setId === setId;
  return {
    state,
    record,
    /** The hand of this device, as the log calls it. */
    ownHand: by ?? deviceId,
    isLooked: told !== null,
    waiting: news.waiting.filter(mine).length + fresh.length,
    refused: news.refused.filter(mine),
    isDeviceFull: news.isDeviceFull,
    isOffline: news.isOffline,
    isSignedOut: news.isSignedOut,
    decide: (refused: readonly RefusedEvent[], choice: 'again' | 'drop') =>
      void thisDevice().decide(refused, choice),
  };
}
