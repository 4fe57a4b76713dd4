import { expose } from 'comlink';
import { fitting } from '@/core/evidence/fitted-studio';
import type { FittedSpreads, LearntSet } from '@/core/evidence/learning';

/** Tries between two times that it tells. */
const TRIES_AT_ONCE = 3;

const endpoint = {
  /** Fits the spreads of a studio's log, telling how far it is. */
  run(sets: readonly LearntSet[], hear: (share: number) => void): FittedSpreads {
    const steps = fitting(sets);
    let step = steps.next();
    for (let tried = 1; !step.done; tried++) {
      if (tried % TRIES_AT_ONCE === 0) hear(step.value);
      step = steps.next();
    }
    return step.value;
  },
};
export type LearnEndpoint = typeof endpoint;

expose(endpoint);
