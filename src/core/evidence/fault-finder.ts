import { uncapitalised } from '../words/words';
import {
  CAUSE_IDS,
  causes,
  LEVEL_CHANCE,
  SYMPTOM_IDS,
  symptoms,
  type Cause,
  type CauseId,
  type FaultFacts,
  type SymptomId,
} from './causes';

/** What somebody saw: symptoms that are there, and those looked for and not there. */
export type SeenSymptoms = Partial<Record<SymptomId, 'present' | 'absent'>>;

/** Why a cause is thought of. */
export interface CauseReason {
  readonly text: string;
  /** From the record of the set, not from what was ticked. */
  readonly isFact: boolean;
}

/** A cause with how much speaks for it. */
export interface LikelyCause {
  readonly id: CauseId;
  readonly score: number;
  readonly share: number;
  /** Those that speak most for it, at most two. */
  readonly reasons: readonly CauseReason[];
}

/** What a fault finder says. */
export interface FaultFinding {
  /** Every cause, likeliest first. */
  readonly ranked: readonly LikelyCause[];
  /** What is told: at most three. */
  readonly told: readonly (LikelyCause & { readonly sureness: 'most likely' | 'could be' })[];
  /** `nothing-seen` without a symptom, `cannot-tell` where nothing stands out. */
  readonly verdict: 'nothing-seen' | 'cannot-tell' | 'told';
  /** The scalp comes first, whatever else there is. */
  readonly isScalpFirst: boolean;
}

/** How far one symptom counts beside another: they go together. */
const DAMPING = 0.8;
const MOST_BY_FACTS = 8;
const MOST_LIKELY = { share: 0.45, timesNext: 2 };
const COULD_BE = 0.2;
const LEAST_TOLD = 0.1;
const MOST_TOLD = 3;
const LEAST_REASON = 0.05;

function scored(id: CauseId, seen: SeenSymptoms, facts: FaultFacts) {
  const { prior, brings, facts: rows }: Cause = causes[id];
  const weighed: { weight: number; reason: CauseReason }[] = [];
  let score = Math.log(prior);
  for (const symptom of SYMPTOM_IDS) {
    const state = seen[symptom];
    if (!state) continue;
    const chance = LEVEL_CHANCE[brings[symptom] ?? 0];
    const by =
      DAMPING *
      (state === 'present'
        ? Math.log(chance / LEVEL_CHANCE[0])
        : Math.log((1 - chance) / (1 - LEVEL_CHANCE[0])));
    score += by;
    if (state === 'present')
      weighed.push({ weight: by, reason: { text: uncapitalised(symptoms[symptom].label), isFact: false } });
  }
  const known = rows.flatMap((row) => row(facts));
  const product = known.reduce((all, { times }) => all * times, 1);
  score += Math.log(Math.min(MOST_BY_FACTS, Math.max(1 / MOST_BY_FACTS, product)));
  for (const { times, text } of known)
    weighed.push({ weight: Math.log(times), reason: { text, isFact: true } });
  return {
    id,
    score,
    reasons: weighed
      .filter(({ weight }) => weight > LEAST_REASON)
      .sort((a, b) => b.weight - a.weight)
      .slice(0, 2)
      .map(({ reason }) => reason),
  };
}

/**
 * What most likely went wrong: how well each cause fits what is seen and what the record says. Its weights are judgement;
 * it says words, never a percentage.
 *
 * @source evidence §5, common practice
 */
export function findFault(seen: SeenSymptoms, facts: FaultFacts): FaultFinding {
  const all = CAUSE_IDS.map((id) => scored(id, seen, facts));
  const top = Math.max(...all.map(({ score }) => score));
  const total = all.reduce((sum, { score }) => sum + Math.exp(score - top), 0);
  const ranked = all
    .map((one): LikelyCause => ({ ...one, share: Math.exp(one.score - top) / total }))
    .sort((a, b) => b.share - a.share);
  const isScalpFirst = seen.scalp === 'present';
  if (!SYMPTOM_IDS.some((id) => seen[id] === 'present'))
    return { ranked, told: [], verdict: 'nothing-seen', isScalpFirst };
  const named = ranked.filter(({ id }) => id !== 'other');
  const [first, second] = [named[0]!, ranked.find(({ id }) => id !== named[0]!.id)!];
  if (first.share < COULD_BE) return { ranked, told: [], verdict: 'cannot-tell', isScalpFirst };
  const isMostLikely =
    first.share >= MOST_LIKELY.share && first.share >= MOST_LIKELY.timesNext * second.share;
  const told = named
    .filter(({ share }) => share >= LEAST_TOLD)
    .slice(0, MOST_TOLD)
    .map((one, i) => ({
      ...one,
      sureness: i === 0 && isMostLikely ? ('most likely' as const) : ('could be' as const),
    }));
  return { ranked, told, verdict: 'told', isScalpFirst };
}

/** Everything that the record says and that bears on any cause, each fact once. */
export function recordWords(facts: FaultFacts): string[] {
  const known = CAUSE_IDS.flatMap((id) => (causes[id] as Cause).facts.flatMap((row) => row(facts)));
  return [...new Map(known.map(({ fact, text }) => [fact, text])).values()];
}

/** What comes before any cause where a scalp is sore or itches. */
export const SCALP_FIRST =
  'Loosen or undo what pulls, and wash out what is new. Broken, infected or flaring scalp, or sudden or patchy loss: no set, see a dermatologist.';
