import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import fc from 'fast-check';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { runEvent } from '@/core/run/run-event';
import { createOutbox, readAnswer, type OutboxNews, type Send } from './outbox';
import { browserStore, type OutboxStore, type QueuedEvent, type RefusedEvent } from './outbox-store';

const SET = 'a-set';
const tap = (id: string) => runEvent(id, 'section-done', 1, { sectionNumber: 1 });

/** A device whose disk outlives its pages. */
function aDisk() {
  let last = 0;
  let waiting: QueuedEvent[] = [];
  let refused: RefusedEvent[] = [];
  const store: OutboxStore = {
    deviceId: () => Promise.resolve('device'),
    put: (setId, event) => {
      last += 1;
      const queued = { number: last, setId, event };
      waiting.push(queued);
      return Promise.resolve(queued);
    },
    waiting: () => Promise.resolve([...waiting]),
    refused: () => Promise.resolve([...refused]),
    settle: (kept, no) => {
      const gone = new Set([...kept, ...no].map(({ number }) => number));
      waiting = waiting.filter(({ number }) => !gone.has(number));
      refused.push(...no);
      return Promise.resolve();
    },
    decide: (no, choice) => {
      const gone = new Set(no.map(({ number }) => number));
      refused = refused.filter(({ number }) => !gone.has(number));
      if (choice === 'again')
        waiting.push(...no.map(({ number, setId, event }) => ({ number, setId, event })));
      return Promise.resolve();
    },
  };
  return store;
}

/** A server that keeps an event once, refuses some, and may lose a request or an answer. */
function aServer(refuses: (id: string) => boolean) {
  const kept: string[] = [];
  let faults: ('request' | 'answer' | null)[] = [];
  const send: Send = (_, __, events) => {
    const fault = faults.shift() ?? null;
    if (fault === 'request') return Promise.reject(new TypeError('connection lost'));
    const verdicts = events.map(({ event: { id } }) => {
      if (refuses(id)) return { id, kept: false as const, message: 'it cannot have happened' };
      if (!kept.includes(id)) kept.push(id);
      return { id, kept: true as const, sequence: kept.indexOf(id) + 1, atMs: 5 };
    });
    return fault === 'answer'
      ? Promise.reject(new TypeError('answer lost'))
      : Promise.resolve({ kind: 'verdicts' as const, verdicts });
  };
  return { kept, send, breakNext: (next: typeof faults) => (faults = next) };
}

const alone = (task: () => Promise<void>) => task();
/** Timers that run only when they are asked to. */
function aClock() {
  const due: (() => void)[] = [];
  return {
    later: (run: () => void) => void due.push(run),
    tick: () => due.splice(0).forEach((run) => run()),
  };
}
/** A request of a database that is never answered. */
const silent = { addEventListener: { value: () => undefined } };
const settled = () => new Promise((done) => setTimeout(done, 0));

