import { startStates } from '../coefficients/start-states';
import { dryingMethods } from '../drying-methods';
import { techniqueOf, type TechniqueId } from '../techniques';
import { ZONE_LABEL, ZONES } from '../hair/zone';
import { listed, plural } from '../words/words';
import type { Candidate, DryingRoute, ZoneTechniques } from './candidate';
import { scoresOf, type Choice } from './search';

/** What an option is best at. */
export const STRENGTHS = {
  surest: 'surest to be dry',
  quickest: 'least work',
  sharpest: 'best defined',
  longest: 'lasts longest',
  stretched: 'shows most length',
  rounded: 'best all round',
} as const;
export type Strength = keyof typeof STRENGTHS;

/** One of a few choices that are shown, and what it is best at. */
export interface Option extends Choice {
  readonly strengths: readonly Strength[];
}

const BY_SCORE: readonly (readonly [Strength, number])[] = [
  ['surest', 0],
  ['quickest', 1],
  ['sharpest', 2],
  ['longest', 3],
  ['stretched', 4],
];

/**
 * A few choices that stand for all that none beats: the best at each thing, and the one nearest to best at all.
 * A choice that is best at several things is shown once.
 */
export function optionsOf(front: readonly Choice[]): Option[] {
  if (front.length === 0) return [];
  const scores = front.map(scoresOf);
  const range = scores[0]!.map((_, k) => {
    const values = scores.map((score) => score[k]!);
    return { low: Math.min(...values), high: Math.max(...values) };
  });
  const all = (objective: readonly number[]) =>
    objective.reduce((sum, value, k) => {
      const { low, high } = range[k]!;
      return sum + (high > low ? (value - low) / (high - low) : 1);
    }, 0);
  const rank = scores.map(all);
  const bestBy = (of: (i: number) => number) =>
    front.reduce(
      (best, _, i) => (of(i) > of(best) || (of(i) === of(best) && rank[i]! > rank[best]!) ? i : best),
      0,
    );
  const strengths = new Map<number, Strength[]>();
  const give = (i: number, strength: Strength) => strengths.set(i, [...(strengths.get(i) ?? []), strength]);
  give(
    bestBy((i) => rank[i]!),
    'rounded',
  );
  for (const [strength, k] of BY_SCORE) {
    // Where all are alike there is no best.
    if (range[k]!.high > range[k]!.low)
      give(
        bestBy((i) => scores[i]![k]!),
        strength,
      );
  }
  return [...strengths].map(([i, said]) => ({ ...front[i]!, strengths: said }));
}

/** "overnight under a satin bonnet, then under the hood on warm" */
function dryingWords({ overnight, method }: DryingRoute): string {
  const { phrase } = dryingMethods[method];
  return overnight ? `overnight ${dryingMethods.bonnet.phrase}, then ${phrase}` : `dried ${phrase}`;
}

/** ", as comb coils at the nape and the left side" */
function zoneWords(zones: ZoneTechniques): string {
  const places = new Map<TechniqueId, string[]>();
  for (const zone of ZONES) {
    const id = zones[zone];
    if (id) places.set(id, [...(places.get(id) ?? []), `the ${ZONE_LABEL[zone]}`]);
  }
  return [...places].map(([id, names]) => `, as ${techniqueOf(id).noun[1]} at ${listed(names)}`).join('');
}

/** A candidate in the words of the trade: "10 braids, set damp, overnight under a satin bonnet, then …". */
export function candidateWords(
  { technique, sections, tool, startState, drying }: Candidate,
  zones: ZoneTechniques = {},
): string {
  const { noun } = techniqueOf(technique);
  const on = tool ? ` on ${tool.diameterMm} mm` : '';
  return `${plural(sections, ...noun)}${on}${zoneWords(zones)}, ${startStates[startState].phrase}, ${dryingWords(drying)}`;
}
