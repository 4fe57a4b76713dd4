import { X509Certificate } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, request as plain, type IncomingHttpHeaders } from 'node:http';
import { request as secure } from 'node:https';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { freePort } from '../../../tests/support/server';
import { asking } from '../asking';
import { env } from '../env';
import { log } from '../log';
import { fingerprintOf } from './certificates';
import { keptAuthority, readNetwork } from './kept';
import { openDoors } from './open-doors';

let folder: string;
let doors: Awaited<ReturnType<typeof openDoors>>;
const usual = { ...env };
const ports = { near: 0, https: 0, offer: 0 };
const info = vi.spyOn(log, 'info').mockImplementation(() => undefined);

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'keen-doors-'));
  for (const door of ['near', 'https', 'offer'] as const) ports[door] = await freePort();
  Object.assign(env, { port: ports.near, httpsPort: ports.https, offerPort: ports.offer, lan: null });
  doors = await openDoors((_, response) => {
    const { door, origin, path } = asking();
    response.end(JSON.stringify({ door, origin, path }));
  }, folder);
});
afterAll(async () => {
  await doors.close();
  Object.assign(env, usual);
  info.mockRestore();
  rmSync(folder, { recursive: true, force: true });
});

interface Answer {
  readonly status: number;
  readonly headers: IncomingHttpHeaders;
  readonly body: Buffer;
}

/** Asks at a door; rejects where nobody answers. */
function ask(
  door: keyof typeof ports,
  path: string,
  {
    method = 'GET',
    headers = {},
    ca,
  }: { method?: string; headers?: Record<string, string>; ca?: string } = {},
): Promise<Answer> {
  const how = { host: '127.0.0.1', port: ports[door], path, method, headers, agent: false } as const;
  return new Promise((answered, failed) => {
    const asked = door === 'https' ? secure({ ...how, ...(ca ? { ca } : {}) }) : plain(how);
    asked.on('error', failed).on('response', (response) => {
      const parts: Buffer[] = [];
      response.on('data', (part: Buffer) => parts.push(part));
      response.on('end', () =>
        answered({ status: response.statusCode!, headers: response.headers, body: Buffer.concat(parts) }),
      );
    });
    asked.end();
  });
}
const refused = (thrown: NodeJS.ErrnoException) => thrown.code;
const told = async (answer: Promise<Answer>) => JSON.parse((await answer).body.toString()) as unknown;