describe('taps on their way to the server', () => {
  it('end kept once or visibly refused, in the order they were made, over kills and lost answers', async () => {
    const step = fc.oneof(
      { weight: 5, arbitrary: fc.constant('tap' as const) },
      { weight: 1, arbitrary: fc.constant('kill' as const) },
      { weight: 1, arbitrary: fc.constant('lose request' as const) },
      { weight: 1, arbitrary: fc.constant('lose answer' as const) },
    );
    await fc.assert(
      fc.asyncProperty(fc.array(step, { maxLength: 40 }), async (steps) => {
        const store = aDisk();
        const server = aServer((id) => id.endsWith('7'));
        const clock = aClock();
        const open = () => createOutbox(store, server.send, alone, clock.later);
        let outbox = open();
        const tapped: string[] = [];
        for (const own of steps) {
          if (own === 'tap') {
            const id = `t${tapped.length}`;
            tapped.push(id);
            await outbox.put(SET, tap(id));
          } else if (own === 'kill') outbox = open();
          else server.breakNext([own === 'lose request' ? 'request' : 'answer']);
        }
        server.breakNext([]);
        outbox = open();
        await outbox.flush();
        await settled();
        const refused = (await store.refused()).map(({ event }) => event.id);
        expect(await store.waiting()).toEqual([]);
        expect([...new Set(refused)].sort()).toEqual(tapped.filter((id) => id.endsWith('7')).sort());
        expect(server.kept).toEqual(tapped.filter((id) => !id.endsWith('7')));
      }),
      { numRuns: 100 },
    );
  });

  it('wait while the server is away, and go when it is back', async () => {
    const server = aServer(() => false);
    const clock = aClock();
    const outbox = createOutbox(aDisk(), server.send, alone, clock.later);
    const seen: OutboxNews[] = [];
    outbox.watch((news) => seen.push(news));
    server.breakNext(['request', 'request']);
    await outbox.put(SET, tap('a'));
    await settled();
    expect(seen.at(-1)).toMatchObject({ isOffline: true, waiting: [{ event: { id: 'a' } }] });
    clock.tick();
    await settled();
    expect(server.kept).toEqual([]);
    clock.tick();
    await settled();
    expect(server.kept).toEqual(['a']);
    expect(seen.at(-1)).toMatchObject({ isOffline: false, waiting: [] });
    expect(seen.flatMap((news) => news.kept)).toMatchObject([{ id: 'a', sequence: 1, setId: SET }]);
  });

  it('of a set that is gone are put aside with what to do, and one bad event does not take the rest', async () => {
    const send: Send = (_, __, events) =>
      Promise.resolve(
        events.some(({ event }) => event.id === 'bad')
          ? { kind: 'refused', message: 'the server did not understand this' }
          : {
              kind: 'verdicts',
              verdicts: events.map(({ event }, i) => ({
                id: event.id,
                kept: true as const,
                sequence: i + 1,
                atMs: 1,
              })),
            },
      );
    const store = aDisk();
    for (const id of ['one', 'bad', 'two']) await store.put(SET, tap(id));
    const outbox = createOutbox(store, send, alone, () => undefined);
    await outbox.flush();
    expect((await store.refused()).map(({ event }) => event.id)).toEqual(['bad']);
    expect(await store.waiting()).toEqual([]);
    await outbox.decide(await store.refused(), 'drop');
    expect(await store.refused()).toEqual([]);
  });

  it('on a full device are said not to be written, and are sent all the same', async () => {
    const server = aServer(() => false);
    const full: OutboxStore = {
      ...aDisk(),
      put: () => Promise.reject(new DOMException('full', 'QuotaExceededError')),
    };
    const outbox = createOutbox(full, server.send, alone, () => undefined);
    const seen: OutboxNews[] = [];
    outbox.watch((news) => seen.push(news));
    server.breakNext(['request']);
    await outbox.put(SET, tap('a'));
    expect(seen[0]).toMatchObject({ isDeviceFull: true, waiting: [{ event: { id: 'a' } }] });
    await settled();
    await outbox.flush();
    expect(server.kept).toEqual(['a']);
    expect(seen.at(-1)).toMatchObject({ isDeviceFull: false, waiting: [] });
  });

  it('on a full device are put aside too when they are refused, and can be sent again or dropped', async () => {
    const full: OutboxStore = { ...aDisk(), put: () => Promise.reject(new DOMException('full')) };
    let isWilling = false;
    const server = aServer(() => !isWilling);
    const outbox = createOutbox(full, server.send, alone, () => undefined);
    const seen: OutboxNews[] = [];
    outbox.watch((news) => seen.push(news));
    for (const id of ['a', 'b']) await outbox.put(SET, tap(id));
    await settled();
    const refused = seen.at(-1)!.refused;
    expect(refused.map(({ event, message }) => `${event.id} ${message}`)).toEqual([
      'a it cannot have happened',
      'b it cannot have happened',
    ]);
    isWilling = true;
    await outbox.decide(refused.slice(0, 1), 'again');
    await outbox.decide(refused.slice(1), 'drop');
    await settled();
    expect(server.kept).toEqual(['a']);
    expect(seen.at(-1)).toMatchObject({ refused: [], waiting: [] });
  });

  it('an answer that is not understood takes nothing away', async () => {
    const answer = (status: number, body: unknown) =>
      readAnswer(new Response(typeof body === 'string' ? body : JSON.stringify(body), { status }));
    expect(await answer(200, '<html>')).toEqual({ kind: 'later' });
    expect(await answer(200, { format: 2, verdicts: [] })).toEqual({ kind: 'later' });
    for (const status of [401, 403, 429, 500, 503]) expect((await answer(status, {})).kind).toBe('later');
    for (const status of [400, 404, 413, 422]) expect((await answer(status, {})).kind).toBe('refused');
  });
});

