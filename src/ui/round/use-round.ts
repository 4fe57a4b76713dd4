'use client';
import { proxy } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { CameOut } from '@/core/round/came-out';
import type { RoundDetail, RoundPicture } from '@/core/round/build';
import type { RoundFacts } from '@/core/round/facts';
import type { FlatPicture } from '@/core/round/flat-picture';
import type { HeadSurface } from '@/core/round/head/surface';
import type { RoundState } from '@/core/round/state';
import { startRound, type RoundMaker } from '@/workers/client';
import type { Told } from '@/workers/round.worker';

/** A head that is built beside the page. */
export interface RoundHead {
  readonly facts: RoundFacts | null;
  readonly surface: HeadSurface | null;
  readonly picture: Told<RoundPicture> | null;
  readonly flat: Told<FlatPicture> | null;
  /** The state that is shown: that which is asked for, once it is built. */
  readonly shown: RoundState | null;
  /** Share of what is being built that is done; null when nothing is. */
  readonly building: number | null;
  readonly problem: string | null;
}

/** Pictures that are kept: going back to a day costs nothing. */
const MOST_KEPT = 4;
/** Screens narrower than this get half the hair. */
const SMALL_PX = 600;

/** How a head is asked for: in the round, or flat from one side. */
export interface RoundAsk {
  readonly state: RoundState;
  readonly flatFrom: number | null;
}

/** Builds a head of a brief, one picture after the other; a newer wish overtakes an older one. */
export function useRound(brief: unknown, cameOut: CameOut | null, { state, flatFrom }: RoundAsk): RoundHead {
  const [head, setHead] = useState<RoundHead>({
    facts: null,
    surface: null,
    picture: null,
    flat: null,
    shown: null,
    building: 0,
    problem: null,
  });
  const maker = useRef<RoundMaker | null>(null);
  const kept = useRef(new Map<string, Told<RoundPicture>>());
  const wanted = useRef('');
  const opened = useRef<Promise<boolean> | null>(null);
  const first = useRef({ brief, cameOut });
  const detail = useCallback((): RoundDetail => (window.innerWidth < SMALL_PX ? 'small' : 'full'), []);

  useEffect(() => {
    const made = startRound();
    maker.current = made;
    const pictures = kept.current;
    opened.current = (async () => {
      const facts = await made.ask.open('head', first.current.brief, first.current.cameOut);
      const surface = await made.ask.surface();
      if (maker.current !== made) return false;
      if (!facts.ok) {
        setHead((before) => ({ ...before, building: null, problem: facts.errors[0]?.message ?? null }));
        return false;
      }
      setHead((before) => ({ ...before, facts: facts.value, surface }));
      return true;
    })();
    return () => {
      maker.current = null;
      pictures.clear();
      made.end();
    };
  }, []);

  const key = JSON.stringify({ state, flatFrom });
  useEffect(() => {
    wanted.current = key;
    const show = (pictures: Partial<RoundHead>) =>
      setHead((before) => ({ ...before, ...pictures, shown: state, building: null }));
    const again = kept.current.get(key);
    if (again) {
      void maker.current?.ask.stop();
      show({ picture: again });
      return;
    }
    setHead((before) => ({ ...before, building: 0 }));
    const hear = proxy((share: number) => {
      if (wanted.current === key) setHead((before) => ({ ...before, building: share }));
    });
    void opened.current?.then(async (isOpen) => {
      // What was overtaken meanwhile is not built.
      if (!isOpen || wanted.current !== key || !maker.current) return;
      const { ask } = maker.current;
      if (flatFrom !== null) {
        const flat = await ask.flat('head', state, flatFrom, 'screen', hear);
        if (flat && wanted.current === key) show({ flat });
        return;
      }
      const picture = await ask.build('head', state, detail(), hear);
      if (!picture) return;
      kept.current.set(key, picture);
      if (kept.current.size > MOST_KEPT) kept.current.delete(kept.current.keys().next().value!);
      if (wanted.current === key) show({ picture });
    });
    // The wish is told by its key.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);

  return head;
}
