import { startStates } from '../coefficients/start-states';
import { rootMethods } from '../coefficients/root-and-ends';
import { isHotAir } from '../drying-methods/method';
import { techniqueOf, TECHNIQUE_IDS, type TechniqueId } from '../techniques';
import { familyOf } from './families';
import { goesUnder, hasHeavy, hasMoist, hasRole, holdLayer, isFoam } from './stack-traits';
import type { Axis, Way } from './way';

/** Something a way may have about it that a rule can favour, count against, or rule out. */
export interface Feature {
  readonly axis: Axis;
  /** As a colleague names it: "foam". */
  readonly label: string;
  readonly is: (way: Way) => boolean;
}

/** Tools up to this are small, from this on large, mm (common practice). */
const SMALL_TOOL_MM = 13;
const MODEST_TOOL_MM = 16;
const LARGE_TOOL_MM = 20;
/** A count this far below the usual leaves large sections. */
const FEW_SHARE = 0.6;
const MANY_LAYERS = 4;
/** A rigid rod up to this can be slept in by most. */
const SMALL_ROD_MM = 13;

const isStretched = ({ startState }: Way) => startStates[startState].straightened > 0.5;
const isWetStart = ({ startState }: Way) => startState === 'wet' || startState === 'dripping';
const toolMm = ({ set }: Way) => (techniqueOf(set.technique).tool && set.tool ? set.tool.diameterMm : null);
const isOf =
  (...ids: readonly TechniqueId[]) =>
  ({ set }: Way) =>
    ids.includes(set.technique);
const steps = ({ route }: Way) => [route.first, route.last].flatMap((step) => (step ? [step.method] : []));
/** Slept in while it dries: nothing blown finishes it before the night. */
const isSleptIn = ({ route }: Way) => route.id.includes('night');

const layer = (label: string, is: (way: Way) => boolean): Feature => ({ axis: 'layers', label, is });
const role = (label: string, ...roles: Parameters<typeof hasRole>[1][]) =>
  layer(label, ({ stack }) => hasRole(stack, ...roles));
const start = (label: string, is: (way: Way) => boolean): Feature => ({ axis: 'start', label, is });
const root = (label: string, is: (way: Way) => boolean): Feature => ({ axis: 'root', label, is });
const ends = (label: string, ...ids: readonly Way['endsMethod'][]): Feature => ({
  axis: 'ends',
  label,
  is: ({ endsMethod }) => ids.includes(endsMethod),
});
const dry = (label: string, is: (way: Way) => boolean): Feature => ({ axis: 'drying', label, is });
const tool = (label: string, is: (way: Way) => boolean): Feature => ({ axis: 'tool', label, is });

const techniqueFeatures = Object.fromEntries(
  TECHNIQUE_IDS.map((id) => [
    id,
    { axis: 'technique', label: techniqueOf(id).noun[1], is: isOf(id) } as const,
  ]),
) as unknown as Record<TechniqueId, Feature>;

