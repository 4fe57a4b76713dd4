import { expose } from 'comlink';
import type { Checked } from '@/core/formats/field-error';
import { answerDraft, type AnsweredView, type AskedDraft } from '@/core/plan/answer-view';
import { SHOWN_AT_DRAWS } from '@/core/plan/draw-counts';

/** Heads drawn between two looks at the mailbox: about 40 ms of work. */
const CHUNK = 25;
/** Heads after which the numbers are shown: soon, and when it is enough. */

/** What the page hears while heads are drawn. */
export interface Refinement {
  /** A new answer, when there is one to show. */
  readonly answer: AnsweredView | null;
  readonly drawn: number;
  readonly wanted: number;
}

let asked = 0;
let draft: AskedDraft | null = null;

/** Lets messages in: a newer question or a stop. */
const letMessagesIn = () => new Promise<void>((resolve) => setTimeout(resolve, 0));

/** What the worker does: a quick forecast of a raw brief, then heads drawn until it is sure or told to stop. */
const endpoint = {
  forecast(raw: unknown): Checked<AnsweredView> {
    asked++;
    const answer = answerDraft(raw, draft);
    if (!answer.ok) return answer;
    draft = answer.value;
    return { ok: true, value: draft.view(0) };
  },
  async refine(hear: (refinement: Refinement) => void): Promise<void> {
    const request = asked;
    const current = draft;
    if (!current) return;
    const wanted = SHOWN_AT_DRAWS.at(-1)!;
    for (let drawn = 0; drawn < wanted;) {
      drawn += CHUNK;
      current.drawTo(drawn);
      await letMessagesIn();
      if (request !== asked) return;
      hear({ answer: SHOWN_AT_DRAWS.includes(drawn) ? current.view(drawn) : null, drawn, wanted });
    }
  },
  stop(): void {
    asked++;
  },
};

export type ForecastEndpoint = typeof endpoint;

expose(endpoint);
