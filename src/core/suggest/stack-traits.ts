import { thresholds } from '../coefficients/thresholds';
import { productRoles, type RoleId } from '../products';
import { FULL_SCALE } from '../products/role';
import type { Stack, StackLayer } from './way';

/** Roles that keep hair soft under whatever holds it. */
const MOIST: readonly RoleId[] = ['cream', 'butter', 'oil', 'pomade'];

/** Hold of a layer, 0 to 1. */
export const holdOf = ({ role, hold }: StackLayer): number =>
  hold === undefined ? productRoles[role].hold : hold / FULL_SCALE;
/** Weight of a layer, 0 to 5. */
const weightOf = ({ role, weight }: StackLayer): number => weight ?? productRoles[role].weight;

export const isMoist = ({ role }: StackLayer): boolean => MOIST.includes(role);
const isHold = ({ role }: StackLayer) => productRoles[role].isHold;
/** The layer that holds; null where nothing does. */
export const holdLayer = ({ layers }: Stack): StackLayer | null => layers.find(isHold) ?? null;
/** Strongest hold of a stack, 0 to 1. */
export const stackHold = ({ layers }: Stack): number =>
  layers.reduce<number>((most, layer) => Math.max(most, holdOf(layer)), productRoles.water.hold);

const FOAMS: readonly RoleId[] = ['mousse', 'setting-lotion'];
export const isFoam = (role: RoleId): boolean => FOAMS.includes(role);
export const hasMoist = ({ layers }: Stack): boolean => layers.some(isMoist);
/** Heavy enough to weigh hair down, and no hold. */
export const hasHeavy = ({ layers }: Stack): boolean =>
  layers.some((layer) => !isHold(layer) && weightOf(layer) >= thresholds.value.heavyWeight);
export const hasRole = ({ layers }: Stack, ...roles: readonly RoleId[]): boolean =>
  layers.some(({ role }) => roles.includes(role));
/** Whether one role goes on somewhere before another. */
export const goesUnder = ({ layers }: Stack, under: RoleId, over: RoleId): boolean => {
  const [first, second] = [under, over].map((role) => layers.findIndex((layer) => layer.role === role));
  return first! >= 0 && second! > first!;
};
