import type { IncomingHttpHeaders } from 'node:http';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addressesOf, networkName } from './addresses';
import { admit, isOurs, type Door } from './admission';
import { rateLimit } from './rate-limit';

const NEAR: Door = {
  scheme: 'http',
  isOfComputer: true,
  alwaysSignIn: false,
  isBehindProxy: false,
  names: () => [],
};
const FAR: Door = {
  scheme: 'https',
  isOfComputer: false,
  alwaysSignIn: true,
  isBehindProxy: false,
  names: () => ['studio.local', '192.168.1.20'],
};

const coming = (headers: IncomingHttpHeaders, door: Door, remoteAddress = '127.0.0.1') => {
  const request = {
    headers: { host: '127.0.0.1:3000', ...headers },
    url: '/x?y=1',
    socket: { remoteAddress },
  };
  const asking = admit(request as Parameters<typeof admit>[0], door);
  return { asking, headers: request.headers };
};

describe('the door that a request comes through', () => {
  it('is decided by the socket: no header makes this computer of the network', () => {
    expect(coming({}, NEAR).asking.door).toBe('computer');
    fc.assert(
      fc.property(
        fc.dictionary(
          fc.constantFrom(
            'x-forwarded-for',
            'x-keen-door',
            'x-real-ip',
            'host',
            'forwarded',
            'cookie',
            'x-nonce',
          ),
          fc.constantFrom('127.0.0.1', 'computer', 'localhost', '::1', 'for=127.0.0.1'),
        ),
        (headers) => {
          expect(coming(headers, FAR, '192.168.1.30').asking.door).toBe('network');
        },
      ),
    );
  });

  it.each(['x-forwarded-for', 'forwarded', 'via', 'x-real-ip'])(
    'of this computer lets nobody in unsigned who speaks for another: %s',
    (name) => expect(coming({ [name]: '192.168.1.30' }, NEAR).asking.door).toBe('network'),
  );

  it('has everybody sign in where that is set, and behind a proxy', () => {
    expect(coming({}, { ...NEAR, alwaysSignIn: true }).asking.door).toBe('network');
    expect(coming({}, { ...NEAR, isBehindProxy: true }).asking.door).toBe('network');
  });

  it('believes of a proxy the last address only, and of nobody else any', () => {
    const told = { 'x-forwarded-for': '8.8.8.8, 192.168.1.30' };
    expect(coming(told, { ...NEAR, isBehindProxy: true }).asking).toMatchObject({
      from: '192.168.1.30',
      origin: 'https://127.0.0.1:3000',
    });
    expect(coming(told, FAR, '192.168.1.44').asking.from).toBe('192.168.1.44');
  });

  it('takes out what only this program may say', () => {
    const { headers } = coming(
      {
        'x-forwarded-host': 'evil.example',
        'x-middleware-subrequest': 'src/proxy',
        'x-keen-role': 'owner',
        'x-nonce': 'guessed',
        accept: 'text/html',
      },
      FAR,
    );
    expect(headers).toEqual({ host: '127.0.0.1:3000', accept: 'text/html', 'x-forwarded-proto': 'https' });
  });

  it('takes out a tree of pages that is none, and leaves one as the framework writes it', () => {
    const left = (tree: string) =>
      (coming({ 'next-router-state-tree': tree }, NEAR).headers as IncomingHttpHeaders)[
        'next-router-state-tree'
      ];
    const fine = encodeURIComponent(
      JSON.stringify([
        '',
        { children: ['plan', { children: [['id', 'x', 'd', null], {}] }] },
        null,
        null,
        true,
      ]),
    );
    expect(left(fine)).toBe(fine);
    for (const broken of ['x', '%zz', '%5B%22%22%5D', '{}', '[1,{}]', '["",{"children":["a"]}]', ''])
      expect(left(broken), broken).toBeUndefined();
    fc.assert(
      fc.property(fc.json(), (json) => {
        expect(['undefined', 'string']).toContain(typeof left(encodeURIComponent(json)));
      }),
    );
  });

  it('reads cookies, and whatever else is sent as one', () => {
    expect(coming({ cookie: '__Host-device=abc; other=%zz; =; ;' }, FAR).asking.cookies).toMatchObject({
      '__Host-device': 'abc',
    });
  });
});

