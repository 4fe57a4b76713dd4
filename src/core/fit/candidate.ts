import type { EndsMethodId, RootMethodId } from '../coefficients/root-and-ends';
import type { StartStateId } from '../coefficients/start-states';
import { dryingMethods, type DryingMethodId } from '../drying-methods';
import type { DryingStep } from '../drying/dry-run-input';
import { perZone, type Zone } from '../hair/zone';
import type { Brief, PlannedTool } from '../brief/brief';
import { techniqueOf, type TechniqueId } from '../techniques';
import type { Technique } from '../techniques/technique';
import { toolKindOf } from '../techniques/tool-kind-of';

/** One way to do a head: what the search varies. */
export interface Candidate {
  readonly technique: TechniqueId;
  readonly sections: number;
  readonly tool: PlannedTool | null;
  readonly startState: StartStateId;
  readonly drying: DryingRoute;
}

/** How hair is dried: one method until it is dry, or a night in a bonnet and a method for the last of it. */
export interface DryingRoute {
  readonly overnight: boolean;
  readonly method: DryingMethodId;
}

/** Zones whose hair cannot carry the technique of the rest, and what is done there. */
export type ZoneTechniques = Partial<Readonly<Record<Zone, TechniqueId>>>;

/** Hours kept for the method that ends a night. */
const LAST_H = 1;
const SHORTEST_NIGHT_H = 4;
const LONGEST_NIGHT_H = 10;
/** Longest that anybody is asked to sit under hot air; what is still damp then dries in the open (common practice). */
export const HOT_SITTING_H = 2;
const QUARTER = 0.25;

/** The steps of a route to ask for in a drying window; null where the window is too short for a night. */
export function stepsOf({ overnight, method }: DryingRoute, windowH: number): DryingStep[] | null {
  const wanted = dryingMethods[method];
  if (overnight) {
    const night = Math.floor(Math.min(LONGEST_NIGHT_H, windowH - LAST_H) / QUARTER) * QUARTER;
    if (night < SHORTEST_NIGHT_H) return null;
    return [
      { method: dryingMethods.bonnet, hours: night },
      { method: wanted, hours: LAST_H },
    ];
  }
  const hours = wanted.isBlown ? Math.min(HOT_SITTING_H, windowH) : wanted.usualHours;
  return [{ method: wanted, hours }];
}

/** Root and ends of a technique: those wanted, where it can carry them and has the tool they ask for. */
export function waysOf(
  technique: Technique,
  wanted: { readonly rootMethod?: RootMethodId; readonly endsMethod?: EndsMethodId },
  tool: PlannedTool | null,
): { readonly rootMethod: RootMethodId; readonly endsMethod: EndsMethodId } {
  const keep = <K extends string>(of: readonly [K, ...K[]], own: K | undefined): K =>
    own !== undefined && of.includes(own) ? own : of[0];
  const endsMethod = keep(technique.endsMethods, wanted.endsMethod);
  const kind = toolKindOf(technique, endsMethod);
  return {
    rootMethod: keep(technique.rootMethods, wanted.rootMethod),
    // Ends that want a tool of their own are finished as is usual where there is none.
    endsMethod: kind === null || tool?.kind === kind ? endsMethod : technique.endsMethods[0],
  };
}

/**
 * A brief with a candidate's choices; root and ends stay where its technique can carry them.
 *
 * @param zones what is done in zones that cannot carry it; the head's parting runs through them
 */
export function briefOf(
  base: Brief,
  { technique: id, sections, tool, startState }: Candidate,
  drying: readonly DryingStep[],
  zones: ZoneTechniques = {},
): Brief {
  const technique = techniqueOf(id);
  const choice = { technique: id, ...waysOf(technique, base.set, tool), tool };
  return {
    ...base,
    set: { ...base.set, ...choice, sections, startState },
    zones: perZone((zone) => {
      const other = zones[zone];
      return other
        ? { technique: other, ...waysOf(techniqueOf(other), base.set, null), tool: null, sections: null }
        : { ...choice, sections: null };
    }),
    parting: { ...base.parting, pattern: technique.usualPattern, recipe: null },
    drying,
  };
}
