import { describe, expect, it } from 'vitest';
import { eventStream, type Streamed } from './event-stream';
import { followSet, readOnce, tellSet } from './live';

describe('a stream of what comes into a log', () => {
  /** A log that grows, and a reader of its stream. */
  function aLog(after: number) {
    const kept: Streamed[] = [];
    const gone = new AbortController();
    const response = eventStream(
      after,
      (sequence) => Promise.resolve(kept.filter((one) => one.sequence > sequence)),
      (hear) => followSet('log', hear),
      gone.signal,
    );
    const reader = response.body!.getReader();
    const next = async () => new TextDecoder().decode((await reader.read()).value);
    const add = (sequence: number) => {
      kept.push({ sequence, data: { sequence } });
      tellSet('log');
    };
    return { response, next, add, end: () => gone.abort(), reader };
  }

  it('begins after a place, follows in order, each once, and says so in the standard form', async () => {
    const { response, next, add, end, reader } = aLog(1);
    expect(response.headers.get('content-type')).toContain('text/event-stream');
    expect(response.headers.get('cache-control')).toContain('no-transform');
    expect(await next()).toMatch(/^retry: \d+\n\n$/);
    add(1);
    add(2);
    add(3);
    // HTML Living Standard, server-sent events: fields, then an empty line.
    expect((await next()) + (await next())).toBe(
      'id: 2\ndata: {"sequence":2}\n\nid: 3\ndata: {"sequence":3}\n\n',
    );
    end();
    expect((await reader.read()).done).toBe(true);
    // Nobody is told any more, and nothing breaks.
    add(4);
  });

  it('ends when what it follows cannot be read any more', async () => {
    const response = eventStream(
      0,
      () => Promise.reject(new Error('closed')),
      () => () => {},
      new AbortController().signal,
    );
    expect(await response.text()).toMatch(/^retry: \d+\n\n$/);
  });
});

describe('many who ask the same', () => {
  it('are answered by one read, until the log has grown', async () => {
    let reads = 0;
    const read = () => Promise.resolve(++reads);
    expect(await Promise.all([1, 2, 3].map(() => readOnce('one', 'studio/5', read)))).toEqual([1, 1, 1]);
    expect(await Promise.all([readOnce('one', 'studio/5', read), readOnce('one', 'other/5', read)])).toEqual([
      2, 3,
    ]);
    const before = readOnce('one', 'studio/5', read);
    tellSet('one');
    // What was asked before may not know of it.
    expect(await Promise.all([before, readOnce('one', 'studio/5', read)])).toEqual([4, 5]);
    await expect(readOnce('one', 'x', () => Promise.reject(new Error('closed')))).rejects.toThrow('closed');
    expect(await readOnce('one', 'x', read)).toBe(6);
  });
});
