import type { IncomingHttpHeaders, IncomingMessage } from 'node:http';
import { parse } from 'cookie';
import { OWN_NAMES, type Asking } from '../asking';

/** What a door is like. */
export interface Door {
  readonly scheme: 'http' | 'https';
  /** Whether who comes through it sits at this computer, as far as the socket tells. */
  readonly isOfComputer: boolean;
  /** Whether everybody signs in, this computer too. */
  readonly alwaysSignIn: boolean;
  /** Whether a proxy stands before it, which tells where requests come from. */
  readonly isBehindProxy: boolean;
  /** Names it may be called by; at a door in the clear also those of this computer for itself. */
  readonly names: () => readonly string[];
}

/** Headers by which a proxy tells of whom it speaks for. Who sends them speaks for somebody else. */
const FORWARDED = ['forwarded', 'via', 'x-forwarded-for', 'x-real-ip'] as const;

/** Headers that only this program and its framework may set. */
const OURS = /^(x-forwarded-|x-keen-|x-middleware-|x-nextjs-rewritten-|x-matched-path$|x-invoke-|x-nonce$)/;

const isForwarded = (headers: IncomingHttpHeaders): boolean =>
  FORWARDED.some((name) => headers[name] !== undefined);

/** The address that the proxy itself saw: the last of the list; those before it were sent to it. */
const lastForwarded = (headers: IncomingHttpHeaders): string | undefined =>
  String(headers['x-forwarded-for'] ?? '')
    .split(',')
    .at(-1)
    ?.trim() || undefined;

/** Host name without its port, lower case. */
export const hostName = (host: string): string => host.replace(/:\d+$/, '').toLowerCase();

/** What the framework tells itself of the page that is open, as it writes it: a segment, what is in it, and more. */
function isRouterTree(told: unknown): boolean {
  if (!Array.isArray(told) || told.length < 2) return false;
  const [segment, within] = told as unknown[];
  const isSegment =
    typeof segment === 'string' ||
    (Array.isArray(segment) &&
      segment.length >= 3 &&
      segment.slice(0, 3).every((part) => typeof part === 'string'));
  return (
    isSegment && typeof within === 'object' && within !== null && Object.values(within).every(isRouterTree)
  );
}

const ROUTER_TREE = 'next-router-state-tree';

/** Takes out what the framework would stumble over where it is not as it wrote it: the page is then made whole. */
function dropBrokenTree(headers: IncomingHttpHeaders): void {
  const told = headers[ROUTER_TREE];
  if (told === undefined) return;
  try {
    if (isRouterTree(JSON.parse(decodeURIComponent(String(told))))) return;
  } catch {
    // No tree at all.
  }
  delete headers[ROUTER_TREE];
}

/**
 * How a request came in. Takes out of its headers what only this program may say, and what would name another host or
 * scheme than its own.
 */
export function admit(request: Pick<IncomingMessage, 'headers' | 'url' | 'socket'>, door: Door): Asking {
  const { headers } = request;
  const from =
    (door.isBehindProxy ? lastForwarded(headers) : undefined) ?? request.socket.remoteAddress ?? '';
  const isComputer = door.isOfComputer && !door.alwaysSignIn && !door.isBehindProxy && !isForwarded(headers);
  for (const name of Object.keys(headers)) if (OURS.test(name)) delete headers[name];
  dropBrokenTree(headers);
  // Behind a proxy the browser speaks HTTPS to the proxy: what is said in the clear here is said at home.
  const scheme = door.isBehindProxy ? 'https' : door.scheme;
  headers['x-forwarded-proto'] = scheme;
  return {
    door: isComputer ? 'computer' : 'network',
    origin: `${scheme}://${(headers.host ?? '').toLowerCase()}`,
    names: [...(door.scheme === 'http' ? OWN_NAMES : []), ...door.names()],
    path: request.url ?? '/',
    cookies: parse(headers.cookie ?? ''),
    from,
  };
}

/** What is told of a request before anything is looked up: how it came in, its method and its headers. */
interface Told {
  readonly asking: Pick<Asking, 'names' | 'origin'>;
  readonly method: string;
  readonly path: string;
  readonly header: (name: string) => string | null;
}

/** A drawing on its own has no page around it: another site has no business with it. */
const SHEET = /^\/plan\/[^/]+\/sheet\//;

/**
 * Whether somebody pressed a link to a page here. Anything else that another site asks for, such as an image, a frame
 * or a page opened by a script, would let that site make this server work.
 */
const isFollowedLink = ({ header, path }: Told): boolean =>
  header('sec-fetch-mode') === 'navigate' &&
  header('sec-fetch-dest') === 'document' &&
  header('sec-fetch-user') === '?1' &&
  !path.startsWith('/api/') &&
  !SHEET.test(path);

/** Whether a request is addressed to this server by a name of its own, and not sent by a page of another site. */
export function isOurs(told: Told): boolean {
  const { asking, method, header } = told;
  const host = (header('host') ?? '').toLowerCase();
  if (!asking.names.includes(hostName(host))) return false;
  const isForeign = ['cross-site', 'same-site'].includes(header('sec-fetch-site') ?? '');
  if (method === 'GET' || method === 'HEAD') return !isForeign || isFollowedLink(told);
  const origin = header('origin');
  if (origin === null) return !isForeign;
  // The scheme too: what is served in the clear under this name is somebody else's.
  return origin.toLowerCase() === `${asking.origin.split('://')[0]}://${host}`;
}
