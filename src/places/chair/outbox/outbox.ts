import type { SetEventsAnswer } from '@/core/run/set-events';
import { MOST_EVENTS, type RunEvent } from '@/core/run/run-event';
import type { OutboxStore, QueuedEvent, RefusedEvent } from './outbox-store';
import { loadWire } from './wire';

/** What came back for a batch. */
export type Sent =
  | { readonly kind: 'verdicts'; readonly verdicts: SetEventsAnswer['verdicts'] }
  /** Nothing of this batch will ever be taken. */
  | { readonly kind: 'refused'; readonly message: string }
  /** No answer, or one that says to come back: everything stays as it is. */
  | { readonly kind: 'later'; readonly isSignedOut?: boolean };

export type Send = (setId: string, deviceId: string, events: readonly QueuedEvent[]) => Promise<Sent>;

/** What an outbox tells those who watch it. */
export interface OutboxNews {
  readonly waiting: readonly QueuedEvent[];
  readonly refused: readonly RefusedEvent[];
  /** Kept since the last news, with their place and time as the server has them. */
  readonly kept: readonly (RunEvent & { readonly setId: string })[];
  /** The device cannot write: what waits is held in memory only and is gone with the page. */
  readonly isDeviceFull: boolean;
  readonly isOffline: boolean;
  /** The server answers, and wants somebody to sign in first. */
  readonly isSignedOut: boolean;
}

export interface Outbox {
  readonly put: (setId: string, event: RunEvent) => Promise<void>;
  readonly flush: () => Promise<void>;
  readonly decide: (refused: readonly RefusedEvent[], choice: 'again' | 'drop') => Promise<void>;
  readonly watch: (listener: (news: OutboxNews) => void) => () => void;
}

/** What the device could not write down has a number below 0. */
const isWritten = ({ number }: QueuedEvent): boolean => number > 0;

const FIRST_WAIT_MS = 500;
const LONGEST_WAIT_MS = 15_000;

/**
 * Taps on their way to the server. A tap is on the disk of the device before it is sent, is sent in the order it was
 * made, 50 at a time, and leaves only when the server has said of it alone that it is kept; one that is refused is put
 * aside where it can be seen. Nothing else ever takes a tap away.
 *
 * @param alone runs a task while no other page of this device runs one
 * @param later calls back after some ms
 */
