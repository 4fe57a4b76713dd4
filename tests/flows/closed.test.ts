import { request } from 'node:http';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { planFile } from '@/core/formats/plan-file';
import { answerBrief } from '@/core/plan/answer-brief';
import { aBrief } from '../support/briefs';
import { startServer, type TestServer } from '../support/server';

let server: TestServer;
beforeAll(async () => {
  server = await startServer('empty');
});
afterAll(() => server?.stop());

/** A request with any headers, also those that `fetch` would not send. */
function ask(
  path: string,
  options: { method?: string; headers?: Record<string, string>; body?: string } = {},
): Promise<{ status: number; headers: Record<string, string | string[] | undefined>; text: string }> {
  return new Promise((resolve, reject) => {
    const url = new URL(path, server.origin);
    const sent = request(
      url,
      { method: options.method ?? 'GET', headers: options.headers ?? {} },
      (response) => {
        let text = '';
        response.setEncoding('utf8');
        response.on('data', (chunk: string) => (text += chunk));
        response.on('end', () =>
          resolve({ status: response.statusCode ?? 0, headers: response.headers, text }),
        );
      },
    );
    sent.on('error', reject);
    sent.end(options.body);
  });
}
const post = (body: string, headers: Record<string, string> = {}) =>
  ask('/api/v1/forecast', {
    method: 'POST',
    headers: { 'content-type': 'application/json', ...headers },
    body,
  });

