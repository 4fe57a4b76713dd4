import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { PlanContent } from '@/core/draft/draft-brief';
import { aBrief } from '../../../tests/support/briefs';
import {
  dropDraftCopy,
  readDraftCopy,
  rememberKept,
  sendOnLeaving,
  wasKeptLater,
  writeDraftCopy,
} from './draft-copy';
import { draftReducer, startDraft, type DraftAction, type DraftState } from './draft-reducer';

const titled = (title: string): PlanContent => ({ title, brief: aBrief(), layerProductIds: [] });

describe('a draft with its history', () => {
  const first = titled('first');
  const edits = (...titles: string[]): DraftState =>
    titles.reduce((state, title) => draftReducer(state, { type: 'edited', content: titled(title) }), start());
  const start = () => startDraft(first, 1);

  it('undone as often as it was edited is what it was, and redone as often what it became', () => {
    fc.assert(
      fc.property(fc.array(fc.string(), { minLength: 1, maxLength: 40 }), (titles) => {
        const edited = edits(...titles);
        const often = (type: 'undone' | 'redone', from: DraftState) =>
          titles.reduce((state) => draftReducer(state, { type }), from);
        let state = often('undone', edited);
        expect(state.present).toBe(first);
        expect(state.past).toEqual([]);
        // Nothing is before the first.
        expect(draftReducer(state, { type: 'undone' })).toBe(state);
        state = often('redone', state);
        expect(state).toEqual(edited);
        expect(draftReducer(state, { type: 'redone' })).toBe(state);
      }),
    );
  });

  it('never mixes what is kept with what is shown, whatever comes', () => {
    const action: fc.Arbitrary<DraftAction> = fc.oneof(
      fc.string().map((title) => ({ type: 'edited' as const, content: titled(title) })),
      fc.constantFrom(
        { type: 'undone' } as const,
        { type: 'redone' } as const,
        { type: 'conflicted' } as const,
      ),
      fc.record({
        type: fc.constant('renewed' as const),
        content: fc.string().map(titled),
        revision: fc.integer({ min: 1, max: 9 }),
      }),
    );
    fc.assert(
      fc.property(fc.array(action, { maxLength: 30 }), (actions) => {
        let state = start();
        for (const next of actions) {
          const before = state;
          state = draftReducer(before, next);
          // What is typed is not overwritten by what the server has.
          if (next.type === 'renewed' && before.present !== before.saved) expect(state).toBe(before);
          // Only the server's word changes what counts as kept.
          if (state.saved !== before.saved) expect(next.type).toBe('renewed');
          expect(state.revision).toBeGreaterThanOrEqual(before.revision);
          expect(state.past.length).toBeLessThanOrEqual(100);
        }
      }),
    );
  });

  it('of two tabs: the other’s is taken, and one’s own comes back by undo; or one’s own is kept over it', () => {
    const mine = draftReducer(edits('mine'), { type: 'conflicted' });
    const theirs = { content: titled('theirs'), revision: 7 };
    const took = draftReducer(mine, { type: 'took-theirs', ...theirs });
    expect(took).toMatchObject({ conflict: false, revision: 7, present: theirs.content });
    expect(took.saved).toBe(took.present);
    expect(draftReducer(took, { type: 'undone' }).present.title).toBe('mine');
    const kept = draftReducer(mine, { type: 'kept-mine', revision: 7 });
    expect(kept).toMatchObject({ conflict: false, revision: 7 });
    expect(kept.present.title).toBe('mine');
    expect(kept.present).not.toBe(kept.saved);
  });
});

describe('the copy of a draft on a device', () => {
  /** A device’s store of so many letters. */
  const storeOf = (room = Infinity) => {
    const kept = new Map<string, string>();
    return {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => {
        if (value.length > room) throw new DOMException('full', 'QuotaExceededError');
        kept.set(key, value);
      },
      removeItem: (key: string) => void kept.delete(key),
    };
  };
  beforeEach(() => {
    vi.stubGlobal('localStorage', storeOf());
    vi.stubGlobal('sessionStorage', storeOf());
  });
  afterEach(() => {
    vi.unstubAllGlobals();
  });
  const copy = { revision: 3, content: titled('typed'), sent: [titled('on its way')] };

  it('comes back as it was written, for its plan alone, until it is dropped', () => {
    writeDraftCopy('a', copy);
    expect(readDraftCopy('a')).toEqual(copy);
    expect(readDraftCopy('b')).toBeNull();
    dropDraftCopy('a');
    expect(readDraftCopy('a')).toBeNull();
  });

  it('of an older program knows nothing of what was sent; a spoilt one is none', () => {
    const { sent: _, ...older } = copy;
    localStorage.setItem('keen.draft.a', JSON.stringify(older));
    expect(readDraftCopy('a')).toEqual({ ...older, sent: [] });
    for (const spoilt of ['', '{', 'null', '7', '{"revision":1}', '{"revision":1,"content":null}']) {
      localStorage.setItem('keen.draft.a', spoilt);
      expect(readDraftCopy('a'), spoilt).toBeNull();
    }
  });

  it('is done without on a full device', () => {
    vi.stubGlobal('localStorage', storeOf(10));
    vi.stubGlobal('sessionStorage', storeOf(0));
    writeDraftCopy('a', copy);
    rememberKept('a', 4);
    expect(readDraftCopy('a')).toBeNull();
    expect(wasKeptLater('a', 1)).toBe(false);
  });

  it('is no longer the latest once this tab was answered with a later revision', () => {
    expect(wasKeptLater('a', 1)).toBe(false);
    rememberKept('a', 4);
    expect([3, 4, 5].map((revision) => wasKeptLater('a', revision))).toEqual([true, false, false]);
    expect(wasKeptLater('b', 1)).toBe(false);
  });

  it('is sent when its page is left, in words that fit through a closing door; a failure is nobody’s', async () => {
    const sent: { path: string; keepalive: boolean | undefined; body: unknown }[] = [];
    vi.stubGlobal('fetch', (path: string, { keepalive, body }: RequestInit) => {
      sent.push({ path, keepalive, body: JSON.parse(String(body)) as unknown });
      return Promise.reject(new TypeError('away'));
    });
    sendOnLeaving('a', 3, copy.content);
    sendOnLeaving('a', 3, titled('x'.repeat(70_000)));
    await new Promise((settled) => setTimeout(settled, 0));
    expect(sent.map(({ keepalive }) => keepalive)).toEqual([true, false]);
    expect(sent[0]).toMatchObject({ path: '/api/v1/plans/a', body: { revision: 3, title: 'typed' } });
  });
});
