import { EventEmitter } from 'node:events';

interface Live {
  readonly hub: EventEmitter;
  /** How often each log has grown since the start. */
  readonly grown: Map<string, number>;
  /** Reads under way, by what is read and how far it had grown. */
  readonly reads: Map<string, Promise<unknown>>;
  /** Looks for what other processes wrote, by set. */
  readonly watches: Map<string, ReturnType<typeof setInterval>>;
}

const holder = globalThis as { keenSpiralLive?: Live };
/** One for the whole process: pages and routes are built apart and must still hear each other. */
const { hub, grown, reads, watches } = (holder.keenSpiralLive ??= {
  hub: new EventEmitter().setMaxListeners(0),
  grown: new Map(),
  reads: new Map(),
  watches: new Map(),
});

/** Tells everybody who follows a set that its log has grown. To be called once it is written. */
export function tellSet(setId: string): void {
  grown.set(setId, (grown.get(setId) ?? 0) + 1);
  hub.emit(setId);
}

/** How often it is looked whether another process wrote to a log that is followed here, ms. */
const LOOK_ELSEWHERE_MS = 700;

/**
 * Hears of every growth of the log of a set until the answer is called.
 *
 * @param lastPlace asks the database for the last place in the log, where other processes write to it too; one that
 *   follows asks for all of this process
 */
export function followSet(
  setId: string,
  hear: () => void,
  lastPlace: (() => Promise<number>) | null = null,
): () => void {
  hub.on(setId, hear);
  if (lastPlace !== null && !watches.has(setId)) watches.set(setId, watch(setId, lastPlace));
  return () => {
    hub.off(setId, hear);
    if (hub.listenerCount(setId) > 0) return;
    clearInterval(watches.get(setId));
    watches.delete(setId);
  };
}

function watch(setId: string, lastPlace: () => Promise<number>): ReturnType<typeof setInterval> {
  let known: number | null = null;
  let isAsking = false;
  const look = async () => {
    if (isAsking) return;
    isAsking = true;
    const last = await lastPlace().catch(() => known);
    isAsking = false;
    if (last !== null && known !== null && last !== known) tellSet(setId);
    known = last;
  };
  void look();
  return setInterval(() => void look(), LOOK_ELSEWHERE_MS);
}

/**
 * Reads once for all who ask the same of a log that has not grown meanwhile: every device at a head asks at each tap.
 *
 * @param what names what is read: who asks, and from which place on
 */
export function readOnce<T>(setId: string, what: string, read: () => Promise<T>): Promise<T> {
  const key = `${setId}/${grown.get(setId) ?? 0}/${what}`;
  const under = reads.get(key) as Promise<T> | undefined;
  if (under) return under;
  const reading = read().finally(() => reads.delete(key));
  reads.set(key, reading);
  return reading;
}