describe('closed by default', () => {
  it('refuses a foreign host name', async () => {
    const answer = await ask('/', { headers: { host: 'elsewhere.example' } });
    expect(answer.status).toBe(403);
    expect(answer.headers['content-type']).toContain('application/problem+json');
  });

  it('refuses a post from a page of another site, and takes one from its own', async () => {
    const brief = JSON.stringify(aBrief());
    expect((await post(brief, { origin: 'https://elsewhere.example' })).status).toBe(403);
    expect((await post(brief, { origin: 'null' })).status).toBe(403);
    expect((await post(brief, { origin: server.origin })).status).toBe(200);
  });

  it('gives every page a policy with a nonce of its own and nothing from elsewhere', async () => {
    const [first, second] = await Promise.all([ask('/'), ask('/heads')]);
    const policy = String(first.headers['content-security-policy']);
    expect(policy).toContain("default-src 'self'");
    expect(policy).toMatch(/script-src 'self' 'nonce-[\w+/=]+' 'strict-dynamic'/);
    expect(policy).not.toContain('unsafe-eval');
    expect(policy).not.toMatch(/script-src[^;]*unsafe-inline/);
    expect(policy).not.toMatch(/https?:/);
    expect(second.headers['content-security-policy']).not.toBe(policy);
    expect(first.text).not.toMatch(/(src|href)="https?:\/\//);
    expect(first.headers['x-powered-by']).toBeUndefined();
  });

  it('listens on this machine only', async () => {
    expect(new URL(server.origin).hostname).toBe('127.0.0.1');
  });
});

describe('the open interface over HTTP', () => {
  it('says it is well', async () => {
    const answer = await ask('/api/v1/health');
    expect(JSON.parse(answer.text)).toMatchObject({
      ok: true,
      version: expect.stringMatching(/^\d+\.\d+\.\d+$/) as string,
    });
  });

  it('answers a brief with the same plan as the core, bit for bit', async () => {
    const brief = aBrief({ brief: { wearBy: '2027-03-13T09:00:00-06:00' } });
    const plan = JSON.parse((await post(JSON.stringify(brief))).text) as unknown;
    expect(planFile.safeParse(plan).success).toBe(true);
    const own = answerBrief(brief);
    expect(plan).toEqual(own.ok && JSON.parse(JSON.stringify(own.value)));
  });

  it('broken JSON, bad fields and too much are told apart, without a stack', async () => {
    const broken = await post('{"format": ');
    expect(broken.status).toBe(400);
    const bad = await post(JSON.stringify({ ...aBrief(), set: { technique: 'weave', sections: 900 } }));
    expect(bad.status).toBe(422);
    const { errors } = JSON.parse(bad.text) as { errors: { path: string; message: string }[] };
    expect(errors.map((error) => error.path)).toEqual(['set.technique', 'set.sections']);
    expect(errors[0]!.message).toContain('is not known; choose one of');
    const large = await post(JSON.stringify({ pad: 'x'.repeat(300_000) }));
    expect(large.status).toBe(413);
    const empty = await post('');
    expect(empty.status).toBe(400);
    for (const answer of [broken, bad, large, empty]) {
      expect(answer.headers['content-type']).toContain('application/problem+json');
      expect(answer.text).not.toMatch(/at .*\.(ts|js):\d+|node_modules/);
    }
  });

  it('a record that is missing is a page that says so, not a stack', async () => {
    for (const path of ['/plan/none', '/heads/none', '/chair/none', '/wear/none', '/sets/none', '/nowhere']) {
      const answer = await ask(path);
      expect(answer.status, path).toBe(404);
      expect(answer.text).toContain('This is not here');
    }
  });
});

describe('an attack', () => {
  const fromElsewhere = (site: string, more: Record<string, string> = {}) => ({
    headers: { 'sec-fetch-site': site, 'sec-fetch-mode': 'no-cors', 'sec-fetch-dest': 'image', ...more },
  });
  const followed = {
    'sec-fetch-mode': 'navigate',
    'sec-fetch-dest': 'document',
    'sec-fetch-user': '?1',
  };

  it('from another site makes no page render, unless somebody pressed a link to it', async () => {
    for (const site of ['cross-site', 'same-site']) {
      for (const path of ['/', '/plan', '/icon.svg', '/api/v1/health'])
        expect((await ask(path, fromElsewhere(site))).status, path).toBe(403);
      expect((await ask('/', fromElsewhere(site, followed))).status).toBe(200);
      const script = { ...followed, 'sec-fetch-user': '' };
      expect((await ask('/', fromElsewhere(site, script))).status).toBe(403);
      for (const path of ['/plan/x/sheet/a4.pdf', '/api/v1/health'])
        expect((await ask(path, fromElsewhere(site, followed))).status, path).toBe(403);
      expect((await post('{}', { 'sec-fetch-site': site })).status).toBe(403);
    }
    const own = await ask('/heads', { headers: { 'sec-fetch-site': 'same-origin' } });
    expect(own.status).toBe(200);
    expect(own.headers['cross-origin-resource-policy']).toBe('same-origin');
  });

  it('with names that every object has, broken addresses and hollow bodies gets words, never a fault', async () => {
    for (const key of ['toString', 'constructor', '__proto__', 'hasOwnProperty']) {
      const brief = `{"${key}":1}`;
      expect((await post(brief)).status, key).toBe(422);
      expect((await ask(`/plan/none/sheet/${key}`)).status, key).toBe(404);
      const events = JSON.stringify({ format: 1, deviceId: 'd', events: [{ id: key, kind: key }] });
      const answer = await ask(`/api/v1/sets/none/events`, { method: 'POST', body: events });
      expect([404, 422], key).toContain(answer.status);
    }
    for (const path of ['/plan/%E0%A4%A', '/heads/%', '/open/%ff', '/api/v1/sets/%zz/events'])
      expect((await ask(path)).status, path).toBeGreaterThanOrEqual(400);
    for (const path of ['/plan/%E0%A4%A', '/heads/%', '/open/%ff', '/api/v1/sets/%zz/events'])
      expect((await ask(path)).status, path).toBeLessThan(500);
    for (const body of ['', '[', '[{', 'null', '{"format":1}', '[]']) {
      const answer = await ask('/api/v1/sets/none/events', { method: 'POST', body });
      expect(answer.status, body).toBeGreaterThanOrEqual(400);
      expect(answer.status, body).toBeLessThan(500);
      expect(answer.headers['content-type'], body).toContain('application/problem+json');
    }
    for (const path of [
      '/heads?page=-1',
      '/sets?page=9e99',
      '/sets?list=constructor',
      '/plan?order=__proto__&q=%00',
    ])
      expect((await ask(path)).status, path).toBe(200);
  });

  it('by brief is bounded: spans, draws and how many wait; taps are answered meanwhile', async () => {
    const bad = async (change: Record<string, unknown>) => {
      const answer = await post(JSON.stringify({ ...aBrief(), timeZone: 'UTC', ...change }));
      expect(answer.status).toBe(422);
      return (JSON.parse(answer.text) as { errors: { path: string; message: string }[] }).errors[0]!;
    };
    expect(await bad({ startAt: '0001-01-01T00:00', wearBy: '9999-01-01T00:00' })).toMatchObject({
      path: 'startAt',
    });
    expect((await bad({ startAt: '2027-01-01T00:00', wearBy: '2027-02-01T00:00' })).message).toContain(
      'at most 30 days',
    );
    const large = { ...aBrief(), draws: 5000, set: { ...aBrief().set, sections: 600 } };
    expect((await post(JSON.stringify(large))).status).toBe(422);

    const heavy = JSON.stringify({ ...aBrief(), draws: 1500, set: { ...aBrief().set, sections: 400 } });
    const asked = Promise.all(
      Array.from({ length: 12 }, (_, seed) => post(heavy.replace(/}$/, `,"seed":${seed}}`))),
    );
    const waits: number[] = [];
    for (let i = 0; i < 10; i++) {
      const start = performance.now();
      expect((await ask('/api/v1/clock')).status).toBe(200);
      waits.push(performance.now() - start);
    }
    const answers = await asked;
    const busy = answers.filter(({ status }) => status === 429);
    expect(busy.length).toBeGreaterThan(0);
    for (const answer of busy) expect(answer.headers['retry-after']).toBeDefined();
    for (const { status } of answers) expect([200, 422, 429]).toContain(status);
    // What is computed beside the request thread does not hold it: seconds would show that it did.
    expect(Math.min(...waits)).toBeLessThan(1000);
  });
});
