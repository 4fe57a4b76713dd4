import { expose } from 'comlink';
import type { BriefInput } from '@/core/formats/brief';
import type { FieldError } from '@/core/formats/field-error';
import { readBrief } from '@/core/formats/read-brief';
import { answerDraft, drawTo, type AnsweredView } from '@/core/plan/answer-view';
import { SETTLED_DRAWS } from '@/core/plan/draw-counts';
import { dryingWays, type DryingWay } from '@/core/plan/drying-ways';
import { layoutFor } from '@/core/plan/layout-for';
import { ask, timesOf, type Wish } from '@/core/suggest/ask';
import { usefulToMeasure, type Usefulness } from '@/core/suggest/most-useful';
import { optionOf, type Option } from '@/core/suggest/option';
import { readWish } from '@/core/suggest/read-wish';
import { reasonsFor, type SuggestReason } from '@/core/suggest/reasons';
import { Search, type Pick, type SearchState } from '@/core/suggest/search';
import { suggest, type Suggested } from '@/core/suggest/suggest';
import { questionsAbout, whyNot, whyNotLabel, type WhyNot } from '@/core/suggest/why-not';

/** What the page hears while ways are looked for. */
export interface SuggestProgress {
  readonly runs: number;
  readonly of: number;
  readonly isDone: boolean;
  /** The draft first; while it goes on, the best so far. */
  readonly options: readonly Option[];
  readonly nothingFits: string | null;
}

/** Everything that is said of one option. */
export interface Explained {
  readonly reasons: readonly SuggestReason[];
  readonly useful: readonly Usefulness[];
  readonly ways: readonly DryingWay[];
  readonly questions: readonly { readonly asked: WhyNot; readonly label: string }[];
}

/** Why something was not chosen, and the option with it, by its place in the list; null where it cannot be done. */
export interface WhyNotTold {
  readonly text: string;
  readonly instead: number | null;
}

/** Steps of a search between two looks at the mailbox: about 20 ms of work. */
const CHUNK = 8;

let request = 0;
let wish: Wish | null = null;
let told: BriefInput | null = null;
let found: Suggested | null = null;
let picks: Pick[] = [];

/** Lets messages in: a newer wish or a stop. */
const letMessagesIn = () => new Promise<void>((resolve) => setTimeout(resolve, 0));

const optionAt = (pick: Pick): Option => optionOf(told!, found!.search.asked, pick, 0);

/** What the worker does: looks for ways to do a head, tells the best so far, then answers about them. */
const endpoint = {
  async run(raw: unknown, hear: (progress: SuggestProgress) => void): Promise<readonly FieldError[]> {
    const mine = ++request;
    const read = readWish(raw);
    if (!read.ok) return read.errors;
    ({ wish, told } = read.value);
    const early = new Search(ask(wish), timesOf(wish.base));
    const search = suggest(wish);
    let shown: Pick | null = null;
    let step = search.next();
    for (let i = 1; !step.done; i++) {
      const { best, runs, of }: SearchState = step.value;
      // The first answer at once; after that only what is plainly another.
      if (best && (!shown || best.way.set.technique !== shown.way.set.technique)) {
        shown = best;
        hear({ runs, of, isDone: false, options: [optionOf(told, early.asked, best, 0)], nothingFits: null });
      }
      if (i % CHUNK === 0) {
        await letMessagesIn();
        if (mine !== request) return [];
      }
      step = search.next();
    }
    found = step.value;
    picks = [...found.picks];
    hear({ runs: 1, of: 1, isDone: true, options: picks.map(optionAt), nothingFits: found.nothingFits });
    return [];
  },
  /** The plan of an option as the desk would show it: from as many drawn heads. */
  view(brief: BriefInput, isSettled: boolean): AnsweredView | null {
    const draft = answerDraft(brief, null);
    if (!draft.ok) return null;
    const draws = isSettled ? SETTLED_DRAWS : 0;
    drawTo(draft.value, draws);
    return draft.value.view(draws);
  },
  explain(index: number): Explained | null {
    const pick = picks[index];
    if (!wish || !told || !found || !pick) return null;
    const brief = readBrief(optionAt(pick).brief);
    return {
      reasons: reasonsFor(wish, found.search, pick, found.kinds),
      useful: usefulToMeasure(wish, pick),
      ways: brief.ok ? dryingWays(brief.value, layoutFor(brief.value)) : [],
      questions: questionsAbout(pick, found.search).map((asked) => ({
        asked,
        label: whyNotLabel(asked, pick),
      })),
    };
  },
  whyNot(index: number, asked: WhyNot): WhyNotTold | null {
    const pick = picks[index];
    if (!wish || !found || !pick) return null;
    const { text, instead } = whyNot(wish, found.search, pick, asked);
    return { text, instead: instead ? picks.push(instead) - 1 : null };
  },
  /** An option by its place, also one that answered a question. */
  option(index: number): Option | null {
    const pick = picks[index];
    return pick ? optionAt(pick) : null;
  },
  stop(): void {
    request++;
  },
};

export type SuggestEndpoint = typeof endpoint;

expose(endpoint);
