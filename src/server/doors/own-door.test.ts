import { createServer, type IncomingMessage } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterEach, describe, expect, it } from 'vitest';
import { fromNetwork } from '../../../tests/support/people';
import { asked, asking } from '../asking';
import { openOwnDoor } from './own-door';

const closing: (() => void)[] = [];
afterEach(() => {
  for (const close of closing.splice(0)) close();
});

/** A door before the own one: what it sends on to itself is told by `sendOn`. */
async function doors(sendOn: (request: IncomingMessage, own: string) => Promise<string>) {
  const own = await openOwnDoor((request, response) => {
    const { door, from, path, cookies } = asking();
    response.end(JSON.stringify({ host: request.headers.host, door, from, path, cookies }));
  });
  const at = ({ server }: { server: { address: () => unknown } }) =>
    `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const outer = createServer((request, response) => {
    const how = fromNetwork({ who: 'bea' });
    own.remember(request, response, how);
    void asked(how, () => sendOn(request, at(own))).then((told) => response.end(told));
  });
  await new Promise<void>((ready) => outer.listen(0, '127.0.0.1', ready));
  closing.push(
    () => outer.close(),
    () => own.server.close(),
  );
  return { own: at(own), outer: at({ server: outer }) };
}

describe('the door by which the program asks itself', () => {
  const sent: string[] = [];
  const onAs = async ({ headers }: IncomingMessage, own: string) => {
    sent.push(String(headers['x-keen-again']));
    const answer = await fetch(`${own}/plan/1`, { headers: { ...(headers as Record<string, string>) } });
    return answer.text();
  };

  it('answers as whoever asked in the first place, by the name that was asked at', async () => {
    const { outer } = await doors(onAs);
    const answer = await fetch(outer, { method: 'POST', headers: { cookie: 'who=ilo' } });
    expect(await answer.json()).toEqual({
      host: 'studio.local:3443',
      door: 'network',
      from: '192.168.1.30',
      path: '/plan/1',
      cookies: { who: 'ilo' },
    });
  });

  it('answers nobody else, and nobody later', async () => {
    const { own, outer } = await doors(onAs);
    expect((await fetch(own)).status).toBe(404);
    expect((await fetch(own, { headers: { 'x-keen-again': 'undefined' } })).status).toBe(404);
    await (await fetch(outer, { method: 'POST' })).text();
    expect((await fetch(own, { headers: { 'x-keen-again': sent.at(-1)! } })).status).toBe(404);
  });
});
