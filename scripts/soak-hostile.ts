import { randomBytes } from 'node:crypto';
import { Agent, request } from 'node:http';
import { Agent as SecureAgent, request as secureRequest } from 'node:https';
import { connect } from 'node:net';
import { startLan } from '../tests/support/lan';
import { signedInAs } from '../tests/support/people';
import { currentStudio } from '@/server/db/rows/studios';

/*
 * Proof by malice: thousands of requests that no page of ours sends, at every door, unsigned and signed in as an
 * assistant. Prints what they were answered and ends with 1 when one was a fault of ours, or the server is not well
 * afterwards.
 */

const COUNT = Number(process.argv[2] ?? 10_000);
const AT_ONCE = 12;
const PATIENCE_MS = 30_000;
let seed = Number(process.argv[3] ?? 7);
const random = () => (seed = (seed * 48_271) % 2_147_483_647) / 2_147_483_647;
const pick = <T>(some: readonly T[]): T => some[Math.floor(random() * some.length)]!;
const maybe = <T>(share: number, one: () => T): T | undefined => (random() < share ? one() : undefined);

const lan = await startLan('demo');
const studio = (await currentStudio(lan.database.db))!;
const assistant = await signedInAs(lan.database, studio.id, 'assistant');
const signedCookies = Object.entries(assistant.asking.cookies)
  .map(([name, value]) => `${name}=${value}`)
  .join('; ');
const { rows } = await lan.database.client.execute('select id from sets limit 3');
const ids = rows.map(({ id }) => String(id));

