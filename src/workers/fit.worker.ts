import { expose } from 'comlink';
import type { Means } from '@/core/fit/space';
import { optionsOf, type Option } from '@/core/fit/options';
import { search, type Relaxed, type SearchState, type Wishes } from '@/core/fit/search';
import { shownOption, type ShownOption } from '@/core/fit/shown-option';
import { SETTLED_DRAWS } from '@/core/plan/draw-counts';
import type { FieldError } from '@/core/formats/field-error';
import { readBrief } from '@/core/formats/read-brief';
import { HOUR_MS } from '@/core/units/time';

/** What is asked for: the time there is instead of two points in time. */
export type AskedWishes = Omit<Wishes, 'readyMs' | 'startMs'> & { readonly availableH: number };

/** What the page hears while the search goes on. */
export interface FitProgress {
  readonly looked: number;
  readonly of: number;
  readonly isDone: boolean;
  readonly options: readonly ShownOption[];
  readonly relaxed: readonly { readonly wish: Relaxed['wish']; readonly option: ShownOption }[];
}

/** Candidates between two looks at how far it is, and between two that show new options. */
const EVERY = 40;
const SHOWN_EVERY = 400;

const keyOf = ({ candidate }: Option) => JSON.stringify(candidate);

/** What the worker does: searches, and tells how far it is. It is stopped by ending it. */
const endpoint = {
  run(
    raw: unknown,
    means: Means,
    { availableH, ...asked }: AskedWishes,
    hear: (progress: FitProgress) => void,
  ): readonly FieldError[] {
    const brief = readBrief(raw);
    if (!brief.ok) return brief.errors;
    const base = brief.value;
    const readyMs = base.wearByMs ?? 0;
    const wishes: Wishes = { ...asked, readyMs, startMs: readyMs - availableH * HOUR_MS };
    const known = new Map<string, ShownOption>();
    const show = (option: Option, draws: number): ShownOption => {
      const key = `${draws}/${keyOf(option)}`;
      const shown = known.get(key) ?? shownOption(base, option, option.strengths, availableH, draws);
      known.set(key, shown);
      return { ...shown, strengths: option.strengths };
    };
    let options: readonly ShownOption[] = [];
    const tell = (state: SearchState, isDone: boolean) => {
      // In the end as many as the plan desk draws: an option says what its plan will say.
      const draws = isDone ? SETTLED_DRAWS : 0;
      const isTime = isDone || state.looked % SHOWN_EVERY === 0 || options.length === 0;
      const found = isTime ? optionsOf(state.front) : [];
      // The very first answer is one option, at once; the others follow.
      if (isTime)
        options = (isDone || options.length > 0 ? found : found.slice(0, 1)).map((option) =>
          show(option, draws),
        );
      hear({
        looked: state.looked,
        of: state.of,
        isDone,
        options,
        relaxed: isDone
          ? state.relaxed.map(({ wish, choice }) => ({
              wish,
              option: show({ ...choice, strengths: [] }, draws),
            }))
          : [],
      });
    };
    const steps = search(base, means, wishes, EVERY);
    let next = steps.next();
    while (!next.done) {
      tell(next.value, false);
      next = steps.next();
    }
    tell(next.value, true);
    return [];
  },
};

export type FitEndpoint = typeof endpoint;

expose(endpoint);
