'use client';
import type { SetEventsInput } from '@/core/run/set-events';
import { noteExchange, offsetMs, exchangeCount } from '@/ui/hooks/server-clock';
import { createOutbox, readAnswer, type Outbox, type Send } from './outbox';
import { browserStore, type OutboxStore, type QueuedEvent } from './outbox-store';

const LOCK = 'keen-outbox';
/** Exchanges before anything is sent: the quickest of them tells how wrong the clock is. */
const FIRST_EXCHANGES = 3;
/** Longest that an answer is waited for, ms. */
const PATIENCE_MS = 20_000;

async function askClock(): Promise<void> {
  const sentMs = Date.now();
  const response = await fetch('/api/v1/clock', {
    cache: 'no-store',
    signal: AbortSignal.timeout(PATIENCE_MS),
  });
  const { serverMs } = (await response.json()) as { serverMs: number };
  noteExchange({ sentMs, receivedMs: Date.now(), serverMs });
}

// What the device could not write down has no number there.
const wire = ({ number, event: { sequence: _, device: __, ...event } }: QueuedEvent) => ({
  ...event,
  number: Math.max(0, number),
});

const send: Send = async (setId, deviceId, events) => {
  while (exchangeCount() < FIRST_EXCHANGES) await askClock();
  const body: SetEventsInput = { format: 1, deviceId, offsetMs: offsetMs(), events: events.map(wire) };
  const response = await fetch(`/api/v1/sets/${setId}/events`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
    signal: AbortSignal.timeout(PATIENCE_MS),
  });
  return readAnswer(response);
};

// Pages that share no locks (an address that is not secure) send alone; the server counts a tap once all the same.
const alone = (task: () => Promise<void>): Promise<void> =>
  typeof navigator.locks === 'undefined' ? task() : navigator.locks.request(LOCK, task);

let store: OutboxStore | null = null;
const ownStore = () => (store ??= browserStore());
let outbox: Outbox | null = null;

/** The one outbox of this page. */
export const thisDevice = (): Outbox =>
  (outbox ??= createOutbox(ownStore(), send, alone, (run, ms) => setTimeout(run, ms)));

/** What this device is called in the log; null where it can keep no name. */
export const ownDeviceId = (): Promise<string | null> =>
  ownStore()
    .deviceId()
    .catch(() => null);

export { askClock };
