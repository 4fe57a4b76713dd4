import { EventEmitter } from 'node:events';

interface Live {
  readonly hub: EventEmitter;
  /** How often each log has grown since the start. */
  readonly grown: Map<string, number>;
  /** Reads under way, by what is read and how far it had grown. */
  readonly reads: Map<string, Promise<unknown>>;
}

const holder = globalThis as { keenSpiralLive?: Live };
/** One for the whole process: pages and routes are built apart and must still hear each other. */
const { hub, grown, reads } = (holder.keenSpiralLive ??= {
  hub: new EventEmitter().setMaxListeners(0),
  grown: new Map(),
  reads: new Map(),
});

/** Tells everybody who follows a set that its log has grown. To be called once it is written. */
export function tellSet(setId: string): void {
  grown.set(setId, (grown.get(setId) ?? 0) + 1);
  hub.emit(setId);
}

/** Hears of every growth of the log of a set until the answer is called. */
export function followSet(setId: string, hear: () => void): () => void {
  hub.on(setId, hear);
  return () => void hub.off(setId, hear);
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