const ODD = [
  '', '0', '-1', '1e309', 'NaN', 'null', 'undefined', 'constructor', '__proto__', 'toString', '../../etc/passwd',
  '..%2f..%2fetc%2fpasswd', '%00', '%zz', '%ff%fe', "' or 1=1 --", '<script>alert(1)</script>', '${7*7}', '{{7*7}}',
  'x'.repeat(300), 'x'.repeat(7000), '\u{1F9B1}'.repeat(40), '‮abc', 'a\tb', 'CON', '.', '..', ';', '?', '#', '&&',
] as const; // prettier-ignore
const odd = () => pick([...ODD, ...ids]);
const enc = (text: string) =>
  random() < 0.5 ? encodeURIComponent(text) : text.replace(/[^\x21-\x7e]|#/g, '');

const PATHS: readonly (() => string)[] = [
  () => '/',
  () => `/${enc(odd())}`,
  () => `/heads/${enc(odd())}`,
  () => `/plan/${enc(odd())}`,
  () => `/plan/${enc(odd())}/sheet/${enc(odd())}`,
  () => `/chair/${enc(odd())}`,
  () => `/open/${enc(odd())}`,
  () => `/sets/${enc(odd())}/why`,
  () => `/wear/${enc(odd())}/${enc(odd())}`,
  () => `/calendar/${enc(odd())}`,
  () => `/yours/${enc(odd())}`,
  () => `/sign-in?to=${enc(odd())}`,
  () => `/pair#${enc(odd())}`,
  () => `/heads?page=${enc(odd())}&order=${enc(odd())}&search=${enc(odd())}`,
  () => `/api/v1/${enc(odd())}`,
  () => `/api/v1/sets/${enc(odd())}/events?after=${enc(odd())}`,
  () => `/api/v1/sets/${enc(odd())}/photos`,
  () => `/api/v1/sets/${enc(odd())}/take-home/${enc(odd())}`,
  () => `/api/v1/photos/${enc(odd())}?size=${enc(odd())}`,
  () => `/api/v1/plans/${enc(odd())}`,
  () => `/api/v1/tables/${enc(odd())}`,
  () => `/api/v1/tables/${enc(odd())}/rows`,
  () => `/api/v1/imports/${enc(odd())}`,
  () => '/api/v1/forecast',
  () => '/api/v1/suggest',
  () => `/_next/${enc(odd())}`,
  () => `/_next/static/${enc(odd())}`,
  () => `/_next/image?url=${enc(odd())}&w=${enc(odd())}&q=75`,
  () => `/_next/data/${enc(odd())}.json`,
  () => `//${enc(odd())}//`,
];

function nested(depth: number): string {
  return `${'{"a":['.repeat(depth)}1${']}'.repeat(depth)}`;
}
const BODIES: readonly (() => string | Buffer)[] = [
  () => '',
  () => '{',
  () => 'null',
  () => '[]',
  () => '"text"',
  () => nested(5000),
  () => '{"__proto__":{"isAdmin":true},"constructor":{"prototype":{}}}',
  () =>
    JSON.stringify({
      format: 1,
      deviceId: odd(),
      offsetMs: random() * 1e20,
      events: [odd(), null, { id: odd() }],
    }),
  () => JSON.stringify({ head: { stretchedLengthCm: 1e308 }, set: { technique: odd() }, wearBy: odd() }),
  () => JSON.stringify([{ personId: odd(), secret: odd(), code: odd(), name: odd() }]),
  () => randomBytes(2000),
  () => Buffer.alloc(300_000, 65),
  () =>
    `--x\r\ncontent-disposition: form-data; name="${odd()}"; filename="${odd()}"\r\n\r\n${odd()}\r\n--x--`,
];
const TYPES = [
  'application/json',
  'text/plain;charset=UTF-8',
  'multipart/form-data; boundary=x',
  'image/jpeg',
  'x',
  '',
];
const METHODS = [
  'GET',
  'GET',
  'GET',
  'POST',
  'POST',
  'PUT',
  'DELETE',
  'PATCH',
  'HEAD',
  'OPTIONS',
  'TRACE',
] as const;

/** Headers that somebody who means no good may send; what no client can send is left out. */
function headers(host: string, origin: string, cookies: string): Record<string, string> {
  const told: Record<string, string | undefined> = {
    host: maybe(0.1, () => pick(['evil.example', '127.0.0.1', 'localhost:1', ''])) ?? host,
    origin: maybe(0.5, () => pick([origin, 'null', 'https://evil.example', ''])),
    cookie: maybe(0.4, () =>
      pick([cookies, '__Host-session=x', '=;=;', `__Host-device=${'a'.repeat(4000)}`]),
    ),
    'content-type': maybe(0.7, () => pick(TYPES)),
    'next-action': maybe(0.15, () => pick(['x', randomBytes(21).toString('hex'), '00'.repeat(21)])),
    rsc: maybe(0.15, () => '1'),
    'next-router-state-tree': maybe(0.1, () => pick(['%5B%22%22%5D', 'x', '%zz'])),
    'next-router-prefetch': maybe(0.05, () => '1'),
    'x-forwarded-for': maybe(0.1, () => '127.0.0.1'),
    'x-forwarded-host': maybe(0.1, () => 'evil.example'),
    'x-middleware-subrequest': maybe(0.1, () => 'src/proxy:src/proxy:src/proxy:src/proxy:src/proxy'),
    'x-keen-role': maybe(0.05, () => 'owner'),
    'sec-fetch-site': maybe(0.2, () => pick(['cross-site', 'same-site', 'same-origin', 'x'])),
    accept: maybe(0.2, () => pick(['text/event-stream', '*/*', 'x'])),
    'last-event-id': maybe(0.1, () => pick(['-1', '1e9', 'x'])),
    range: maybe(0.05, () => 'bytes=0-1,5-9'),
    'if-none-match': maybe(0.05, () => '*'),
    'accept-language': maybe(0.05, () => 'x'.repeat(3000)),
  };
  return Object.fromEntries(
    Object.entries(told).filter((one): one is [string, string] => one[1] !== undefined),
  );
}

const near = new Agent({ keepAlive: true, maxSockets: AT_ONCE });
const far = new SecureAgent({ keepAlive: true, maxSockets: AT_ONCE, rejectUnauthorized: false });
const statuses = new Map<string, number>();
const faults: string[] = [];
const count = (key: string) => statuses.set(key, (statuses.get(key) ?? 0) + 1);

/** One request, at one of the doors. Answers its status, or what became of the connection. */
function attack(): Promise<void> {
  const isNear = random() < 0.8;
  const origin = isNear ? lan.near : lan.origin;
  const method = pick(METHODS);
  const path = pick(PATHS)().replace(/[^\x21-\x7e]/g, '') || '/';
  const { hostname, port, host } = new URL(origin);
  const options = {
    host: '127.0.0.1',
    port,
    method,
    path,
    headers: headers(host, origin, signedCookies),
    timeout: PATIENCE_MS,
    ...(isNear ? { agent: near } : { agent: far, servername: hostname }),
  };
  return new Promise((done) => {
    const sent = (isNear ? request : secureRequest)(options, (answer) => {
      const status = answer.statusCode ?? 0;
      count(String(status));
      if (status >= 500 && status !== 503)
        faults.push(
          `${status} ${method} ${path.slice(0, 120)} ${JSON.stringify({ ...options.headers, cookie: undefined })}`,
        );
      // A stream of events has no end of its own.
      if (String(answer.headers['content-type']).includes('event-stream')) sent.destroy();
      answer.resume();
      answer.on('close', () => done());
    });
    sent.on('timeout', () => {
      faults.push(`no answer ${method} ${path.slice(0, 120)}`);
      sent.destroy();
    });
    sent.on('error', () => {
      count('closed');
      done();
    });
    sent.end(['GET', 'HEAD', 'TRACE'].includes(method) ? undefined : pick(BODIES)());
  });
}

/** Bytes that are no HTTP at all. */
function rubbish(): Promise<void> {
  const { port } = new URL(pick([lan.near, lan.origin, lan.offer]));
  return new Promise((done) => {
    const socket = connect(Number(port), '127.0.0.1', () => {
      socket.write(
        pick<string | Buffer>([
          randomBytes(500),
          'GET / HTTP/1.1\r\n\r\n',
          'GET / HTTP/9.9\r\nhost: x\r\n\r\n',
          `GET / HTTP/1.1\r\nhost: 127.0.0.1\r\nx: ${'y'.repeat(60_000)}\r\n\r\n`,
          'POST / HTTP/1.1\r\nhost: 127.0.0.1\r\ncontent-length: 5\r\ntransfer-encoding: chunked\r\n\r\n0\r\n\r\n',
          'GET / HTTP/1.1\r\nhost: 127.0.0.1\r\ncontent-length: -1\r\n\r\n',
          'GET http://evil.example/ HTTP/1.1\r\nhost: evil.example\r\n\r\n',
        ]),
      );
      socket.end();
    });
    socket.on('data', (data) =>
      count(`raw ${/HTTP\/1.1 (\d+)/.exec(data.toString('latin1'))?.[1] ?? 'other'}`),
    );
    socket.on('error', () => undefined);
    socket.setTimeout(PATIENCE_MS, () => socket.destroy());
    socket.on('close', () => done());
  });
}

let left = COUNT;
const began = Date.now();
await Promise.all(
  Array.from({ length: AT_ONCE }, async () => {
    while (left > 0) {
      left -= 1;
      await (random() < 0.05 ? rubbish() : attack());
    }
  }),
);
const isWell = (await fetch(`${lan.near}/api/v1/ready`)).ok && (await fetch(`${lan.near}/heads`)).ok;
console.log(
  JSON.stringify({
    requests: COUNT,
    seconds: Math.round((Date.now() - began) / 1000),
    answered: Object.fromEntries([...statuses].sort()),
    isWell,
    faults: faults.length,
  }),
);
for (const fault of [...new Set(faults)].slice(0, 40)) console.log(fault);
near.destroy();
far.destroy();
await lan.stop();
process.exitCode = faults.length === 0 && isWell ? 0 : 1;
