import type { DBSchema, IDBPDatabase } from 'idb';
import { openDB } from 'idb';
import type { RunEvent } from '@/core/run/run-event';
import { loadWire } from './wire';

/** An event as it waits on the device: its number there, and the set it belongs to. */
export interface QueuedEvent {
  readonly number: number;
  readonly setId: string;
  readonly event: RunEvent;
}

/** An event that the server will not take, and why. */
export interface RefusedEvent extends QueuedEvent {
  readonly message: string;
}

/** Where taps wait on this device until the server has said of each what became of it. */
export interface OutboxStore {
  readonly deviceId: () => Promise<string>;
  /** @throws when the device cannot write, as on a full disk */
  readonly put: (setId: string, event: RunEvent) => Promise<QueuedEvent>;
  /** What waits, in the order it was tapped. */
  readonly waiting: () => Promise<readonly QueuedEvent[]>;
  readonly refused: () => Promise<readonly RefusedEvent[]>;
  /** Takes kept events away and puts refused ones aside, all or nothing. */
  readonly settle: (kept: readonly QueuedEvent[], refused: readonly RefusedEvent[]) => Promise<void>;
  /** Puts refused events back among those that wait, or drops them. */
  readonly decide: (refused: readonly RefusedEvent[], choice: 'again' | 'drop') => Promise<void>;
}

interface Schema extends DBSchema {
  waiting: { key: number; value: QueuedEvent };
  refused: { key: number; value: RefusedEvent };
  device: { key: string; value: { readonly key: string; readonly text: string; readonly count: number } };
}

const NAME = 'keen-outbox';
const STRICT = { durability: 'strict' } as const;

/**
 * Keys of local storage that hold taps: of a page that was left before a tap was written down (its place in the order
 * of the taps, the id of the tap and of its set), or of an older version (the id of the set). Each holds a list.
 */
const HELD = /^keen\.(?:run|tap\.\d+\.[^.]+)\.(.+)$/;

/**
 * The store in the browser. Writing is on the disk before it is said to be done, so that neither a reload nor a crash
 * nor a lost connection loses a tap. Writing takes a moment, and a page that is left in that moment takes it along;
 * local storage, which is written before the press returns, holds the tap over it. Only ids, section numbers, times
 * and notes are held, until they are sent.
 */
export function browserStore(): OutboxStore {
  let count = 0;
  /** What pages before this one left; looked up before this page leaves anything itself. */
  let left: readonly string[] | null = null;
  const leftOver = () =>
    (left ??= Object.keys(localStorage)
      .filter((key) => HELD.test(key))
      .sort());
  /** @returns the key it is held under, or null where the browser holds nothing */
  const hold = (setId: string, { sequence: _, ...event }: RunEvent): string | null => {
    count += 1;
    const key = `keen.tap.${String(count).padStart(9, '0')}.${event.id}.${setId}`;
    try {
      localStorage.setItem(key, JSON.stringify([event]));
      return key;
    } catch {
      return null;
    }
  };

  let opened: Promise<IDBPDatabase<Schema>> | null = null;
  const open = () =>
    (opened ??= openDB<Schema>(NAME, 1, {
      upgrade(db) {
        db.createObjectStore('waiting', { keyPath: 'number' });
        db.createObjectStore('refused', { keyPath: 'number' });
        db.createObjectStore('device', { keyPath: 'key' });
      },
      // An old tab must not stop a newer one from opening its version.
      blocking: (_, __, event) => (event.target as IDBDatabase).close(),
      terminated: () => (opened = null),
    }).catch((thrown: unknown) => {
      opened = null;
      throw thrown;
    }));

  /** Writes a tap down, once: another page may be about to do it too. */
  const write = async (setId: string, event: RunEvent): Promise<QueuedEvent> => {
    const tx = (await open()).transaction(['waiting', 'device'], 'readwrite', STRICT);
    const device = tx.objectStore('device');
    const waiting = tx.objectStore('waiting');
    const known = (await waiting.getAll()).find((tap) => tap.event.id === event.id);
    const number = ((await device.get('number'))?.count ?? 0) + 1;
    const queued = known ?? { number, setId, event };
    if (!known)
      await Promise.all([device.put({ key: 'number', text: '', count: number }), waiting.put(queued)]);
    await tx.done;
    return queued;
  };

  /** Taps that a page before this one, or an older version of the program, left in local storage are sent too. */
  const takeOver = async (): Promise<void> => {
    for (const key of leftOver()) {
      const events = await heldUnder(key);
      for (const event of events) await write(HELD.exec(key)![1]!, event);
      if (events.length > 0) localStorage.removeItem(key);
    }
    left = [];
  };

  return {
    put: async (setId, event) => {
      leftOver();
      const key = hold(setId, event);
      const queued = await write(setId, event);
      if (key) localStorage.removeItem(key);
      return queued;
    },
    deviceId: async () => {
      const tx = (await open()).transaction('device', 'readwrite', STRICT);
      const known = await tx.store.get('id');
      const text = known?.text ?? crypto.randomUUID();
      if (!known) await tx.store.put({ key: 'id', text, count: 0 });
      await tx.done;
      return text;
    },
    waiting: async () => {
      // What cannot be written down now stays where it is; it hides nothing of what is written.
      await takeOver().catch(() => undefined);
      return (await open()).getAll('waiting');
    },
    refused: async () => (await open()).getAll('refused'),
    settle: async (kept, refused) => {
      const tx = (await open()).transaction(['waiting', 'refused'], 'readwrite', STRICT);
      await Promise.all([
        ...[...kept, ...refused].map(({ number }) => tx.objectStore('waiting').delete(number)),
        ...refused.map((tap) => tx.objectStore('refused').put(tap)),
        tx.done,
      ]);
    },
    decide: async (refused, choice) => {
      const tx = (await open()).transaction(['waiting', 'refused'], 'readwrite', STRICT);
      await Promise.all([
        ...refused.map(({ number }) => tx.objectStore('refused').delete(number)),
        ...(choice === 'again'
          ? refused.map(({ number, setId, event }) => tx.objectStore('waiting').put({ number, setId, event }))
          : []),
        tx.done,
      ]);
    },
  };
}

/** The taps under a key of local storage; none where it holds anything else. */
async function heldUnder(key: string): Promise<readonly RunEvent[]> {
  try {
    const { runEventInputs } = await loadWire();
    const events = runEventInputs.safeParse(JSON.parse(localStorage.getItem(key) ?? '[]'));
    return (events.data ?? []).map((event) => ({ ...event, sequence: null }));
  } catch {
    return [];
  }
}
