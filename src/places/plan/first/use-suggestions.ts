'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { FieldError } from '@/core/formats/field-error';
import type { WishInput } from '@/core/formats/wish';
import type { AnsweredView } from '@/core/plan/answer-view';
import type { Option } from '@/core/suggest/option';
import type { WhyNot } from '@/core/suggest/why-not';
import { startSuggester, type Suggester } from '@/workers/client';
import type { Explained, SuggestProgress, WhyNotTold } from '@/workers/suggest.worker';

/** What is known so far of the wish on the screen. */
export interface LiveSuggestions {
  readonly progress: SuggestProgress | null;
  readonly errors: readonly FieldError[];
  readonly isWorking: boolean;
  /** The option that is looked at. */
  readonly option: Option | null;
  readonly index: number;
  readonly view: AnsweredView | null;
  /** Null until the search is over. */
  readonly explained: Explained | null;
  readonly choose: (index: number, option: Option) => void;
  readonly whyNot: (asked: WhyNot) => Promise<(WhyNotTold & { readonly option: Option | null }) | null>;
  readonly stop: () => void;
}

interface State {
  readonly progress: SuggestProgress | null;
  readonly errors: readonly FieldError[];
  readonly isWorking: boolean;
  readonly chosen: { readonly index: number; readonly option: Option } | null;
}

const FIRST: State = { progress: null, errors: [], isWorking: true, chosen: null };

/** Suggests in a worker on every change of the wish; the page never waits for it. */
export function useSuggestions(wish: WishInput): LiveSuggestions {
  const [state, setState] = useState<State>(FIRST);
  const [seen, setSeen] = useState<{ option: Option; view: AnsweredView | null } | null>(null);
  const [explained, setExplained] = useState<{ option: Option; told: Explained | null } | null>(null);
  const suggester = useRef<Suggester | null>(null);

  useEffect(() => {
    const started = startSuggester();
    suggester.current = started;
    return () => started.end();
  }, []);

  const text = JSON.stringify(wish);
  useEffect(() => {
    let isOver = false;
    const asked = JSON.parse(text) as unknown;
    void suggester.current
      ?.run(asked, (progress) => {
        if (!isOver)
          setState((was) => ({ ...was, progress, errors: [], isWorking: !progress.isDone, chosen: null }));
      })
      .then((errors) => {
        if (!isOver && errors.length > 0)
          setState({ progress: null, errors, isWorking: false, chosen: null });
      });
    return () => {
      isOver = true;
    };
  }, [text]);

  const { progress, chosen } = state;
  const option = chosen?.option ?? progress?.options[0] ?? null;
  const index = chosen?.index ?? 0;
  const isDone = progress?.isDone ?? false;
  useEffect(() => {
    if (!option) return;
    let isOver = false;
    const ask = suggester.current?.ask;
    void (async () => {
      const quick = await ask?.view(option.brief, false);
      if (isOver) return;
      setSeen({ option, view: quick ?? null });
      if (!isDone) return;
      const told = await ask?.explain(index);
      if (isOver) return;
      setExplained({ option, told: told ?? null });
      const settled = await ask?.view(option.brief, true);
      if (!isOver) setSeen({ option, view: settled ?? null });
    })();
    return () => {
      isOver = true;
    };
  }, [option, index, isDone]);

  const choose = useCallback(
    (at: number, next: Option) => setState((was) => ({ ...was, chosen: { index: at, option: next } })),
    [],
  );
  const whyNot = useCallback(
    async (asked: WhyNot) => {
      const told = (await suggester.current?.ask.whyNot(index, asked)) ?? null;
      const instead = told?.instead ?? null;
      const other = instead === null ? null : ((await suggester.current?.ask.option(instead)) ?? null);
      return told && { ...told, option: other };
    },
    [index],
  );
  const stop = useCallback(() => {
    suggester.current?.stop();
    setState((was) => ({ ...was, isWorking: false }));
  }, []);
  return {
    ...state,
    option,
    index,
    view: seen?.view ?? null,
    explained: explained && explained.option === option ? explained.told : null,
    choose,
    whyNot,
    stop,
  };
}
