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
