import { proxy, wrap, type Remote } from 'comlink';
import type { Checked } from '@/core/formats/field-error';
import type { AnsweredView } from '@/core/plan/answer-view';
import type { ForecastEndpoint, Refinement } from './forecast.worker';

/** A forecaster that runs beside the page and only ever answers the newest question. */
export interface Forecaster {
  /** The quick answer; null when a newer question overtook this one. */
  readonly ask: (brief: unknown) => Promise<Checked<AnsweredView> | null>;
  /** Draws heads for the last question and tells how far it is, until it is done, stopped or overtaken. */
  readonly refine: (hear: (refinement: Refinement) => void) => Promise<void>;
  /** Stops drawing heads. */
  readonly rest: () => void;
  readonly end: () => void;
}

/** Starts a forecast worker. */
export function startForecaster(): Forecaster {
  const worker = new Worker(new URL('./forecast.worker.ts', import.meta.url), { type: 'module' });
  const remote: Remote<ForecastEndpoint> = wrap<ForecastEndpoint>(worker);
  let newest = 0;
  let hearing = 0;
  let running: Promise<unknown> = Promise.resolve();
  return {
    ask: async (brief) => {
      const own = ++newest;
      hearing++;
      await running;
      if (own !== newest) return null;
      const answer = remote.forecast(brief);
      running = answer.catch(() => undefined);
      const result = await answer;
      return own === newest ? result : null;
    },
    refine: async (hear) => {
      const own = ++hearing;
      await remote.refine(
        proxy((refinement: Refinement) => {
          if (own === hearing) hear(refinement);
        }),
      );
    },
    // What was on its way when the stop was pressed is not heard any more.
    rest: () => {
      hearing++;
      void remote.stop();
    },
    end: () => worker.terminate(),
  };
}
