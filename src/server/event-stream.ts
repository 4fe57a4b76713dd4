import { log } from './log';
import { whenStopping } from './stopping';

/** Something to send, with its place, so that a reader who was cut off can go on from there. */
export interface Streamed {
  readonly sequence: number;
  readonly data: unknown;
}

/** How soon a browser that was cut off comes back, ms. */
const COME_BACK_MS = 1500;
/** A look at the log now and then: something else may have written to the file, and the line shows that it is there. */
const LOOK_EVERY_MS = 5000;
/** Streams of this server at once; who comes later asks from time to time instead. */
const MOST_STREAMS = 100;

let openStreams = 0;

/** Whether no further stream can be opened. */
export const areStreamsFull = (): boolean => openStreams >= MOST_STREAMS;

/**
 * A stream of Server-Sent Events that follows something that only grows.
 *
 * @param after place after which it begins
 * @param readAfter what came after a place, in order
 * @param follow calls back whenever there may be more; answers how to stop that
 * @param signal aborted when the reader is gone
 */
export function eventStream(
  after: number,
  readAfter: (sequence: number) => Promise<readonly Streamed[]>,
  follow: (hear: () => void) => () => void,
  signal: AbortSignal,
): Response {
  const encoder = new TextEncoder();
  let last = after;
  let end = () => {};
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      let isOver = false;
      let isReading = false;
      let again = false;
      const send = (text: string) => {
        if (!isOver) controller.enqueue(encoder.encode(text));
      };
      const look = async () => {
        again = true;
        if (isReading) return;
        isReading = true;
        try {
          while (again && !isOver) {
            again = false;
            for (const { sequence, data } of await readAfter(last)) {
              send(`id: ${sequence}\ndata: ${JSON.stringify(data)}\n\n`);
              last = sequence;
            }
          }
        } catch (thrown) {
          // Closed for a while, or gone: the reader comes back and is told then.
          log.debug({ err: thrown }, 'a stream was ended');
          end();
        } finally {
          isReading = false;
        }
      };
      const unfollow = follow(() => void look());
      const timer = setInterval(() => {
        send('event: here\ndata: .\n\n');
        void look();
      }, LOOK_EVERY_MS);
      end = () => {
        if (isOver) return;
        isOver = true;
        clearInterval(timer);
        unfollow();
        forget();
        openStreams -= 1;
        controller.close();
      };
      openStreams += 1;
      const forget = whenStopping(end);
      signal.addEventListener('abort', end);
      send(`retry: ${COME_BACK_MS}\n\n`);
      void look();
    },
    cancel: () => end(),
  });
  return new Response(body, {
    headers: {
      'content-type': 'text/event-stream; charset=utf-8',
      // Compressed, or held back by a proxy, nothing would arrive.
      'cache-control': 'no-cache, no-transform',
      'x-accel-buffering': 'no',
      // Once it is over, nothing more comes over this line: a server that stops does not wait for it.
      connection: 'close',
    },
  });
}
