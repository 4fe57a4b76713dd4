'use client';
import { useEffect, useRef, useState } from 'react';
import type { HeadInput } from '@/core/formats/brief';
import type { WishInput } from '@/core/formats/wish';
import type { Knowable } from '@/core/hair/head';
import { startSuggester, type Suggester } from '@/workers/client';
import type { Explained } from '@/workers/suggest.worker';

/** What measuring one thing would bring: the range of days now, and with it known. */
export interface UsefulNow {
  readonly useful: Explained['useful'];
  readonly now: { readonly p10: number; readonly p90: number } | null;
  readonly then: { readonly p10: number; readonly p90: number } | null;
}

const SETTLED_MS = 500;

/** What would help most to measure next, worked out beside the page once hands rest. */
export function useUseful(head: HeadInput | null, wants: WishInput['wants']): UsefulNow | null {
  const [told, setTold] = useState<{ readonly text: string; readonly useful: UsefulNow } | null>(null);
  const suggester = useRef<Suggester | null>(null);
  useEffect(() => {
    const started = startSuggester();
    suggester.current = started;
    return () => started.end();
  }, []);
  const text = head === null ? '' : JSON.stringify({ head, wants });
  useEffect(() => {
    if (text === '') return;
    let isOver = false;
    const asked = JSON.parse(text) as { head: HeadInput; wants: WishInput['wants'] };
    const timer = setTimeout(() => {
      void (async () => {
        const own = suggester.current;
        const wish: WishInput = {
          format: 'keen-spiral/wish',
          version: 1,
          head: asked.head,
          wants: asked.wants,
          timeZone: 'UTC',
        };
        let brief: unknown = null;
        await own?.run(wish, ({ options, isDone }) => {
          if (isDone) brief = options[0]?.brief ?? null;
        });
        if (isOver || brief === null) return;
        const explained = await own?.ask.explain(0);
        const useful = explained?.useful ?? [];
        const days = async (without: Knowable | null) => {
          const one = brief as Parameters<Suggester['ask']['view']>[0];
          const notKnown = (asked.head.notKnown ?? []).filter((field) => field !== without);
          const view = await own?.ask.view({ ...one, head: { ...one.head, notKnown } }, false);
          return view?.view.plan.daysPresentable ?? null;
        };
        const [now, then] = [await days(null), useful[0] ? await days(useful[0].field) : null];
        if (!isOver) setTold({ text, useful: { useful, now, then } });
      })();
    }, SETTLED_MS);
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  }, [text]);
  return told?.useful ?? null;
}
