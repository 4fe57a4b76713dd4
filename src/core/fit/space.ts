import { startStates, type StartStateId } from '../coefficients/start-states';
import { dryingMethods, type DryingMethodId } from '../drying-methods';
import { isHotAir } from '../drying-methods/method';
import { MAX_SECTIONS, MIN_SECTIONS } from '../parting/generate';
import type { Brief, PlannedTool } from '../brief/brief';
import { clamp } from '../units/clamp';
import { TECHNIQUE_IDS, techniqueOf, type TechniqueId } from '../techniques';
import type { Candidate, DryingRoute } from './candidate';

/** What a stylist has and does: the search stays within it. */
export interface Means {
  /** Techniques that may come out. */
  readonly techniques: readonly TechniqueId[];
  /** Tools in the drawer. */
  readonly tools: readonly PlannedTool[];
  /** Ways to dry at hand. */
  readonly drying: readonly DryingMethodId[];
}

/** Section counts that are tried, in shares of what is usual for a technique. */
const COUNT_SHARES = [0.5, 0.7, 0.85, 1, 1.25, 1.6, 2.2] as const;
/** States hair may be brought to. */
const STARTS: readonly StartStateId[] = ['wet', 'damp', 'nearly-dry', 'stretched-misted', 'stretched-dry'];
const IS_WEAK = ['bleached', 'heat-damaged'];

/** Counts that are tried; a trial of two halves has as many on either side. */
const countsOf = (usual: number, isTrial: boolean): number[] => {
  const grain = isTrial ? 2 : 1;
  const fewest = grain * Math.ceil(MIN_SECTIONS / grain);
  return [
    ...new Set(
      COUNT_SHARES.map((share) => clamp(grain * Math.round((usual * share) / grain), fewest, MAX_SECTIONS)),
    ),
  ];
};

/** Routes that the ways to dry at hand allow. Hot air is left out on bleached and heat-worn hair. */
export function routesOf(methods: readonly DryingMethodId[], conditions: readonly string[]): DryingRoute[] {
  const isWeak = conditions.some((condition) => IS_WEAK.includes(condition));
  const usable = methods.filter((id) => !(isWeak && isHotAir(dryingMethods[id])));
  const night = usable.includes('bonnet');
  return usable.flatMap((method): DryingRoute[] => [
    { overnight: false, method },
    ...(night && method !== 'bonnet' ? [{ overnight: true, method }] : []),
  ]);
}

/** Every way to do this head with these means, cheapest to work out first within a technique. */
export function candidates(brief: Brief, means: Means): Candidate[] {
  const routes = routesOf(means.drying, brief.head.conditions);
  const isTrial = brief.parting.part === 'half-head';
  return TECHNIQUE_IDS.filter((id) => means.techniques.includes(id)).flatMap((id) => {
    const technique = techniqueOf(id);
    const tools: (PlannedTool | null)[] = technique.tool
      ? means.tools.filter(({ kind, owned }) => kind === technique.tool && owned > 0)
      : [null];
    const starts = STARTS.filter(
      (state) =>
        (!technique.needsStretched || startStates[state].straightened > 0.5) &&
        (!technique.needsWet || startStates[state].moisture.kind === 'free'),
    );
    return countsOf(technique.usualSections, isTrial).flatMap((sections) =>
      tools.flatMap((tool) =>
        // A size has to go round the head.
        tool && tool.owned < sections
          ? []
          : starts.flatMap((startState) =>
              routes.map((drying): Candidate => ({ technique: id, sections, tool, startState, drying })),
            ),
      ),
    );
  });
}
