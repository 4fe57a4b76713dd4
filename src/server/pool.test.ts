import { afterAll, afterEach, describe, expect, it, vi } from 'vitest';
import { aBrief } from '../../tests/support/briefs';
import { answerBrief } from '@/core/plan/answer-brief';
import { METRIC } from '@/core/formats/display';
import { flatHead } from './flat-head';
import { closePool, inPool } from './pool';

afterAll(closePool);
afterEach(() => void vi.useRealTimers());

describe('the pool beside the server', () => {
  it('answers what the core answers', async () => {
    const brief = aBrief();
    const own = answerBrief(brief);
    expect(JSON.parse(JSON.stringify(await inPool('answer', brief)))).toEqual(
      JSON.parse(JSON.stringify(own)),
    );
    expect(await inPool('answer', { format: 'nothing' })).toMatchObject({ ok: false });
  });

  it('lets two wait for a program that asks over HTTP, and sends the others away; the screens go on', async () => {
    const asked = Array.from({ length: 6 }, () => inPool('answer', aBrief(), 'http').then(() => 'done'));
    const screen = inPool('view', { brief: aBrief(), draws: 0 });
    const settled = await Promise.allSettled(asked);
    const codes = settled.map((own) =>
      own.status === 'fulfilled' ? own.value : (own.reason as { code: string }).code,
    );
    expect(codes).toEqual(['done', 'done', 'done', 'busy', 'busy', 'busy']);
    expect((await screen).ok).toBe(true);
    expect((await inPool('answer', aBrief(), 'http')).ok).toBe(true);
  });

  it('draws a head for paper, and leaves the page without where it cannot', async () => {
    const states = [
      { state: { kind: 'set' }, words: 'In the set' },
      { state: { kind: 'worn', day: 0, reach: 'likely' }, words: 'First day' },
    ] as const;
    const drawn = await flatHead(aBrief(), null, states, { ...METRIC, length: 'in' });
    expect(drawn!.pictures.map(({ words }) => words)).toEqual(['In the set', 'First day']);
    expect(drawn!.bar).toEqual({ cm: 5.08, words: '2 in' });
    expect(drawn!.pictures[0]!.picture.runs.length).toBeGreaterThan(20);
    expect(await flatHead({ format: 'nothing' }, null, states, METRIC)).toBeNull();
  });

  it('ends what a stranger asks after half a minute and goes on; a page of the studio waits for a busy machine', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
    const strange = inPool('answer', aBrief(), 'http').catch((thrown: unknown) => thrown);
    const screen = inPool('view', { brief: aBrief(), draws: 0 });
    await vi.advanceTimersByTimeAsync(30_000);
    vi.useRealTimers();
    expect(await strange).toMatchObject({ code: 'took-too-long' });
    expect((await screen).ok).toBe(true);
    expect((await inPool('answer', aBrief(), 'http')).ok).toBe(true);
  });

  it('passes on what went wrong in a task without ending the lane', async () => {
    await expect(inPool('begin', null as never)).resolves.toMatchObject({ ok: false });
    await expect(inPool('nothing' as never, null as never)).rejects.toBeDefined();
    expect((await inPool('answer', aBrief())).ok).toBe(true);
  });
});
