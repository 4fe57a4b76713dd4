'use client';
import { useEffect, useRef, useState } from 'react';
import type { Checked, FieldError } from '@/core/formats/field-error';
import type { AnsweredView } from '@/core/plan/answer-view';
import { startForecaster, type Forecaster } from '@/workers/client';
import type { DraftBrief } from './plan-content';

export interface LiveForecast {
  /** The newest answer; the last good one while the brief does not add up. */
  readonly answer: AnsweredView | null;
  readonly errors: readonly FieldError[];
  readonly isWorking: boolean;
}

/** Re-forecasts in a worker on every change of the brief; the page never waits for it. */
export function useForecast(brief: DraftBrief, first: Checked<AnsweredView>): LiveForecast {
  const [live, setLive] = useState<LiveForecast>({
    answer: first.ok ? first.value : null,
    errors: first.ok ? [] : first.errors,
    isWorking: false,
  });
  const forecaster = useRef<Forecaster | null>(null);
  const asked = useRef(brief);

  useEffect(() => {
    const started = startForecaster();
    forecaster.current = started;
    return () => started.stop();
  }, []);

  useEffect(() => {
    if (asked.current === brief) return;
    asked.current = brief;
    const working = setTimeout(() => setLive((was) => ({ ...was, isWorking: true })), 150);
    void forecaster.current?.ask(brief).then((result) => {
      clearTimeout(working);
      if (!result) return;
      setLive((was) =>
        result.ok
          ? { answer: result.value, errors: [], isWorking: false }
          : { answer: was.answer, errors: result.errors, isWorking: false },
      );
    });
    return () => clearTimeout(working);
  }, [brief]);

  return live;
}
