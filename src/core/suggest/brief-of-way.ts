import { withLearntTimes } from '../brief/learnt';
import type { Brief, PlannedSize, ZoneSet } from '../brief/brief';
import type { EndsMethodId, RootMethodId } from '../coefficients/root-and-ends';
import type { DryingStep } from '../drying/dry-run-input';
import { perZone } from '../hair/zone';
import { techniqueOf } from '../techniques';
import type { Technique } from '../techniques/technique';
import { toolKindOf } from '../techniques/tool-kind-of';
import type { Way } from './way';

/** Root and ends of a technique: those wanted, where it can carry them and has the tool they ask for. */
export function methodsOf(
  technique: Technique,
  wanted: { readonly rootMethod: RootMethodId; readonly endsMethod: EndsMethodId },
  tool: Pick<PlannedSize, 'kind'> | null,
): Pick<ZoneSet, 'rootMethod' | 'endsMethod'> {
  const keep = <K extends string>(of: readonly [K, ...K[]], asked: K): K =>
    of.includes(asked) ? asked : of[0];
  const endsMethod = keep(technique.endsMethods, wanted.endsMethod);
  const kind = toolKindOf(technique, endsMethod);
  return {
    rootMethod: keep(technique.rootMethods, wanted.rootMethod),
    // Ends that want a tool of their own are finished as is usual where there is none.
    endsMethod: kind === null || tool?.kind === kind ? endsMethod : technique.endsMethods[0],
  };
}

/** How large sections are by zone: as the brief says, but that lanes run through every zone. */
const sizesOf = ({ parting }: Brief, { usualPattern }: Technique) =>
  usualPattern.startsWith('lanes') ? perZone(() => 1) : parting.sizes;

/**
 * A brief done one way; head, room, times and pace stay.
 *
 * @param drying the steps of its route in the time there is
 */
export function briefOfWay(base: Brief, way: Way, drying: readonly DryingStep[]): Brief {
  const { set, startState, stack, habit } = way;
  const technique = techniqueOf(set.technique);
  const choice = { technique: set.technique, ...methodsOf(technique, way, set.tool), tool: set.tool };
  return withLearntTimes({
    ...base,
    set: { ...base.set, ...choice, sections: set.sections, startState, layers: stack.layers },
    zones: perZone((zone): ZoneSet => {
      const instead = set.zones[zone];
      return instead
        ? { technique: instead, ...methodsOf(techniqueOf(instead), way, null), tool: null, sections: null }
        : { ...choice, sections: null };
    }),
    parting: {
      ...base.parting,
      pattern: technique.usualPattern,
      recipe: null,
      backRows: null,
      sizes: sizesOf(base, technique),
    },
    wear: { ...base.wear, ...habit },
    drying,
  });
}
