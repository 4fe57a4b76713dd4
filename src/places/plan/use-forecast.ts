'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Checked, FieldError } from '@/core/formats/field-error';
import type { AnsweredView } from '@/core/plan/answer-view';
import type { DryingWay } from '@/core/plan/drying-ways';
import { startForecaster, type Forecaster } from '@/workers/client';
import type { DraftBrief } from '@/core/draft/draft-brief';

/** How far the drawing of heads is; null when it rests. */
export interface Refining {
  readonly drawn: number;
  readonly wanted: number;
}

export interface LiveForecast {
  /** The newest answer; the last good one while the brief does not add up. */
  readonly answer: AnsweredView | null;
  /** The brief that the answer is of: an older one while a newer is worked out. */
  readonly answered: DraftBrief | null;
  readonly errors: readonly FieldError[];
  readonly isWorking: boolean;
  readonly refining: Refining | null;
  /** How long a brief takes in each of four ways to dry. */
  readonly ways: (brief: DraftBrief) => Promise<readonly DryingWay[]>;
  /** Stops drawing heads; the numbers stay as they are. */
  readonly stop: () => void;
}

/** Hands that are still changing things get quick answers only. */
const SETTLED_MS = 350;

/** Re-forecasts in a worker on every change of the brief, then refines it; the page never waits for it. */
export function useForecast(brief: DraftBrief, first: Checked<AnsweredView>): LiveForecast {
  const [live, setLive] = useState<Omit<LiveForecast, 'stop' | 'ways'>>({
    answer: first.ok ? first.value : null,
    answered: first.ok ? brief : null,
    errors: first.ok ? [] : first.errors,
    isWorking: false,
    refining: null,
  });
  const forecaster = useRef<Forecaster | null>(null);

  useEffect(() => {
    const started = startForecaster();
    forecaster.current = started;
    return () => started.end();
  }, []);

  useEffect(() => {
    let isOver = false;
    let settled: ReturnType<typeof setTimeout> | undefined;
    const working = setTimeout(() => setLive((was) => ({ ...was, isWorking: true })), 150);
    const refine = () =>
      void forecaster.current?.refine(({ answer, drawn, wanted }) => {
        if (isOver) return;
        setLive((was) => ({
          ...was,
          answer: answer ?? was.answer,
          refining: drawn < wanted ? { drawn, wanted } : null,
        }));
      });
    void forecaster.current?.ask(brief).then((result) => {
      clearTimeout(working);
      if (!result || isOver) return;
      setLive((was) =>
        result.ok
          ? { answer: result.value, answered: brief, errors: [], isWorking: false, refining: null }
          : { ...was, errors: result.errors, isWorking: false, refining: null },
      );
      if (result.ok) settled = setTimeout(refine, SETTLED_MS);
    });
    return () => {
      isOver = true;
      clearTimeout(working);
      clearTimeout(settled);
    };
  }, [brief]);

  const stop = useCallback(() => {
    forecaster.current?.rest();
    setLive((was) => ({ ...was, refining: null }));
  }, []);
  const ways = useCallback((asked: DraftBrief) => forecaster.current?.ways(asked) ?? Promise.resolve([]), []);
  return { ...live, stop, ways };
}