export function createOutbox(
  store: OutboxStore,
  send: Send,
  alone: (task: () => Promise<void>) => Promise<void>,
  later: (run: () => void, ms: number) => void,
): Outbox {
  const listeners = new Set<(news: OutboxNews) => void>();
  /** What the device could not write down, in order. */
  let unwritten: QueuedEvent[] = [];
  let unwrittenNumber = 0;
  /** Of those, what the server would not take. */
  let unwrittenRefused: RefusedEvent[] = [];
  let isOffline = false;
  let isSignedOut = false;
  let waitMs = FIRST_WAIT_MS;
  let isFlushing = false;
  let again = false;

  const waitingNow = async () => [...(await store.waiting().catch(() => [])), ...unwritten];
  /** Everything kept since the page was opened: who begins to watch later must hear of it too. */
  const keptSoFar: (RunEvent & { setId: string })[] = [];
  const newsWith = async (kept: OutboxNews['kept']): Promise<OutboxNews> => ({
    waiting: await waitingNow(),
    refused: [...(await store.refused().catch(() => [])), ...unwrittenRefused],
    kept,
    isDeviceFull: unwritten.length > 0,
    isOffline,
    isSignedOut,
  });
  const tell = async (kept: OutboxNews['kept'] = []) => {
    const news = await newsWith(kept);
    for (const listener of listeners) listener(news);
  };

  const settle = async (kept: readonly QueuedEvent[], refused: readonly RefusedEvent[]) => {
    const settled = new Set([...kept, ...refused].map(({ number }) => number));
    unwritten = unwritten.filter(({ number }) => !settled.has(number));
    unwrittenRefused.push(...refused.filter((tap) => !isWritten(tap)));
    await store
      .settle(kept.filter(isWritten), refused.filter(isWritten))
      // A device that cannot write sends again later; the server knows what it has.
      .catch(() => undefined);
  };

  /** Sends what waits for the set that has waited longest. Answers whether more can be sent at once. */
  const sendSome = async (most: number): Promise<boolean> => {
    const waiting = await waitingNow();
    const first = waiting[0];
    if (!first) return false;
    const batch = waiting.filter(({ setId }) => setId === first.setId).slice(0, most);
    const deviceId = await store.deviceId().catch(() => 'unwritten');
    const sent = await send(first.setId, deviceId, batch).catch((): Sent => ({ kind: 'later' }));
    isSignedOut = sent.kind === 'later' && sent.isSignedOut === true;
    if (sent.kind === 'later') {
      isOffline = !isSignedOut;
      await tell();
      return false;
    }
    isOffline = false;
    waitMs = FIRST_WAIT_MS;
    if (sent.kind === 'refused') {
      // One bad event may have spoilt the batch: then each is asked for alone.
      if (batch.length > 1) return sendSome(1);
      await settle(
        [],
        batch.map((tap) => ({ ...tap, message: sent.message })),
      );
      await tell();
      return true;
    }
    const kept: QueuedEvent[] = [];
    const refused: RefusedEvent[] = [];
    const news: (RunEvent & { setId: string })[] = [];
    for (const tap of batch) {
      const verdict = sent.verdicts.find(({ id }) => id === tap.event.id);
      if (verdict?.kept) {
        kept.push(tap);
        news.push({ ...tap.event, setId: tap.setId, sequence: verdict.sequence, atMs: verdict.atMs });
      } else if (verdict) refused.push({ ...tap, message: verdict.message });
    }
    await settle(kept, refused);
    keptSoFar.push(...news);
    await tell(news);
    return kept.length + refused.length > 0;
  };

  const flush = async (): Promise<void> => {
    again = true;
    if (isFlushing) return;
    isFlushing = true;
    try {
      while (again) {
        again = false;
        await alone(async () => {
          while (await sendSome(MOST_EVENTS));
        });
      }
    } finally {
      isFlushing = false;
    }
    if ((await waitingNow()).length > 0) {
      later(() => void flush(), waitMs);
      waitMs = Math.min(2 * waitMs, LONGEST_WAIT_MS);
    }
  };

  return {
    put: async (setId, event) => {
      try {
        await store.put(setId, event);
      } catch {
        unwrittenNumber -= 1;
        unwritten.push({ number: unwrittenNumber, setId, event });
      }
      await tell();
      void flush();
    },
    flush: async () => {
      await tell();
      await flush();
    },
    decide: async (refused, choice) => {
      const decided = new Set(refused.map(({ number }) => number));
      unwrittenRefused = unwrittenRefused.filter(({ number }) => !decided.has(number));
      if (choice === 'again') unwritten.push(...refused.filter((tap) => !isWritten(tap)));
      await store.decide(refused.filter(isWritten), choice);
      await tell();
      if (choice === 'again') void flush();
    },
    watch: (listener) => {
      listeners.add(listener);
      void newsWith([...keptSoFar]).then(listener);
      return () => listeners.delete(listener);
    },
  };
}

/** Reads an answer of the server. An answer that is not understood takes nothing away. */
export async function readAnswer(response: Response): Promise<Sent> {
  const body: unknown = await response.json().catch(() => null);
  if (response.ok) {
    const { setEventsAnswer } = await loadWire();
    const read = setEventsAnswer.safeParse(body);
    return read.success ? { kind: 'verdicts', verdicts: read.data.verdicts } : { kind: 'later' };
  }
  if (response.status === 404)
    return { kind: 'refused', message: 'this set is not here any more; it may have been deleted' };
  if (response.status === 422 || response.status === 413 || response.status === 400)
    return { kind: 'refused', message: 'the server did not understand this' };
  return { kind: 'later', isSignedOut: response.status === 401 };
}
