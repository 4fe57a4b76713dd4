import { expose } from 'comlink';
import type { Checked } from '@/core/formats/field-error';
import { answerView, type AnsweredView, type KeptLayout } from '@/core/plan/answer-view';

let kept: KeptLayout | null = null;

/** What the worker does: a forecast of a raw brief. */
const endpoint = {
  forecast(raw: unknown): Checked<AnsweredView> {
    const answer = answerView(raw, kept);
    if (!answer.ok) return answer;
    kept = answer.value.kept;
    return { ok: true, value: { view: answer.value.view, drawn: answer.value.drawn } };
  },
};

export type ForecastEndpoint = typeof endpoint;

expose(endpoint);
