import { EventEmitter } from 'node:events';

const holder = globalThis as { keenSpiralLive?: EventEmitter };
/** One for the whole process: pages and routes are built apart and must still hear each other. */
const hub = (holder.keenSpiralLive ??= new EventEmitter().setMaxListeners(0));

/** Tells everybody who follows a set that its log has grown. To be called once it is written. */
export const tellSet = (setId: string): void => void hub.emit(setId);

/** Hears of every growth of the log of a set until the answer is called. */
export function followSet(setId: string, hear: () => void): () => void {
  hub.on(setId, hear);
  return () => void hub.off(setId, hear);
}
