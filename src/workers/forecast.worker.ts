import { expose, wrap, type Remote } from 'comlink';
import { drawnHeads } from '@/core/drying/draws';
import type { Checked } from '@/core/formats/field-error';
import { answerDraft, type AnsweredView, type AskedDraft } from '@/core/plan/answer-view';
import { readBrief } from '@/core/formats/read-brief';
import { SHOWN_AT_DRAWS } from '@/core/plan/draw-counts';
import { dryingWays, type DryingWay } from '@/core/plan/drying-ways';
import { makeDryBy, type MachineBy } from '@/core/plan/make-dry-by';
import { layoutFor } from '@/core/plan/layout-for';
import { partedView, partingProblem, type PartedView } from '@/core/plan/chair-parting';
import { partingChoices, type PartingChoice } from '@/core/plan/parting-effect';
import { beliefOnCourse } from '@/core/plan/on-course';
import type { DryTimes } from '@/core/plan/forecast-view';
import type { BriefInput } from '@/core/formats/brief';
import type { PartingEdit } from '@/core/run/parting-edit';
import { rescues, type LateSet, type Rescue } from '@/core/plan/rescues';
import type { Drawer } from './draw.worker';

/** Heads that one worker draws between two looks at the mailbox: about 15 ms of work. */
const CHUNK = 16;

/** What the page hears while heads are drawn. */
export interface Refinement {
  /** A new answer, when there is one to show. */
  readonly answer: AnsweredView | null;
  readonly drawn: number;
  readonly wanted: number;
}

let asked = 0;
let draft: AskedDraft | null = null;
let helper: Remote<Drawer> | null = null;

/** Lets messages in: a newer question or a stop. */
const letMessagesIn = () => new Promise<void>((resolve) => setTimeout(resolve, 0));

/** The next heads of a draft: half of them by the helper, where there is one. */
async function drawMore({ uncertain, seed, drawn, add }: AskedDraft): Promise<number> {
  const [from, middle] = [drawn(), drawn() + CHUNK];
  const theirs = helper?.heads(uncertain, seed, middle, middle + CHUNK);
  const own = drawnHeads(uncertain, seed, from, middle);
  await letMessagesIn();
  return add(from, theirs ? [...own, ...(await theirs)] : own);
}

/** What the worker does: a quick forecast of a raw brief, then heads drawn until it is sure or told to stop. */
const endpoint = {
  /** Takes a second worker to draw with, at the other end of a channel. */
  takeHelper(port: MessagePort): void {
    helper = wrap<Drawer>(port);
  },
  forecast(raw: unknown): Checked<AnsweredView> {
    asked++;
    const answer = answerDraft(raw, draft);
    if (!answer.ok) return answer;
    draft = answer.value;
    return { ok: true, value: draft.view(0) };
  },
  /** How long a brief takes in each of four ways to dry; nothing while it does not add up. */
  ways(raw: unknown): readonly DryingWay[] {
    const brief = readBrief(raw);
    return brief.ok ? dryingWays(brief.value, layoutFor(brief.value)) : [];
  },
  /** What makes a head that dries dry by a time. */
  dryBy(...asked: Parameters<typeof makeDryBy>): MachineBy | null {
    return makeDryBy(...asked);
  },
  /** A set as its parting is now, by what is believed of the one it had. */
  parted(raw: BriefInput, edits: readonly PartingEdit[], before: DryTimes): Checked<PartedView> {
    const answer = partedView(raw, edits);
    if (!answer.ok) return answer;
    const { view } = answer.value;
    const belief = beliefOnCourse(before.belief, before, view.dryTimes);
    return {
      ok: true,
      value: { ...answer.value, view: { ...view, dryTimes: { ...view.dryTimes, belief } } },
    };
  },
  partingChoices(...asked: Parameters<typeof partingChoices>): PartingChoice[] {
    return partingChoices(...asked);
  },
  partingProblem(...asked: Parameters<typeof partingProblem>): string | null {
    return partingProblem(...asked);
  },
  rescues(late: LateSet): Rescue[] {
    return rescues(late);
  },
  async refine(hear: (refinement: Refinement) => void): Promise<void> {
    const request = asked;
    const current = draft;
    if (!current) return;
    const wanted = SHOWN_AT_DRAWS.at(-1)!;
    for (let drawn = current.drawn(); drawn < wanted;) {
      drawn = await drawMore(current);
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
