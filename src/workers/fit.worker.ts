import { expose } from 'comlink';
import { fitTo, type Fitted, type Gives, type Limits, type Strength } from '@/core/fit/fit';
import { readFit } from '@/core/fit/read-fit';
import type { BriefInput } from '@/core/formats/brief';
import type { FieldError } from '@/core/formats/field-error';
import { SETTLED_DRAWS } from '@/core/plan/draw-counts';
import { ask } from '@/core/suggest/ask';
import { optionOf, type Option } from '@/core/suggest/option';
import { wayKey, type Pick } from '@/core/suggest/search';

/** An option with the figures of the whole forecast, as it is shown, and what it is best at. */
export interface FitOptionShown extends Option {
  readonly strengths: readonly Strength[];
}

/** What the page hears while the search goes on. */
export interface FitProgress {
  readonly looked: number;
  readonly of: number;
  readonly isDone: boolean;
  readonly options: readonly FitOptionShown[];
  readonly relaxed: readonly { readonly gives: Gives; readonly option: FitOptionShown }[];
}

/** What is asked for: the plan as it stands, what is at hand, and the limits. */
export interface AskedFit {
  readonly brief: BriefInput;
  readonly wish: unknown;
  readonly limits: Limits;
  readonly availableH: number;
}

/** What the worker does: searches, and tells how far it is. It is stopped by ending it. */
const endpoint = {
  run(
    { brief, wish: rawWish, limits, availableH }: AskedFit,
    hear: (progress: FitProgress) => void,
  ): readonly FieldError[] {
    const read = readFit(brief, rawWish, availableH);
    if (!read.ok) return read.errors;
    const { told, wish } = read.value;
    const asked = ask(wish);
    const known = new Map<string, Option>();
    const show = (pick: Pick, strengths: readonly Strength[], draws: number): FitOptionShown => {
      const key = `${draws}/${wayKey(pick.way)}`;
      const option = known.get(key) ?? optionOf(told, asked, pick, draws);
      known.set(key, option);
      return { ...option, strengths };
    };
    const tell = (
      { options, relaxed }: Fitted,
      { looked, of }: { readonly looked: number; readonly of: number },
      isDone: boolean,
    ) => {
      // In the end as many as the plan desk draws: an option says what its plan will say.
      const draws = isDone ? SETTLED_DRAWS : 0;
      hear({
        looked,
        of,
        isDone,
        options: options.map(({ pick, strengths }) => show(pick, strengths, draws)),
        relaxed: isDone ? relaxed.map(({ gives, pick }) => ({ gives, option: show(pick, [], draws) })) : [],
      });
    };
    const search = fitTo(wish, limits);
    let step = search.next();
    let last = { looked: 0, of: 1 };
    while (!step.done) {
      last = step.value;
      tell(step.value, step.value, false);
      step = search.next();
    }
    tell(step.value, { looked: last.of, of: last.of }, true);
    return [];
  },
};

export type FitEndpoint = typeof endpoint;

expose(endpoint);
