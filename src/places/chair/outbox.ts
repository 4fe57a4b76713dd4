import type { RunEvent } from '@/core/run/run-state';
import { recordEvents } from './actions';

const RETRY_AFTER_MS = 3000;
const queueKey = (setId: string) => `keen.run.${setId}`;

/** Where taps wait on this device until the server has them. */
export interface Outbox {
  readonly waiting: () => readonly RunEvent[];
  readonly put: (event: RunEvent) => void;
  readonly flush: () => Promise<void>;
}

/**
 * An outbox for one set. A tap is written down on the device first and sent after, so that neither a reload,
 * a crash nor a lost connection loses it. Only ids, section numbers, times and notes of this set are stored,
 * and only until they are sent.
 */
export function openOutbox(
  setId: string,
  onChange: (waiting: number, refusal: string | null) => void,
): Outbox {
  let isSending = false;
  const read = (): RunEvent[] => {
    try {
      return JSON.parse(localStorage.getItem(queueKey(setId)) ?? '[]') as RunEvent[];
    } catch {
      return [];
    }
  };
  const write = (events: readonly RunEvent[]) => {
    if (events.length === 0) localStorage.removeItem(queueKey(setId));
    else localStorage.setItem(queueKey(setId), JSON.stringify(events));
  };
  const flush = async (): Promise<void> => {
    if (isSending) return;
    const queue = read();
    onChange(queue.length, null);
    if (queue.length === 0) return;
    isSending = true;
    let refusal: string | null = null;
    let isSent = false;
    try {
      const answer = await recordEvents({ setId, events: queue });
      // What the server will never take must not block what comes after it.
      isSent = answer.ok || answer.code === 'invalid' || answer.code === 'not-found';
      refusal = answer.ok ? null : (answer.errors[0]?.message ?? null);
    } catch {
      // No connection: the queue stays as it is.
    }
    isSending = false;
    if (isSent) {
      const sent = new Set(queue.map((event) => event.id));
      write(read().filter((event) => !sent.has(event.id)));
    }
    const left = read().length;
    onChange(left, refusal);
    if (left > 0) setTimeout(() => void flush(), isSent ? 0 : RETRY_AFTER_MS);
  };
  return {
    waiting: read,
    put: (event) => {
      write([...read(), event]);
      void flush();
    },
    flush,
  };
}
