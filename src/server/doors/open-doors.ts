import { createServer, type IncomingMessage, type RequestListener, type Server } from 'node:http';
import { createServer as createSecureServer, type Server as SecureServer } from 'node:https';
import { asked } from '../asking';
import { env } from '../env';
import { log } from '../log';
import { HOUR_MS, MINUTE_MS } from '@/core/units/time';
import { isKnownAs, ownAddresses, ownName } from './addresses';
import { admit, type Door } from './admission';
import { fingerprintOf, nameOf, type Pair } from './certificates';
import { certified, keepNetwork, keptAuthority, readNetwork, renewAuthority } from './kept';
import type { Doors, NetworkState } from './network';
import { answerOffer } from './offer';
import { openOwnDoor, type OwnDoor } from './own-door';
import { rateLimit } from './rate-limit';

/** How often it is looked whether the addresses are still the same. */
const LOOK_EVERY_MS = MINUTE_MS;
/** How often a certificate is looked at whose addresses stayed the same. */
const RENEW_EVERY_MS = 6 * HOUR_MS;
/** All addresses of this computer. */
const EVERYWHERE = '0.0.0.0';
/** Longest that the headers of a request may be on their way, and the whole of it, ms. */
const HEADERS_MS = 20_000;
const REQUEST_MS = 120_000;
/** Connections at one door at once. */
const MOST_CONNECTIONS = 400;

const TOO_MANY = JSON.stringify({
  type: 'urn:keen-spiral:busy',
  title: 'Too much is asked for at once; try again in a moment',
  status: 429,
});

const METHODS: readonly string[] = ['GET', 'HEAD', 'POST', 'PUT', 'DELETE', 'OPTIONS'];
/** What names an action of a page: nothing else is posted to one. */
const ACTION = /^[0-9a-f]{40,44}$/;

/** Whether a request is of a kind that any page or address here takes. */
const isTaken = ({ method = '', url = '', headers }: IncomingMessage): boolean =>
  METHODS.includes(method) &&
  (url.startsWith('/api/') ||
    ['GET', 'HEAD', 'OPTIONS'].includes(method) ||
    (method === 'POST' && ACTION.test(String(headers['next-action']))));

/** The files of the program need no limit: they are kept by who fetches them. */
const isFile = (url: string | undefined) => url?.startsWith('/_next/static/') ?? false;

/** Answers what comes through a door with the pages of the program. */
function listener(door: Door, answer: RequestListener, own: OwnDoor): RequestListener {
  const isLet = rateLimit();
  return (request, response) => {
    // Who hangs up in the middle is no fault.
    request.on('error', () => undefined);
    if (!request.headers.host) {
      response.writeHead(400, { connection: 'close' }).end();
      return;
    }
    if (!isTaken(request)) {
      response.writeHead(405, { allow: METHODS.join(', '), connection: 'close' }).end();
      return;
    }
    const asking = admit(request, door);
    if (asking.door === 'network' && !isFile(request.url) && !isLet(asking.from, Date.now())) {
      response.writeHead(429, { 'content-type': 'application/problem+json', 'retry-after': '5' });
      response.end(TOO_MANY);
      return;
    }
    if (request.method === 'POST') own.remember(request, response, asking);
    asked(asking, () => answer(request, response));
  };
}

/** Opens a door, or says why it cannot be. */
function listen(server: Server | SecureServer, port: number, host: string): Promise<void> {
  server.headersTimeout = HEADERS_MS;
  server.requestTimeout = REQUEST_MS;
  server.maxConnections = MOST_CONNECTIONS;
  return new Promise((ready, failed) => {
    server.once('error', failed);
    server.listen(port, host, () => {
      server.off('error', failed);
      server.on('error', (thrown) => log.error({ err: thrown }, 'a door failed'));
      ready();
    });
  });
}

const closed = (server: Server | SecureServer): Promise<void> =>
  new Promise((done) => {
    server.close(() => done());
    server.closeIdleConnections();
  });

interface Open {
  readonly secure: SecureServer;
  readonly offer: Server;
  server: Pair;
}

/** What is told of the network at the moment, beside what the doors themselves are. */
interface Seen {
  name: string;
  addresses: readonly string[];
  isNameKnown: boolean;
}

/**
 * The doors of this process: one for this computer, or for the proxy before it, and, once the studio's network is let
 * in, an encrypted one and one that offers the authority.
 *
 * @param answer what the pages of the program answer
 * @param folder where the authority is kept
 */
