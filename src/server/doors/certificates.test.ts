import { execFileSync } from 'node:child_process';
import { X509Certificate } from 'node:crypto';
import { existsSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { request, createServer } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { DAY_MS } from '@/core/units/time';
import { fingerprintOf, issue, makeAuthority, nameOf, stillServes } from './certificates';
import { certified, keepNetwork, readNetwork, renewAuthority } from './kept';
import { nameConstraints } from './name-constraints';

const NOW = Date.now();
let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'keen-doors-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const file = (name: string, text: string) => {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
};

/** What OpenSSL says of a certificate under an authority, for a name. */
function verify(authority: string, certificate: string, ...asked: string[]): string {
  try {
    return execFileSync('openssl', ['verify', '-CAfile', authority, ...asked, certificate], {
      encoding: 'utf8',
      stdio: ['ignore', 'pipe', 'pipe'],
    });
  } catch (thrown) {
    const { stdout, stderr } = thrown as { stdout: string; stderr: string };
    return stdout + stderr;
  }
}

describe('the authority of a studio', () => {
  it('vouches for its computer by name and address, as OpenSSL reads it', async () => {
    const authority = await makeAuthority('studio.local', NOW);
    const server = await issue(authority, ['studio.local', 'localhost'], ['192.168.1.20', '127.0.0.1'], NOW);
    const [root, leaf] = [
      file('root.pem', authority.certificatePem),
      file('leaf.pem', server.certificatePem),
    ];
    expect(verify(root, leaf, '-verify_hostname', 'studio.local')).toContain('OK');
    expect(verify(root, leaf, '-verify_ip', '192.168.1.20')).toContain('OK');
    expect(verify(root, leaf, '-verify_hostname', 'other.local')).toContain('mismatch');
  });

  it.each([
    ['another name', ['bank.example'], []],
    ['an address of the internet', ['studio.local'], ['8.8.8.8']],
    ['a name below its own tree only by letters', ['evilstudio.local'], []],
  ])('whose key is stolen vouches for nothing else: %s', async (_, names, addresses) => {
    const authority = await makeAuthority('studio.local', NOW);
    const forged = await issue(authority, names, addresses, NOW);
    const [root, leaf] = [
      file('root.pem', authority.certificatePem),
      file('leaf.pem', forged.certificatePem),
    ];
    expect(verify(root, leaf)).toContain('permitted subtree violation');
  });

  it('lasts ten years, its certificates 396 days, and they are made anew a month before', async () => {
    const authority = await makeAuthority('studio.local', NOW);
    const server = await issue(authority, ['studio.local'], ['10.0.0.7'], NOW);
    const days = (pem: string) => (Date.parse(new X509Certificate(pem).validTo) - NOW) / DAY_MS;
    expect(days(authority.certificatePem)).toBeCloseTo(3650, 1);
    expect(days(server.certificatePem)).toBeCloseTo(396, 1);
    const serves = (atMs: number, addresses = ['10.0.0.7']) =>
      stillServes(server, ['studio.local'], addresses, atMs);
    expect(serves(NOW)).toBe(true);
    expect(serves(NOW + 365 * DAY_MS)).toBe(true);
    expect(serves(NOW + 367 * DAY_MS)).toBe(false);
    // A clock that was set back beyond its beginning.
    expect(serves(NOW - 3 * DAY_MS)).toBe(false);
    expect(serves(NOW, ['10.0.0.8'])).toBe(false);
  });

  it('is made once and kept for its owner’s eyes; only a certificate follows another address', async () => {
    const kept = join(folder, 'network');
    const first = await certified(kept, 'studio.local', ['192.168.1.20'], NOW);
    const again = await certified(kept, 'studio.local', ['192.168.1.20'], NOW + 1);
    expect(again).toEqual(first);
    const moved = await certified(kept, 'renamed.local', ['192.168.1.33'], NOW);
    expect(moved.authority).toEqual(first.authority);
    expect(moved.server).not.toEqual(first.server);
    expect(nameOf(moved.authority.certificatePem)).toBe('studio.local');
    for (const name of ['authority-key.pem', 'server-key.pem'])
      expect(statSync(join(kept, name)).mode & 0o077).toBe(0);
    await renewAuthority(kept, 'renamed.local', NOW);
    const anew = await certified(kept, 'renamed.local', ['192.168.1.33'], NOW);
    expect(nameOf(anew.authority.certificatePem)).toBe('renamed.local');
    expect(anew.server.certificatePem).not.toBe(moved.server.certificatePem);
  });

  it('is shown by the fingerprint that OpenSSL shows', async () => {
    const authority = await makeAuthority('studio.local', NOW);
    const root = file('root.pem', authority.certificatePem);
    const told = execFileSync('openssl', ['x509', '-in', root, '-noout', '-fingerprint', '-sha256'], {
      encoding: 'utf8',
    });
    expect(told.trim().split('=')[1]).toBe(fingerprintOf(authority.certificatePem));
  });

  it('is trusted by a client that was given it, and by no other', async () => {
    const authority = await makeAuthority('studio.local', NOW);
    const server = await issue(authority, ['studio.local', 'localhost'], ['127.0.0.1'], NOW);
    const listening = createServer({ key: server.keyPem, cert: server.certificatePem }, (_, response) =>
      response.end('hello'),
    );
    await new Promise<void>((ready) => listening.listen(0, '127.0.0.1', ready));
    const { port } = listening.address() as { port: number };
    const get = (ca?: string) =>
      new Promise<string>((done) => {
        request(
          { host: '127.0.0.1', port, servername: 'studio.local', ...(ca ? { ca } : {}) },
          (response) => {
            response.on('data', (data: Buffer) => done(data.toString()));
          },
        )
          .on('error', (error) => done(error.message))
          .end();
      });
    expect(await get(authority.certificatePem)).toBe('hello');
    expect(await get()).toContain('self-signed certificate');
    listening.close();
  });
});

describe('name constraints', () => {
  it('are written as RFC 5280 has them', () => {
    // Worked by hand from X.690: 10.0.0.0 and its mask, under an IPAddress in a subtree in the permitted ones.
    expect(nameConstraints([], ['10.0.0.0/8']).toString('hex')).toBe('300ea00c300a87080a000000ff000000');
    expect(nameConstraints(['a.b'], []).toString('hex')).toBe('3009a00730058203612e62');
    expect(nameConstraints([], ['fe80::/10']).toString('hex')).toBe(
      `3026a0243022${'8720'}fe80${'00'.repeat(14)}ffc0${'00'.repeat(14)}`,
    );
  });
});

describe('what is kept of the network', () => {
  it('comes back as it was; spoilt, it is as if nothing were known', () => {
    const network = { isOn: true, addresses: ['10.0.0.7'], movedAtMs: NOW };
    keepNetwork(folder, network);
    expect(readNetwork(folder)).toEqual(network);
    expect(existsSync(join(folder, 'network.json.half'))).toBe(false);
    fc.assert(
      fc.property(fc.string(), (text) => {
        file('network.json', text);
        const read = readNetwork(folder);
        expect(typeof read.isOn).toBe('boolean');
        expect(Array.isArray(read.addresses)).toBe(true);
      }),
    );
    expect(readFileSync(join(folder, 'network.json'), 'utf8')).toBeDefined();
  });
});