/** Everything rules speak of. Add a feature by adding a row. */
export const features = {
  ...techniqueFeatures,
  cream: role('cream', 'cream'),
  butter: role('butter', 'butter'),
  oil: role('oil', 'oil'),
  wax: role('wax', 'wax'),
  pomade: role('pomade', 'pomade'),
  foam: role('foam', 'mousse'),
  lotion: role('setting lotion', 'setting-lotion'),
  gel: role('gel', 'gel'),
  'leave-in': role('leave-in', 'leave-in'),
  shield: role('a humidity shield', 'humidity-shield'),
  light: layer('light layers', ({ stack }) => !hasMoist(stack) && !hasHeavy(stack)),
  heavy: layer('heavy layers', ({ stack }) => hasHeavy(stack)),
  'cream-under-gel': layer('cream under gel', ({ stack }) => goesUnder(stack, 'cream', 'gel')),
  'butter-under-gel': layer('butter under gel', ({ stack }) => goesUnder(stack, 'butter', 'gel')),
  'foam-alone': layer('foam alone', ({ stack }) => !hasMoist(stack) && isFoam(holdLayer(stack)?.role ?? 'water')),
  bare: layer('next to nothing on it', ({ stack }) => !hasMoist(stack) && holdLayer(stack) === null),
  'cream-then-oil': layer('cream, then oil', ({ stack }) => goesUnder(stack, 'cream', 'oil')),
  'oil-then-cream': layer('oil, then cream', ({ stack }) => goesUnder(stack, 'oil', 'cream')),
  'four-layers': layer('four layers', ({ stack }) => stack.layers.length >= MANY_LAYERS),
  'coils-in-gel': layer('gel in coils', (way) => familyOf(way.set.technique) === 'coils' && hasRole(way.stack, 'gel')),
  'rods-in-foam': layer('foam on rods', (way) => familyOf(way.set.technique) === 'wound' && isFoam(holdLayer(way.stack)?.role ?? 'water')),
  'ropes-held': layer('gel or foam in twists', (way) => familyOf(way.set.technique) === 'ropes' && hasRole(way.stack, 'gel', 'mousse', 'setting-lotion')),
  'heavy-on-dry': layer('heavy layers on dry hair', (way) => isStretched(way) && hasHeavy(way.stack)),
  'wound-without-hold': layer('rods without hold', (way) => familyOf(way.set.technique) === 'wound' && holdLayer(way.stack) === null),
  'coils-without-hold': layer('coils without hold', (way) => familyOf(way.set.technique) === 'coils' && holdLayer(way.stack) === null),
  few: { axis: 'sections', label: 'few large sections', is: ({ set }) => set.countShare < FEW_SHARE },
  wet: start('a wet start', isWetStart),
  dripping: start('a dripping start', ({ startState }) => startState === 'dripping'),
  damp: start('a damp start', ({ startState }) => startState === 'damp'),
  'nearly-dry': start('a nearly dry start', ({ startState }) => startState === 'nearly-dry'),
  stretched: start('a stretched start', isStretched),
  'stretched-dry': start('a blown-out, dry start', ({ startState }) => startState === 'stretched-dry'),
  'flat-roots': root('plaited roots', ({ rootMethod }) => rootMethods[rootMethod].isPlaited),
  'wet-plain-roots': root('plain roots set wet', (way) => isWetStart(way) && way.rootMethod === 'plain'),
  'rod-ends': ends('ends on rods', 'rod'),
  pasted: ends('ends pasted flat', 'pasted'),
  banded: ends('banded ends', 'band'),
  'twisted-tips': {
    axis: 'ends',
    label: 'tips only twisted',
    is: ({ set, endsMethod }) => endsMethod === 'twisted' && familyOf(set.technique) !== 'coils',
  },
  'coiled-ends': ends('tips coiled on a finger', 'finger-coiled'),
  hood: dry('a hood', (way) => steps(way).some(({ dryer }) => dryer === 'hood')),
  'hood-by-day': dry('a hood by day', (way) => !isSleptIn(way) && steps(way).some(({ dryer }) => dryer === 'hood')),
  hot: dry('hot air', (way) => steps(way).some(isHotAir)),
  'knots-asleep': dry('knots slept in', (way) => way.set.technique === 'bantu-knot' && isSleptIn(way)),
  'rods-asleep': dry('rods slept in', (way) => familyOf(way.set.technique) === 'wound' && isSleptIn(way)),
  'rigid-asleep': dry('large rigid rods slept in', (way) => way.set.technique === 'rod-set' && (toolMm(way) ?? 0) > SMALL_ROD_MM && isSleptIn(way)),
  'small-rigid-asleep': dry('rigid rods slept in', (way) => way.set.technique === 'rod-set' && (toolMm(way) ?? 0) <= SMALL_ROD_MM && isSleptIn(way)),
  'small-tool': tool('small rods', (way) => (toolMm(way) ?? Infinity) <= SMALL_TOOL_MM),
  'modest-tool': tool('rods no larger than a thumb', (way) => (toolMm(way) ?? Infinity) <= MODEST_TOOL_MM),
  'large-tool': tool('large rods', (way) => (toolMm(way) ?? 0) >= LARGE_TOOL_MM),
} as const satisfies Readonly<Record<string, Feature>>; // prettier-ignore

export type FeatureId = keyof typeof features;
export const FEATURE_IDS = Object.keys(features) as FeatureId[];
