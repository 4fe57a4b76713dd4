import { parse } from 'cookie';
import { randomBytes } from 'node:crypto';
import {
  createServer,
  type IncomingMessage,
  type RequestListener,
  type Server,
  type ServerResponse,
} from 'node:http';
import type { AddressInfo } from 'node:net';
import { asked, type Asking } from '../asking';

/** Names the request that is asked again for; cannot be sent, as every door takes such headers out. */
const AGAIN = 'x-keen-again';

/** The door by which the program asks itself again. */
export interface OwnDoor {
  /** Remembers how an action came in for as long as it is being answered. */
  readonly remember: (request: IncomingMessage, response: ServerResponse, asking: Asking) => void;
  readonly server: Server;
}

/**
 * The framework sends a request on to itself where an action belongs to another page than the one it was sent to. It
 * comes back through this door only, as whoever asked in the first place; nobody else is answered here.
 *
 * @param answer what the pages of the program answer
 */
export async function openOwnDoor(answer: RequestListener): Promise<OwnDoor> {
  const waiting = new Map<string, Asking>();
  const server = createServer((request, response) => {
    // Who hung up at another door hangs up here.
    request.on('error', () => undefined);
    const before = waiting.get(String(request.headers[AGAIN]));
    if (!before) {
      response.writeHead(404, { connection: 'close' }).end();
      return;
    }
    request.headers.host = new URL(before.origin).host;
    const cookies = parse(request.headers.cookie ?? '');
    asked({ ...before, path: request.url ?? '/', cookies }, () => answer(request, response));
  });
  await new Promise<void>((ready, failed) => {
    server.once('error', failed);
    server.listen(0, '127.0.0.1', ready);
  });
  // The one way to tell the framework where it is reached.
  // eslint-disable-next-line no-restricted-properties
  process.env.__NEXT_PRIVATE_ORIGIN = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  return {
    remember: (request, response, asking) => {
      const token = randomBytes(16).toString('hex');
      request.headers[AGAIN] = token;
      waiting.set(token, asking);
      response.once('close', () => waiting.delete(token));
    },
    server,
  };
}
