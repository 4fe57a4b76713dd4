import { likeness, type Pick } from './search';
import type { Weighed } from './score';
import type { Asked } from './ways';
import { AXES } from './way';

/** An option is shown beside the draft at most so far below it, in score. */
const WORST_BELOW = 1.35;
const LEAST_CHANCE = 0.6;
const TOO_ALIKE = 0.6;
const ALIKE_COST = 0.9;
const GAIN_WORTH = 0.1;
/** A row that speaks so strongly against a way keeps it from being offered. */
const WORST_ROW = -1.25;
export const MOST_OPTIONS = 5;

/** What an option must be better at by at least this to be worth showing, in steps anybody notices. */
const NOTICED: Readonly<Partial<Record<keyof Weighed, number>>> = {
  days: 0.6,
  definition: 0.4,
  volume: 0.5,
  stretch: 0.05,
  handsOnMin: -20,
  soft: 0.7,
  gentle: 0.7,
  chance: 0.06,
};

/** In how many things a way is clearly better than another. */
function gains(way: Weighed, than: Weighed): number {
  return (Object.keys(NOTICED) as (keyof Weighed)[]).filter((key) => {
    const step = NOTICED[key]!;
    const more = Number(way[key] ?? 0) - Number(than[key] ?? 0);
    return step < 0 ? more <= step : more >= step;
  }).length;
}

const isAgainstRules = ({ way }: Pick, { suits }: Asked) =>
  AXES.some((axis) => suits.of(axis, way).lines.some(({ points }) => points <= WORST_ROW));

/** The draft, and up to four others that differ in kind and are each better at something. */
export function differentIn(draft: Pick, kinds: readonly Pick[], asked: Asked): Pick[] {
  const chosen = [draft];
  const pool = kinds.filter(
    (pick) =>
      pick.score >= draft.score - WORST_BELOW &&
      (pick.weighed.chance ?? 1) > LEAST_CHANCE &&
      gains(pick.weighed, draft.weighed) > 0 &&
      !isAgainstRules(pick, asked),
  );
  while (chosen.length < MOST_OPTIONS) {
    const worth = pool
      .map((pick) => {
        const alike = Math.max(...chosen.map((other) => likeness(pick.way, other.way)));
        return {
          pick,
          alike,
          worth: pick.score - ALIKE_COST * alike + GAIN_WORTH * gains(pick.weighed, draft.weighed),
        };
      })
      .filter(({ pick, alike }) => alike < TOO_ALIKE && !chosen.includes(pick));
    const best = worth.reduce<(typeof worth)[number] | null>(
      (most, one) => (most && most.worth >= one.worth ? most : one),
      null,
    );
    if (!best) break;
    chosen.push(best.pick);
  }
  return chosen;
}
