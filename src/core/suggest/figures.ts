import { gentleness, softness, suggestion } from '../coefficients/suggestion';
import { rootMethods } from '../coefficients/root-and-ends';
import { startStates } from '../coefficients/start-states';
import { isHotAir, type DryingMethod } from '../drying-methods/method';
import type { RoleId } from '../products';
import { techniqueOf } from '../techniques';
import { clamp } from '../units/clamp';
import type { FactLevels } from './facts';
import { hasHeavy, hasMoist, hasRole, holdLayer, holdOf } from './stack-traits';
import type { Habit, Route, Stack, Way } from './way';

/** What comes of a way, as far as it is weighed. */
export interface Figures {
  /** Chance that every root is dry at takedown; null where no time is set. */
  readonly chance: number | null;
  /** Washing and preparing, setting, undoing, min. */
  readonly handsOnMin: number;
  readonly definition: number;
  readonly frizz: number;
  readonly volume: number;
  readonly days: number;
  /** Visible over stretched length. */
  readonly stretch: number;
  /** 0 to 10. */
  readonly soft: number;
  /** 0 to 10. */
  readonly gentle: number;
}

/** How hard a full hold of each role sets. */
const CASTS: Partial<Readonly<Record<RoleId, number>>> = {
  gel: softness.value.gelCast,
  'setting-lotion': softness.value.lotionCast,
  mousse: softness.value.foamCast,
  pomade: softness.value.pomadeCast,
  wax: softness.value.pomadeCast,
};

/** Of ten: how soft layers leave hair to the hand, before takedown. */
export function stackSoftness(stack: Stack, levels: FactLevels, isConditioned: boolean): number {
  const c = softness.value;
  const hold = holdLayer(stack);
  const cast = hold === null ? 0 : holdOf(hold) * (CASTS[hold.role] ?? 0);
  const thirst = Math.max(levels['high-porosity'], levels.bleached, levels.coarse, levels.tight);
  return (
    c.base -
    cast * (hasMoist(stack) ? c.overMoist : 1) +
    (hasRole(stack, 'cream') ? c.cream : 0) +
    (hasRole(stack, 'butter') ? c.butter : 0) +
    (hasRole(stack, 'oil') ? c.oil : 0) +
    (isConditioned ? c.conditioned : 0) +
    (hasMoist(stack) ? 0 : c.thirsty * thirst) +
    (hasHeavy(stack) ? c.weighedDown * levels.fine : 0)
  );
}

/** Of ten: how soft a way leaves hair. */
export const softOf = (ofStack: number, { hands }: Habit): number =>
  clamp(ofStack + (hands === 'oiled' ? softness.value.oiledHands : 0), 0, 10);

/** What the air of a machine costs hair, points. */
function heatOf(method: DryingMethod): number {
  const c = gentleness.value;
  if (!method.isBlown) return 0;
  if (method.dryer === 'diffuser') return c.diffuser;
  if (!isHotAir(method)) return c.cool;
  return method.airC! >= c.hotHoodC ? c.hot : c.warm;
}

/** Of ten: how kind a way is to hair and scalp. */
export function gentleOf(
  {
    set,
    startState,
    rootMethod,
    habit,
    route,
  }: Pick<Way, 'set' | 'startState' | 'rootMethod' | 'habit' | 'route'>,
  isSleptIn: boolean,
): number {
  const c = gentleness.value;
  const technique = techniqueOf(set.technique);
  const heat = [route.first, route.last].reduce(
    (least, step) => Math.min(least, step ? heatOf(step.method) : 0),
    0,
  );
  return clamp(
    c.base +
      heat +
      (startStates[startState].straightened > 0.5 ? c.blowOut : 0) +
      (rootMethods[rootMethod].isPlaited ? c.flatRoots : 0) -
      technique.coefficients.value.tension +
      (technique.pressesAsleep && isSleptIn ? c.pressedAsleep : 0) +
      c.piece * (habit.separations - 1) +
      c.fluff * habit.fluffing +
      (habit.hands === 'oiled' ? c.oiled : 0),
    0,
    10,
  );
}

/** Whether a route holds a night. */
export const holdsNight = ({ id }: Route): boolean => id.includes('night');

/** Pieces that cover a head well enough. */
export const coveringPieces = (levels: FactLevels): number =>
  suggestion.value.coveringPieces + suggestion.value.coveringThin * levels.thin;
