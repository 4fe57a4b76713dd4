/** Whether this server was asked to stop: it finishes what it has, and begins nothing that lasts. */
let isAsked = false;
const onStop = new Set<() => void>();

const stop = () => {
  isAsked = true;
  for (const end of onStop) end();
};
process.once('SIGTERM', stop);
process.once('SIGINT', stop);

/** Whether the server is stopping. */
export const isStopping = (): boolean => isAsked;

/**
 * Calls back once the server is asked to stop: it waits for its answers, and what lasts would never be over.
 *
 * @returns what forgets it again
 */
export function whenStopping(end: () => void): () => void {
  onStop.add(end);
  return () => onStop.delete(end);
}
