import { openDB, type DBSchema } from 'idb';
import type { HeardEvent } from '@/core/run/set-events';
import type { RunEvent } from '@/core/run/run-event';
import { loadWire } from './wire';

interface Kept {
  readonly setId: string;
  readonly keptMs: number;
  readonly events: readonly HeardEvent[];
}

interface Schema extends DBSchema {
  sets: { key: string; value: Kept };
}

const NAME = 'keen-seen';
/** Sets that are remembered here: those that were looked at last. */
const MOST_SETS = 12;

/**
 * What this device has seen of the logs of its sets. A page that is opened without the server is as old as the last
 * visit; what was heard since stands here. Where the device keeps nothing, nothing is lost but that.
 */
const open = () =>
  openDB<Schema>(NAME, 1, {
    upgrade: (db) => void db.createObjectStore('sets', { keyPath: 'setId' }),
    blocking: (_, __, event) => (event.target as IDBDatabase).close(),
  });
let opened: ReturnType<typeof open> | null = null;
const db = () =>
  (opened ??= open().catch((thrown: unknown) => {
    opened = null;
    throw thrown;
  }));

export const seenStore = {
  async of(setId: string): Promise<readonly RunEvent[]> {
    try {
      const kept: unknown = (await (await db()).get('sets', setId))?.events ?? [];
      const { heardEvents } = await loadWire();
      const read = heardEvents.safeParse(kept);
      return read.success ? read.data.map(({ sequence, event }) => ({ ...event, sequence })) : [];
    } catch {
      return [];
    }
  },
  /** Keeps what is known of a set now; what has no place yet waits in the outbox. */
  async keep(setId: string, events: readonly RunEvent[]): Promise<void> {
    try {
      const placed = events.flatMap(({ sequence, ...event }) =>
        sequence === null ? [] : [{ sequence, event: { ...event, of: event.of && [...event.of] } }],
      );
      const tx = (await db()).transaction('sets', 'readwrite');
      const before = (await tx.store.get(setId))?.events ?? [];
      const bySequence = new Map([...before, ...placed].map((one) => [one.sequence, one]));
      await tx.store.put({ setId, keptMs: Date.now(), events: [...bySequence.values()] });
      const all = await tx.store.getAll();
      const old = all.sort((a, b) => b.keptMs - a.keptMs).slice(MOST_SETS);
      await Promise.all([...old.map((one) => tx.store.delete(one.setId)), tx.done]);
    } catch {
      // A full or closed storage: the page goes on with what it has.
    }
  },
  /** Forgets everything that was seen. */
  async forget(): Promise<void> {
    try {
      await (await db()).clear('sets');
    } catch {
      // Where nothing can be kept, nothing is.
    }
  },
};
