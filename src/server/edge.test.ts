import { describe, expect, it, vi } from 'vitest';
import { z } from 'zod';
import { AppError, ERRORS, errorCodeOf, invalid } from './errors';
import { readJson, route } from './route';

vi.mock('./actor', () => ({ currentActor: () => Promise.resolve({ studio: { id: 's', timeZone: 'UTC' } }) }));
vi.mock('./db/client', () => ({ database: () => ({}) }));
vi.mock('./log', () => ({ log: { error: vi.fn() } }));
const { action, query } = await import('./action');
const { log } = await import('./log');

const greet = (run: (name: string) => Promise<string>) =>
  action(z.strictObject({ name: z.string().min(1, 'write a name') }), ({ input }) => run(input.name));

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
    await expect(query(() => Promise.reject(new AppError('unreadable')))).rejects.toMatchObject({
      digest: 'unreadable',
    });
    const secret = new Error('Failed query: select "Wren"', { cause: { code: 'SQLITE_CORRUPT' } });
    const failed = query(() => Promise.reject(secret));
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
    const failing = route(() => Promise.reject(new TypeError('cannot read properties of undefined')));
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
