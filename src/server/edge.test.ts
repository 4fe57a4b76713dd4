import { afterAll, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { z } from 'zod';
import { everyDoor } from '../../tests/support/every-door';
import { fromNetwork, signedInAs, type Signed } from '../../tests/support/people';
import { aStudio } from '../../tests/support/studio';
import { AppError, ERRORS, errorCodeOf, invalid } from './errors';
import { may, permissions, ROLES, type Permission, type Role } from '@/core/people/permission';
import { action, query } from './action';
import { asked } from './asking';
import { servedFrom, type Database } from './db/client';
import { listDeeds } from './db/rows/deeds';
import { log } from './log';
import { readJson, route } from './route';

let database: Database;
let studioId: string;
let signed: Readonly<Record<Role, Signed>>;
let stopServing: () => void;
const error = vi.spyOn(log, 'error').mockImplementation(() => undefined);
const warn = vi.spyOn(log, 'warn').mockImplementation(() => undefined);
const info = vi.spyOn(log, 'info').mockImplementation(() => undefined);
beforeAll(async () => {
  ({ database, studioId } = await aStudio());
  stopServing = servedFrom(database);
  const roles = await Promise.all(ROLES.map((role) => signedInAs(database, studioId, role)));
  signed = Object.fromEntries(roles.map((one) => [one.role, one])) as typeof signed;
});
afterAll(() => {
  stopServing();
  database.close();
  for (const said of [error, warn, info]) said.mockRestore();
});
beforeEach(() => [error, warn, info].forEach((said) => said.mockClear()));

/** Does something as whoever has signed in, in a role. */
const as = <T>(role: Role, work: () => T): T => asked(signed[role].asking, work);

const greet = (run: (name: string) => Promise<string>) =>
  action('write-plans', z.strictObject({ name: z.string().min(1, 'write a name') }), ({ input }) =>
    run(input.name),
  );

describe('every action', () => {
  it('answers a value when all is well', async () => {
    await expect(greet((name) => Promise.resolve(`hello ${name}`))({ name: 'Wren' })).resolves.toEqual({
      ok: true,
      value: 'hello Wren',
    });
  });

  it('names the field that is wrong, and does not run', async () => {
    const run = vi.fn();
    const answer = await greet(run)({ name: '' });
    expect(answer).toEqual({
      ok: false,
      code: 'invalid',
      errors: [{ path: 'name', message: 'write a name' }],
    });
    expect(await greet(run)({ name: 'x', age: 3 } as never)).toMatchObject({
      ok: false,
      errors: [{ path: 'age' }],
    });
    expect(run).not.toHaveBeenCalled();
  });

  it('passes on what people can act on', async () => {
    const answer = await greet(() => Promise.reject(invalid('name', 'taken; choose another')))({ name: 'x' });
    expect(answer).toMatchObject({ code: 'invalid', errors: [{ message: 'taken; choose another' }] });
    const conflict = await greet(() => Promise.reject(new AppError('conflict')))({ name: 'x' });
    expect(conflict).toMatchObject({ code: 'conflict', errors: [{ message: ERRORS.conflict.title }] });
  });

  it('a fault of ours leaks nothing, neither to the browser nor to the log', async () => {
    const secret = new Error('select * from heads where name = "Wren"', { cause: { code: 'SQLITE_BUSY' } });
    const answer = await greet(() => Promise.reject(secret))({ name: 'x' });
    expect(JSON.stringify(answer)).not.toContain('Wren');
    expect(answer).toMatchObject({ ok: false, code: 'fault' });
    expect(log.error).toHaveBeenCalledWith({ code: 'SQLITE_BUSY' }, 'action failed');
  });
});

describe('every page query', () => {
  it('lets what people can act on through, and says nothing of a fault of ours', async () => {
    await expect(query('read', () => Promise.reject(new AppError('unreadable')))).rejects.toMatchObject({
      digest: 'unreadable',
    });
    const secret = new Error('Failed query: select "Wren"', { cause: { code: 'SQLITE_CORRUPT' } });
    const failed = query('read', () => Promise.reject(secret));
    await expect(failed).rejects.toThrow(new AppError('fault'));
    const thrown = (await failed.catch((error: unknown) => error)) as Error;
    expect(`${thrown.stack} ${JSON.stringify(thrown)}`).not.toContain('Wren');
    expect(thrown.cause).toBeUndefined();
    expect(log.error).toHaveBeenLastCalledWith({ code: 'SQLITE_CORRUPT' }, 'page failed');
  });
});

describe('every route', () => {
  const post = (body: BodyInit) => new Request('http://127.0.0.1/x', { method: 'POST', body });

  it('answers failures as problem documents without a stack', async () => {
    const failing = route('public', () =>
      Promise.reject(new TypeError('cannot read properties of undefined')),
    );
    const answer = await failing(post('{}'), { params: Promise.resolve({}) });
    expect(answer.status).toBe(500);
    expect(answer.headers.get('content-type')).toBe('application/problem+json');
    const text = await answer.text();
    expect(text).not.toContain('properties of undefined');
    expect(JSON.parse(text)).toMatchObject({ type: 'urn:keen-spiral:fault', status: 500 });
  });

  it('counts the body as it arrives, whatever the header says', async () => {
    await expect(readJson(post('{"a":1}'))).resolves.toEqual({ a: 1 });
    await expect(readJson(post('x'.repeat(256 * 1024 + 1)))).rejects.toMatchObject({ code: 'too-large' });
    await expect(readJson(post('{"a":'))).rejects.toMatchObject({ code: 'broken-json' });
    await expect(readJson(post(''))).rejects.toThrow('the body is empty');
    const nested = (depth: number) => `${'['.repeat(depth)}${']'.repeat(depth)}`;
    await expect(readJson(post(nested(40)))).resolves.toBeDefined();
    await expect(readJson(post(nested(9000)))).rejects.toThrow('deeper than 40 levels');
  });
});

describe('what is written to the log', () => {
  it('is a code, never a message', () => {
    expect(errorCodeOf(new AppError('not-found'))).toBe('not-found');
    expect(errorCodeOf(new Error('x', { cause: { extendedCode: 'SQLITE_CONSTRAINT_CHECK' } }))).toBe(
      'SQLITE_CONSTRAINT_CHECK',
    );
    expect(errorCodeOf(new TypeError('secret'))).toBe('TypeError');
    expect(errorCodeOf('thrown text')).toBe('unknown');
  });
});

describe('who may not', () => {
  it('is told who may, in words, and nothing runs', async () => {
    const run = vi.fn(() => Promise.resolve('done'));
    const ask = new Request('http://127.0.0.1/x');
    const params = { params: Promise.resolve({}) };
    const routed = (permission: Permission | 'public') =>
      route(permission, () => Promise.resolve(new Response('done')))(ask, params);
    await as('assistant', async () => {
      expect(await greet(run)({ name: 'x' })).toEqual({
        ok: false,
        code: 'not-allowed',
        errors: [{ path: '', message: 'Only the owner and stylists can draft, change and book plans' }],
      });
      await expect(query('records', run)).rejects.toMatchObject({
        digest: 'NEXT_HTTP_ERROR_FALLBACK;403',
      });
      const answer = await routed('compute');
      expect(answer.status).toBe(403);
      expect(await answer.json()).toMatchObject({ type: 'urn:keen-spiral:not-allowed' });
      expect(run).not.toHaveBeenCalled();
      expect((await routed('public')).status).toBe(200);
      expect(await query('chair', run)).toBe('done');
    });
    // Each refusal is in the log, by ids.
    const { personId, deviceId } = signed.assistant;
    expect(warn.mock.calls).toEqual(
      ['write-plans', 'records', 'compute'].map((permission) => [
        { permission, personId, deviceId },
        'somebody was refused',
      ]),
    );
    expect(await asked(fromNetwork(), () => greet(run)({ name: 'x' }))).toMatchObject({ code: 'sign-in' });
    expect(info).toHaveBeenLastCalledWith(
      { permission: 'write-plans', from: '192.168.1.30', code: 'sign-in' },
      'a stranger was refused',
    );
  });

  it('is asked of every action and route there is, whoever it is', async () => {
    const found = await everyDoor();
    expect(found.length).toBeGreaterThan(70);
    for (const { name, ask } of found) {
      // A new one without a rule is none of those.
      expect([...Object.keys(permissions), 'public'], name).toContain(ask.permission);
      if (ask.permission === 'public') continue;
      const nonsense = () =>
        ask({ nonsense: true }, { params: Promise.resolve({ id: 'x', file: 'x', table: 'x', key: 'x' }) });
      const codeOf = (answer: unknown) =>
        answer instanceof Response ? answer.status : (answer as { code?: string }).code;
      for (const role of ROLES) {
        if (may(role, ask.permission as Permission)) continue;
        const answer = await as(role, nonsense);
        expect(codeOf(answer), `${name} as ${role}`).toBe(answer instanceof Response ? 403 : 'not-allowed');
      }
      const stranger = await asked(fromNetwork(), nonsense);
      expect(codeOf(stranger), `${name} as nobody`).toBe(stranger instanceof Response ? 401 : 'sign-in');
    }
    // What anybody may ask for is a short list.
    expect(
      found
        .filter(({ ask }) => ask.permission === 'public')
        .map(({ name }) => name)
        .sort(),
    ).toEqual(PUBLIC);
  });

  it('is never the owner, and every permission is somebody’s', () => {
    for (const [permission, { roles }] of Object.entries(permissions)) {
      expect(roles, permission).toContain('owner');
      // What an assistant may, a stylist may.
      if ((roles as readonly Role[]).includes('assistant')) expect(roles, permission).toContain('stylist');
    }
    expect(Object.keys(permissions).filter((name) => may('assistant', name as Permission))).toEqual([
      'shown-how',
      'own',
      'chair',
    ]);
  });

  it('may do on a device what the device may at most', async () => {
    const lent = await signedInAs(database, studioId, 'owner', { name: 'Lent', deviceRole: 'assistant' });
    const answer = await asked(lent.asking, () => greet((name) => Promise.resolve(name))({ name: 'x' }));
    expect(answer).toMatchObject({ code: 'not-allowed' });
  });
});

describe('who did what', () => {
  it('is kept with whoever signed in and her device, once for ten minutes of the same', async () => {
    const { personId, deviceId } = signed.stylist;
    const changed = action('write-plans', z.object({ planId: z.string() }), () => Promise.resolve({}));
    for (let i = 0; i < 3; i++) await as('stylist', () => changed({ planId: 'plan-1' }));
    await as('stylist', () => changed({ planId: 'plan-2' }));
    await changed({ planId: 'plan-1' });
    const kept = await listDeeds(database.db, studioId, 9);
    expect(
      kept.map(({ personId, deviceId, subjectId }) => ({ personId, deviceId, subjectId })).slice(0, 3),
    ).toEqual([
      { personId: null, deviceId: null, subjectId: 'plan-1' },
      { personId, deviceId, subjectId: 'plan-2' },
      { personId, deviceId, subjectId: 'plan-1' },
    ]);
    expect(kept[1]).toMatchObject({ personName: 'The stylist', kind: 'plan', permission: 'write-plans' });
  });
});

/** What anybody may ask for: what says nothing of anybody, and what lets in. */
const PUBLIC = [
  'app/api/[...rest]/route.ts DELETE',
  'app/api/[...rest]/route.ts GET',
  'app/api/[...rest]/route.ts POST',
  'app/api/[...rest]/route.ts PUT',
  'app/api/v1/clock/route.ts GET',
  'app/api/v1/health/route.ts GET',
  'app/api/v1/ready/route.ts GET',
  'places/people/sign-in/actions.ts becomeOwner',
  'places/people/sign-in/actions.ts pair',
  'places/people/sign-in/actions.ts signIn',
  'places/people/sign-in/actions.ts signOut',
  'places/people/sign-in/passkey-actions.ts askPasskey',
  'places/people/sign-in/passkey-actions.ts signInByPasskey',
  'places/yours/actions.ts openLink',
];
