import { rootMethods } from '../coefficients/root-and-ends';
import { techniqueOf } from '../techniques';
import { startsOf } from './set-node';
import type { Search, Pick } from './search';
import type { Axis, Way } from './way';

/** What else could be chosen in one choice, everything else staying as it is; the way itself is among them. */
export function alternatives(axis: Axis, way: Way, search: Search): Way[] {
  const { asked, ways } = search;
  const technique = techniqueOf(way.set.technique);
  switch (axis) {
    case 'start':
      return startsOf(technique, ways.starts).map((startState) => ({ ...way, startState }));
    case 'layers':
      return asked.stacks.map((stack) => ({ ...way, stack }));
    case 'sections':
      return ways.counts(way.set.technique).map((count) => ({ ...way, set: { ...way.set, ...count } }));
    case 'root':
      return technique.rootMethods
        .filter((id) => id === 'plain' || id === way.rootMethod || rootMethods[id].isPlaited)
        .map((rootMethod) => ({ ...way, rootMethod }));
    case 'ends':
      return ways
        .endsFor(way.set)
        .map(({ endsMethod, tool }) => ({ ...way, endsMethod, set: { ...way.set, tool } }));
    case 'tool':
      return technique.tool
        ? ways
            .sizesFor(way.set.technique, way.set.sections)
            .map((tool) => ({ ...way, set: { ...way.set, tool } }))
        : [way];
    case 'drying':
      return asked.routes.map((route) => ({ ...way, route }));
    case 'nights':
      return ways.habits.map((habit) => ({ ...way, habit }));
    case 'technique':
    case 'prep':
      return [way];
  }
}

/** The best of some ways, each tried only while it could still be best; null where none can be done. */
export function bestAmong(among: readonly Way[], search: Search): Pick | null {
  const nodes = among.flatMap((way) => search.ways.weigh(way) ?? []).sort((a, b) => b.score - a.score);
  let best: Pick | null = null;
  for (const node of nodes) {
    if (best && node.score <= best.score) break;
    const pick = search.pick(node);
    if (pick && (!best || pick.score > best.score)) best = pick;
  }
  return best;
}

/** Counts this near are one to a stylist. */
const SAME_COUNT = 0.14;

/** Whether two ways say the same in one choice. */
export function isSameIn(axis: Axis, a: Way, b: Way): boolean {
  switch (axis) {
    case 'technique':
      return a.set.technique === b.set.technique;
    case 'prep':
      return true;
    case 'start':
      return a.startState === b.startState;
    case 'layers':
      return a.stack.id === b.stack.id;
    case 'sections':
      return Math.abs(Math.log(a.set.sections / b.set.sections)) <= SAME_COUNT;
    case 'root':
      return a.rootMethod === b.rootMethod;
    case 'ends':
      return a.endsMethod === b.endsMethod;
    case 'tool':
      return a.set.tool?.diameterMm === b.set.tool?.diameterMm;
    case 'drying':
      return a.route.id === b.route.id;
    case 'nights':
      return a.habit.night === b.habit.night && a.habit.separations === b.habit.separations;
  }
}
