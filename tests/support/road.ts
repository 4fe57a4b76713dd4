import { createServer, request as ask, type IncomingMessage } from 'node:http';
import type { AddressInfo } from 'node:net';

/** A road to a server on which a page, once it is answered in full, can be held up. */
export interface Road {
  readonly origin: string;
  /** Pages wait for this before they go on. */
  hold: Promise<unknown>;
  /** Called when a page is held up. */
  onPage: () => void;
  readonly close: () => void;
}

export async function roadTo(origin: string): Promise<Road> {
  const isPage = ({ headers }: IncomingMessage) => headers.accept?.includes('text/html') ?? false;
  const server = createServer((request, response) => {
    const { method, headers } = request;
    const onward = ask(origin + request.url, { method, headers }, (answer) => {
      const go = () => response.writeHead(answer.statusCode!, answer.headers);
      if (!isPage(request)) return answer.pipe(go());
      const parts: Buffer[] = [];
      answer.on('data', (part: Buffer) => parts.push(part));
      return answer.on('end', () => {
        road.onPage();
        void road.hold.then(() => go().end(Buffer.concat(parts)));
      });
    });
    onward.on('error', () => response.destroy());
    response.on('close', () => onward.destroy());
    request.pipe(onward);
  });
  await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready));
  const road: Road = {
    origin: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    hold: Promise.resolve(),
    onPage: () => undefined,
    close: () => {
      server.close();
      server.closeAllConnections();
    },
  };
  return road;
}