describe('the doors of this computer', () => {
  it('are one to begin with, for whoever sits there', async () => {
    expect(await told(ask('near', '/heads'))).toEqual({
      door: 'computer',
      origin: `http://127.0.0.1:${ports.near}`,
      path: '/heads',
    });
    expect(doors.state()).toMatchObject({ isOn: false, origin: null, offer: null, fingerprint: null });
    expect(await ask('https', '/').catch(refused)).toBe('ECONNREFUSED');
    expect(await ask('offer', '/').catch(refused)).toBe('ECONNREFUSED');
  });

  it('take no kind of request that no page here takes', async () => {
    const statusOf = async (method: string, path: string, headers = {}) =>
      (await ask('near', path, { method, headers })).status;
    for (const [method, path] of [
      ['TRACE', '/'],
      ['PATCH', '/api/v1/clock'],
      ['POST', '/heads'],
      ['DELETE', '/plan/1'],
    ] as const)
      expect(await statusOf(method, path), `${method} ${path}`).toBe(405);
    expect(await statusOf('POST', '/heads', { 'next-action': 'x'.repeat(42) })).toBe(405);
    expect(await statusOf('POST', '/heads', { 'next-action': 'a1'.repeat(21) })).toBe(200);
    expect(await statusOf('PUT', '/api/v1/plans/1')).toBe(200);
    // No name at all: nothing that speaks HTTP/1.1 leaves it out.
    const bare = await new Promise<string>((said) => {
      const line = connect(ports.near, '127.0.0.1', () => line.write('GET / HTTP/1.0\r\n\r\n'));
      line.once('data', (data) => said(String(data)));
    });
    expect(bare).toMatch(/^HTTP\/1\.1 400 /);
  });

  it('let phones in once that is switched on, and say with which letters', async () => {
    const state = await doors.turn(true);
    const { certificatePem } = keptAuthority(folder)!;
    expect(state).toMatchObject({ isOn: true, isFixed: false, fingerprint: fingerprintOf(certificatePem) });
    expect(readNetwork(folder).isOn).toBe(true);
    // Asked twice, they are the same doors.
    expect(await doors.turn(true)).toEqual(state);
    expect(await told(ask('https', '/chair', { ca: certificatePem }))).toEqual({
      door: 'network',
      origin: `https://127.0.0.1:${ports.https}`,
      path: '/chair',
    });
  });

  it('note whose line was not made: a phone that does not trust, one that speaks in the clear', async () => {
    info.mockClear();
    expect(await ask('https', '/').catch(refused)).toBe('SELF_SIGNED_CERT_IN_CHAIN');
    const clear = connect(ports.https, '127.0.0.1', () => clear.write('GET / HTTP/1.1\r\n\r\n'));
    clear.on('error', () => undefined);
    await vi.waitFor(() =>
      expect(info).toHaveBeenCalledWith({ code: 'ERR_SSL_HTTP_REQUEST' }, 'a line was not made'),
    );
    expect(info.mock.calls.length).toBeGreaterThan(1);
  });

  it('offer the authority in the clear, and nothing else', async () => {
    const { certificatePem } = keptAuthority(folder)!;
    const file = await ask('offer', '/keen-spiral.crt');
    expect(file.headers['content-type']).toBe('application/x-x509-ca-cert');
    expect(new X509Certificate(file.body).fingerprint256).toBe(fingerprintOf(certificatePem));
    const page = await ask('offer', '/');
    const lines = fingerprintOf(certificatePem).replaceAll(':', ' ');
    expect(page.body.toString()).toContain(lines.slice(0, 23));
    expect(page.headers['content-security-policy']).toContain("default-src 'none'");
    for (const path of ['/heads', '/api/v1/clock', '/keen-spiral.crt?x', '//elsewhere.example'])
      expect(await ask('offer', path), path).toMatchObject({ status: 302, headers: { location: '/' } });
    expect(await ask('offer', '/', { method: 'POST' })).toMatchObject({ status: 405 });
    expect((await ask('offer', '/', { method: 'HEAD' })).body).toHaveLength(0);
  });

  it('make the trust anew when they are asked to: who was told of the one before is not let in', async () => {
    const before = keptAuthority(folder)!.certificatePem;
    const { fingerprint } = await doors.renew();
    const after = keptAuthority(folder)!.certificatePem;
    expect(fingerprint).toBe(fingerprintOf(after));
    expect(after).not.toBe(before);
    expect(await ask('https', '/', { ca: before }).catch(refused)).toBeTypeOf('string');
    expect((await ask('https', '/', { ca: after })).status).toBe(200);
  });

  it('are shut to phones again, also where one of them cannot be opened', async () => {
    expect(await doors.turn(false)).toMatchObject({ isOn: false, origin: null });
    expect(await ask('https', '/').catch(refused)).toBe('ECONNREFUSED');
    expect((await ask('near', '/')).status).toBe(200);
    const other = createServer();
    await new Promise<void>((ready) => other.listen(ports.offer, '0.0.0.0', ready));
    await expect(doors.turn(true)).rejects.toMatchObject({ code: 'EADDRINUSE' });
    // Half a way in would be none that anybody could trust.
    expect(doors.state().isOn).toBe(false);
    expect(await ask('https', '/').catch(refused)).toBe('ECONNREFUSED');
    await new Promise((gone) => other.close(gone));
    expect((await doors.turn(true)).isOn).toBe(true);
  });
});
