import { nightCares } from '../coefficients/night-care';
import { endsMethods, rootMethods } from '../coefficients/root-and-ends';
import { startStates } from '../coefficients/start-states';
import { dryingMethods, type DryingMethodId } from '../drying-methods';
import { ZONE_LABEL, ZONES } from '../hair/zone';
import { productRoles, type RoleId } from '../products';
import { techniqueOf, type TechniqueId } from '../techniques';
import { listed, plural } from '../words/words';
import { holdLayer, isMoist } from './stack-traits';
import type { Axis, Route, SetChoice, Stack, Way } from './way';

/** Roles whose label is longer than anybody says. */
const SPOKEN: Partial<Readonly<Record<RoleId, string>>> = { mousse: 'foam' };

/** A role as it is said within a sentence: "leave-in". */
export const roleName = (role: RoleId): string => SPOKEN[role] ?? productRoles[role].label.toLowerCase();

/** "gel over cream", "foam over leave-in", "cream and butter": what holds, and what is under it. */
export function stackWords(stack: Stack): string {
  const hold = holdLayer(stack);
  const moist = stack.layers
    .filter((layer) => isMoist(layer) && layer !== hold)
    .map(({ role }) => roleName(role));
  const under =
    moist.length > 0
      ? moist
      : stack.layers.filter((layer) => layer.role === 'leave-in').map(({ role }) => roleName(role));
  if (!hold) return under.length > 0 ? listed(under) : 'nothing on it';
  return under.length > 0 ? `${roleName(hold.role)} over ${listed(under)}` : roleName(hold.role);
}

const minutes = (hours: number) => (hours < 1 ? `${Math.round(hours * 60)} min` : `${hours} h`);
const stepWords = ({ method, hours }: NonNullable<Route['first']>) =>
  `${minutes(hours)} ${dryingMethods[method.id as DryingMethodId].phrase}`;

/** "overnight", "40 min under the hood on warm, then overnight". */
export function routeWords({ id, first, last }: Route): string {
  const rest = id.includes('night') ? 'overnight' : 'open air';
  return [...(first ? [stepWords(first)] : []), rest, ...(last ? [stepWords(last)] : [])].join(', then ');
}

/** ", comb coils at the nape": what is done where hair cannot carry the rest. */
function zoneWords(zones: SetChoice['zones']): string {
  const places = new Map<TechniqueId, string[]>();
  for (const zone of ZONES) {
    const id = zones[zone];
    if (id) places.set(id, [...(places.get(id) ?? []), `the ${ZONE_LABEL[zone]}`]);
  }
  return [...places].map(([id, names]) => `, ${techniqueOf(id).noun[1]} at ${listed(names)}`).join('');
}

/** "24 twists", "36 rods of 16 mm, comb coils at the nape". */
export function setWords({ technique, sections, tool, zones }: SetChoice): string {
  const own = techniqueOf(technique);
  const size = own.tool && own.tool !== 'end-rod' && tool ? ` of ${tool.diameterMm} mm` : '';
  return `${plural(sections, ...own.noun)}${size}${zoneWords(zones)}`;
}

/** What a way does in one choice, in a few words: "gel over cream", "a plaited root", "12 mm". */
export function choiceWords(
  axis: Axis,
  { set, startState, rootMethod, endsMethod, stack, route, habit }: Way,
): string {
  switch (axis) {
    case 'technique':
      return techniqueOf(set.technique).noun[1];
    case 'prep':
      return '';
    case 'start':
      return startStates[startState].label.toLowerCase();
    case 'layers':
      return stackWords(stack);
    case 'sections':
      return plural(set.sections, ...techniqueOf(set.technique).noun);
    case 'root':
      return rootMethods[rootMethod].phrase;
    case 'ends':
      return endsMethods[endsMethod].phrase;
    case 'tool':
      return set.tool ? `${set.tool.diameterMm} mm` : '';
    case 'drying':
      return routeWords(route);
    case 'nights':
      return nightCares[habit.night].label.toLowerCase();
  }
}

/** "24 twists, foam over leave-in, overnight": a way in one line. */
export const wayWords = ({ set, stack, startState, endsMethod, route }: Way): string =>
  [
    setWords(set),
    ...(endsMethod === 'rod' ? ['ends on rods'] : []),
    stackWords(stack),
    ...(startStates[startState].straightened > 0.5 ? ['on stretched hair'] : []),
    routeWords(route),
  ].join(', ');
