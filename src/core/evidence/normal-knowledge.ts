import { lnNormal } from '../stats/gauss';
import type { Knowledge } from './pooling';

/** What is known of a number as a normal curve; `ln` is the ln of the factor before it. */
export interface NormalMessage {
  readonly mean: number;
  /** Infinite where nothing is known. */
  readonly variance: number;
  readonly ln: number;
}

const NOTHING: NormalMessage = { mean: 0, variance: Infinity, ln: 0 };

/** Exact sums of normal curves. */
export const normalKnowledge: Knowledge<NormalMessage> = {
  none: NOTHING,
  both: (a, b) => {
    if (a.variance === Infinity) return { ...b, ln: a.ln + b.ln };
    if (b.variance === Infinity) return { ...a, ln: a.ln + b.ln };
    const variance = 1 / (1 / a.variance + 1 / b.variance);
    return {
      mean: variance * (a.mean / a.variance + b.mean / b.variance),
      variance,
      ln: a.ln + b.ln + lnNormal(a.mean - b.mean, a.variance + b.variance),
    };
  },
  without: (all, one) => {
    if (one.variance === Infinity) return all;
    const variance = 1 / (1 / all.variance - 1 / one.variance);
    return { mean: variance * (all.mean / all.variance - one.mean / one.variance), variance, ln: 0 };
  },
  wider: (message, sd) =>
    message.variance === Infinity ? message : { ...message, variance: message.variance + sd * sd },
  aboutZero: (sd) => ({ mean: 0, variance: sd * sd, ln: 0 }),
  evidence: ({ mean, variance, ln }, sd) =>
    variance === Infinity ? ln : ln + lnNormal(mean, variance + sd * sd),
};

/** One set's distance from what was expected; `ownVariance` where the distance itself is only roughly known. */
export interface Residual {
  readonly value: number;
  readonly ownVariance?: number;
}

/** What sets of one technique on one head say of it. @param setSd spread from set to set */
export const normalCell = (residuals: readonly Residual[], setSd: number): NormalMessage =>
  residuals
    .map(({ value, ownVariance = 0 }) => ({ mean: value, variance: setSd * setSd + ownVariance, ln: 0 }))
    .reduce(normalKnowledge.both, NOTHING);