describe('whether a request is for us', () => {
  const told = (method: string, headers: Readonly<Record<string, string>>, door = FAR) => {
    const { asking } = coming({ host: headers.host ?? '' }, door);
    return isOurs({ asking, method, path: '/plan', header: (name) => headers[name] ?? null });
  };
  const host = 'studio.local:3443';

  it('by name or address of the door, and by no other', () => {
    expect(told('GET', { host })).toBe(true);
    expect(told('GET', { host: '192.168.1.20:3443' })).toBe(true);
    for (const other of [
      'evil.example',
      'studio.local.evil.example',
      '192.168.1.21',
      '',
      'studio.local@evil',
    ])
      expect(told('GET', { host: other }), other).toBe(false);
    // The name of the network at the door of this computer: somebody rebound it.
    expect(told('GET', { host }, NEAR)).toBe(false);
  });

  it('writes only from a page of the very same origin, scheme and port too', () => {
    expect(told('POST', { host, origin: `https://${host}` })).toBe(true);
    for (const origin of [
      `http://${host}`,
      'https://studio.local',
      'https://studio.local:3080',
      'https://evil.example',
      'null',
      '',
    ])
      expect(told('POST', { host, origin }), origin).toBe(false);
    expect(told('POST', { host, 'sec-fetch-site': 'cross-site' })).toBe(false);
    // A port that is none is refused, not stumbled over.
    expect(told('POST', { host: 'studio.local:99999', origin: 'https://studio.local' })).toBe(false);
  });

  it('reads for another site only a page that somebody pressed a link to', () => {
    const foreign = { host, 'sec-fetch-site': 'cross-site' };
    expect(told('GET', foreign)).toBe(false);
    const followed = {
      ...foreign,
      'sec-fetch-mode': 'navigate',
      'sec-fetch-dest': 'document',
      'sec-fetch-user': '?1',
    };
    expect(told('GET', followed)).toBe(true);
    expect(told('GET', { ...followed, 'sec-fetch-dest': 'iframe' })).toBe(false);
  });
});

describe('where this computer is', () => {
  const at = (address: string, more = {}) =>
    ({ address, family: 'IPv4', internal: false, netmask: '', mac: '', cidr: null, ...more }) as never;

  it('private addresses, those of a router before one it gave itself', () => {
    expect(
      addressesOf({
        lo: [at('127.0.0.1', { internal: true })],
        wifi: [at('169.254.9.9'), at('192.168.1.20'), at('fe80::1', { family: 'IPv6' })],
        tunnel: [at('10.8.0.2'), at('192.168.1.20')],
        outside: [at('93.184.216.34'), at('172.32.0.1')],
      }),
    ).toEqual(['192.168.1.20', '10.8.0.2', '169.254.9.9']);
  });

  it('goes by a name that a network can carry, whatever it is called', () => {
    expect(networkName('Front Desk')).toBe('front-desk.local');
    expect(networkName('studio.home.arpa')).toBe('studio.local');
    fc.assert(
      fc.property(fc.string(), (name) => {
        expect(networkName(name)).toMatch(/^[a-z0-9]([a-z0-9-]{0,61}[a-z0-9-])?\.local$/);
      }),
    );
  });
});

describe('how much one address may ask for', () => {
  it('a page with all its parts at once, then so many a second; another address is not in its way', () => {
    const isLet = rateLimit();
    const burst = Array.from({ length: 400 }, () => isLet('a', 0)).filter(Boolean).length;
    expect(burst).toBe(240);
    expect(isLet('b', 0)).toBe(true);
    expect(isLet('a', 1000)).toBe(true);
    expect(Array.from({ length: 40 }, () => isLet('a', 1000)).filter(Boolean)).toHaveLength(23);
    // A clock that goes back gives nothing.
    expect(isLet('a', 0)).toBe(false);
  });
});
