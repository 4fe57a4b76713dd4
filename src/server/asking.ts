import { AsyncLocalStorage } from 'node:async_hooks';
import { env } from './env';

/**
 * How a request came in, as the door knows it that it came through. It goes along with the request inside this process;
 * nothing that is sent can say it.
 */
export interface Asking {
  /** Of this computer, where nobody signs in, or of the network. */
  readonly door: 'computer' | 'network';
  /** Scheme, name and port by which it was called, such as `https://studio.local:3443`. */
  readonly origin: string;
  /** Names that may be called by at this door, lower case. */
  readonly names: readonly string[];
  /** Path and search. */
  readonly path: string;
  readonly cookies: Readonly<Record<string, string | undefined>>;
  /** Where it comes from, as an address of the network. */
  readonly from: string;
}

/** Names of this computer for itself. */
export const OWN_NAMES: readonly string[] = ['127.0.0.1', 'localhost', '[::1]'];

const holder = globalThis as { keenSpiralAsking?: AsyncLocalStorage<Asking> };
/** One for the whole process: the doors and the pages are built apart. */
const storage = (holder.keenSpiralAsking ??= new AsyncLocalStorage<Asking>());

/** Answers a request as one that came in so. */
export const asked = <T>(asking: Asking, answer: () => T): T => storage.run(asking, answer);

/** What came through no door of ours comes from nobody; while the program is being written, from this computer. */
const withoutDoor: Asking = {
  door: env.isProduction ? 'network' : 'computer',
  origin: `http://127.0.0.1:${env.port}`,
  names: OWN_NAMES,
  path: '/',
  cookies: {},
  from: '',
};

/** How the request came in that is being answered. */
export const asking = (): Asking => storage.getStore() ?? withoutDoor;