describe('the store of a browser', () => {
  beforeEach(() => {
    vi.stubGlobal('indexedDB', new IDBFactory());
    const items = new Map<string, string>();
    vi.stubGlobal(
      'localStorage',
      new Proxy(
        {
          getItem: (key: string) => items.get(key) ?? null,
          setItem: (key: string, text: string) => void items.set(key, text),
          removeItem: (key: string) => void items.delete(key),
        },
        {
          ownKeys: () => [...items.keys()],
          getOwnPropertyDescriptor: () => ({ enumerable: true, configurable: true }),
        },
      ),
    );
  });

  it('lets go of what an older version left only when it is written down here', async () => {
    const left = JSON.stringify([{ id: 'o', kind: 'paused', atMs: 3, sectionNumber: null, note: null }]);
    localStorage.setItem('keen.run.old-set', left);
    const full = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    expect(await browserStore().waiting()).toEqual([]);
    expect(localStorage.getItem('keen.run.old-set')).toBe(left);
    full.mockRestore();
    expect((await browserStore().waiting()).map(({ event }) => event.id)).toContain('o');
  });

  it('holds a tap over a page that is left before it is written down, and writes it once', async () => {
    const disk = indexedDB;
    // The page goes before the disk has answered it.
    vi.stubGlobal('indexedDB', { open: () => Object.create(IDBOpenDBRequest.prototype, silent) as unknown });
    const left = browserStore();
    for (const id of ['b', 'c']) void left.put(SET, tap(id));
    vi.stubGlobal('indexedDB', disk);
    localStorage.setItem('keen.tap.000000001.x.a-set', 'not a tap');
    const [here, there] = [browserStore(), browserStore()];
    await Promise.all([here.waiting(), there.waiting()]);
    await here.put(SET, tap('d'));
    expect((await here.waiting()).map(({ event }) => event.id)).toEqual(['b', 'c', 'd']);
    expect(Object.keys(localStorage)).toEqual(['keen.tap.000000001.x.a-set']);
    expect(await here.waiting()).toEqual(await there.waiting());
  });

  it('what cannot be taken over hides nothing of what is written down', async () => {
    await browserStore().put(SET, tap('a'));
    localStorage.setItem(
      'keen.tap.000000001.b.a-set',
      JSON.stringify([{ ...tap('b'), sequence: undefined }]),
    );
    const full = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    const store = browserStore();
    expect((await store.waiting()).map(({ event }) => event.id)).toEqual(['a']);
    full.mockRestore();
    expect((await store.waiting()).map(({ event }) => event.id)).toEqual(['a', 'b']);
  });

  it('numbers taps over reloads, settles all or nothing, and takes over what an older version left', async () => {
    localStorage.setItem(
      'keen.run.old-set',
      JSON.stringify([{ id: 'o', kind: 'paused', atMs: 3, sectionNumber: null, note: null }]),
    );
    const first = browserStore();
    const device = await first.deviceId();
    await first.put(SET, tap('a'));
    const second = browserStore();
    expect(await second.deviceId()).toBe(device);
    await second.put(SET, tap('b'));
    const waiting = await second.waiting();
    expect(waiting.map(({ number, event }) => `${number} ${event.id}`)).toEqual(['1 a', '2 b', '3 o']);
    expect(waiting[2]).toMatchObject({ setId: 'old-set', event: { kind: 'paused', of: null } });
    expect(localStorage.getItem('keen.run.old-set')).toBeNull();
    await second.settle([waiting[0]!], [{ ...waiting[1]!, message: 'no' }]);
    expect((await first.waiting()).map(({ event }) => event.id)).toEqual(['o']);
    expect((await first.refused()).map(({ message }) => message)).toEqual(['no']);
    await first.decide(await first.refused(), 'again');
    expect((await first.waiting()).map(({ event }) => event.id)).toEqual(['b', 'o']);
  });
});
