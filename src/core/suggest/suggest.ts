import type { SuggestionsFile } from '../formats/suggestions-file';
import type { Checked } from '../formats/field-error';
import { ask, timesOf, type Wish } from './ask';
import { differentIn } from './different';
import { usefulToMeasure } from './most-useful';
import { optionOf } from './option';
import { readWish } from './read-wish';
import { chanceWords, reasonsFor } from './reasons';
import { Search, type Pick, type SearchState } from './search';
import { plainWay } from './set-node';
import { ran } from '../work';

/** What a search came to. */
export interface Suggested {
  readonly search: Search;
  /** The draft first, then others that differ in kind; empty where nothing can be done. */
  readonly picks: readonly Pick[];
  /** The best of every kind that was tried. */
  readonly kinds: readonly Pick[];
  readonly nothingFits: string | null;
}

/** Why nothing can be done at all: a rule that rules every set out, else that there is no time or no length for any. */
function impossibleWords({ asked }: Search, wish: Wish): string {
  const [technique] = asked.means.techniques;
  const way = plainWay(
    { technique: technique ?? 'two-strand-twist', sections: 18, countShare: 1, tool: null, zones: {} },
    'damp',
    {
      night: 'gather-and-bonnet',
      separations: 2,
      fluffing: 1,
      hands: 'oiled',
    },
  );
  const out = asked.suits.of('technique', way).out;
  if (out) return out.text;
  return wish.technique
    ? 'This hair cannot carry that, with what is at hand and in the time there is. Leave the technique open, or give it more time.'
    : 'Nothing can be set and dried in the time there is. Begin earlier, or be ready later.';
}

/** What would have to give where the best there is does not keep to all that was asked. */
function shortfallWords({ weighed }: Pick, wish: Wish): string | null {
  const { chance, handsOnMin } = weighed;
  const parts = [
    ...(chance !== null && chance < wish.sureness - 0.01
      ? [
          `the best there is would be ${chanceWords(chance)} by then: begin earlier, be ready later, or take a hood`,
        ]
      : []),
    ...(wish.handsOnMaxMin !== null && handsOnMin > wish.handsOnMaxMin
      ? [`it takes about ${Math.round(handsOnMin / 5) * 5} min of work, more than you have strength for`]
      : []),
  ];
  return parts.length === 0 ? null : `Not all of it can be had: ${parts.join('; and ')}.`;
}

/** Looks for a draft and for others that differ from it, telling how far it is. */
export function* suggest(wish: Wish): Generator<SearchState, Suggested> {
  const search = new Search(ask(wish), timesOf(wish.base));
  const draft = yield* search.run();
  if (!draft) return { search, picks: [], kinds: [], nothingFits: impossibleWords(search, wish) };
  const kinds = yield* search.kinds(draft);
  // A kind tried with more runs may beat the draft by a hair: the draft is what is best.
  const best = kinds.reduce((most, pick) => (pick.score > most.score ? pick : most), draft);
  return {
    search,
    picks: differentIn(best, kinds, search.asked),
    kinds,
    nothingFits: shortfallWords(best, wish),
  };
}

const round = (value: number) => Math.round(value * 1000) / 1000;

/** From a raw wish to suggestions in the open format. */
export function answerWish(raw: unknown): Checked<SuggestionsFile> {
  const read = readWish(raw);
  if (!read.ok) return read;
  const { wish, told } = read.value;
  const found = ran(suggest(wish));
  return {
    ok: true,
    value: {
      format: 'keen-spiral/suggestions',
      version: 1,
      options: found.picks.map((pick) => {
        const { title, brief, products, figures, score, scoreParts } = optionOf(
          told,
          found.search.asked,
          pick,
          0,
        );
        return {
          title,
          brief,
          products,
          figures,
          reasons: reasonsFor(wish, found.search, pick, found.kinds),
          score: round(score),
          scoreParts: Object.fromEntries(Object.entries(scoreParts).map(([id, value]) => [id, round(value)])),
        };
      }),
      nothingFits: found.nothingFits,
      mostUsefulToMeasure: found.picks[0] ? (usefulToMeasure(wish, found.picks[0])[0]?.field ?? null) : null,
    },
  };
}