export async function openDoors(
  answer: RequestListener,
  folder: string,
): Promise<Doors & { readonly close: () => Promise<void> }> {
  const own = await openOwnDoor(answer);
  const near = createServer(
    listener(
      {
        scheme: 'http',
        isOfComputer: env.isLoopback,
        alwaysSignIn: env.alwaysSignIn,
        isBehindProxy: env.isBehindProxy,
        names: () => env.allowedHosts,
      },
      answer,
      own,
    ),
  );
  const seen: Seen = { name: ownName(), addresses: ownAddresses(), isNameKnown: false };
  let open: Open | null = null;
  let network = readNetwork(folder);
  let lookedAtMs = 0;

  const names = () => {
    const authority = keptAuthority(folder);
    return [...(authority ? [nameOf(authority.certificatePem)] : []), ...seen.addresses, ...env.allowedHosts];
  };

  const state = (): NetworkState => {
    const authority = keptAuthority(folder);
    const vouched = authority ? nameOf(authority.certificatePem) : seen.name;
    const address = seen.addresses[0];
    const at = (host: string, port: number, scheme = 'https') => `${scheme}://${host}:${port}`;
    const isByName = seen.isNameKnown || address === undefined;
    const byAddress = open && address ? at(address, env.httpsPort) : null;
    return {
      isOn: open !== null,
      isFixed: env.lan !== null,
      name: seen.name,
      formerName: vouched === seen.name ? null : vouched,
      addresses: seen.addresses,
      origin: open && at(isByName ? vouched : address, env.httpsPort),
      byAddress,
      offer: open && at(isByName ? vouched : address, env.offerPort, 'http'),
      fingerprint: authority ? fingerprintOf(authority.certificatePem) : null,
      movedAtMs: network.movedAtMs,
    };
  };

  const begin = async () => {
    if (open) return;
    const { authority, server } = await certified(folder, seen.name, seen.addresses, Date.now());
    const secure = createSecureServer(
      { key: server.keyPem, cert: server.certificatePem, minVersion: 'TLSv1.2' },
      listener(
        { scheme: 'https', isOfComputer: false, alwaysSignIn: true, isBehindProxy: false, names },
        answer,
        own,
      ),
    );
    const offer = createServer((request, response) => {
      const { origin, byAddress, fingerprint } = state();
      answerOffer(
        {
          certificatePem: keptAuthority(folder)?.certificatePem ?? authority.certificatePem,
          fingerprint: fingerprint ?? '',
          origin: origin ?? byAddress ?? '',
        },
        request,
        response,
      );
    });
    secure.on('tlsClientError', ({ code }: NodeJS.ErrnoException) =>
      log.info({ code }, 'a line was not made'),
    );
    await listen(secure, env.httpsPort, EVERYWHERE);
    try {
      await listen(offer, env.offerPort, EVERYWHERE);
    } catch (thrown) {
      await closed(secure);
      throw thrown;
    }
    open = { secure, offer, server };
    log.info({ port: env.httpsPort }, 'the network is let in');
  };

  const end = async () => {
    if (!open) return;
    const { secure, offer } = open;
    open = null;
    secure.closeAllConnections();
    await Promise.all([closed(secure), closed(offer)]);
  };

  const keep = (change: Partial<typeof network>) => {
    network = { ...network, ...change };
    keepNetwork(folder, network);
  };

  /** Sees what this computer is called and where it is now, and has a certificate made that says so. */
  const look = async () => {
    seen.name = ownName();
    seen.addresses = ownAddresses();
    const authority = keptAuthority(folder);
    seen.isNameKnown = await isKnownAs(
      authority ? nameOf(authority.certificatePem) : seen.name,
      seen.addresses,
    );
    if (!open) return;
    const hasMoved = network.addresses.length > 0 && network.addresses[0] !== seen.addresses[0];
    if (hasMoved || network.addresses.length === 0)
      keep({ addresses: [...seen.addresses], ...(hasMoved ? { movedAtMs: Date.now() } : {}) });
    if (!hasMoved && Date.now() - lookedAtMs < RENEW_EVERY_MS) return;
    lookedAtMs = Date.now();
    const { server } = await certified(folder, seen.name, seen.addresses, Date.now());
    if (server.certificatePem === open.server.certificatePem) return;
    open.server = server;
    open.secure.setSecureContext({ key: server.keyPem, cert: server.certificatePem });
  };
  const lookAgain = () =>
    void look().catch((thrown: unknown) => log.warn({ err: thrown }, 'the network could not be looked at'));

  await look();
  if (env.lan ?? network.isOn) {
    await begin();
    await look();
  }
  // Last: once it answers, everything stands.
  await listen(near, env.port, env.host).catch(async (thrown: unknown) => {
    await end();
    throw thrown;
  });
  const timer = setInterval(lookAgain, LOOK_EVERY_MS);
  timer.unref();
  process.on('SIGHUP', () => {
    lookedAtMs = 0;
    lookAgain();
  });

  return {
    state,
    turn: async (isOn) => {
      await (isOn ? begin() : end());
      keep({ isOn });
      await look();
      return state();
    },
    renew: async () => {
      await renewAuthority(folder, ownName(), Date.now());
      lookedAtMs = 0;
      await look();
      return state();
    },
    close: async () => {
      clearInterval(timer);
      const ending = [
        closed(near),
        closed(own.server),
        ...(open ? [closed(open.secure), closed(open.offer)] : []),
      ];
      await Promise.all(ending);
    },
  };
}
