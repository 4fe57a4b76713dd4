import { describe, expect, it } from 'vitest';
import { eventStream, type Streamed } from './event-stream';
import { followSet, tellSet } from './live';

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
