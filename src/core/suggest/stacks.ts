import { ORDER_RULES } from '../advice/layering';
import { thresholds } from '../coefficients/thresholds';
import type { Head } from '../hair/head';
import { productRoles, type RoleId } from '../products';
import { FULL_SCALE } from '../products/role';
import { barredItems, type Means, type ShelfItem } from './means';
import { hasHeavy, holdLayer } from './stack-traits';
import type { Stack, StackLayer } from './way';

/** What lies under the hold, in the orders that both schools know. */
const MOIST: readonly (readonly RoleId[])[] = [
  [],
  ['cream'],
  ['butter'],
  ['oil'],
  ['cream', 'oil'],
  ['oil', 'cream'],
  ['cream', 'butter'],
];
const HOLDS: readonly RoleId[] = ['mousse', 'setting-lotion', 'gel', 'pomade'];
/** Holds that are as far apart as this are two products to choose from, of 5. */
const OTHER_HOLD = 1;

const holdFive = ({ hold, role }: ShelfItem) => hold ?? FULL_SCALE * productRoles[role].hold;
const weightFive = ({ weight, role }: ShelfItem) => weight ?? productRoles[role].weight;

/** A layer of a product. */
const layerOf = (item: ShelfItem): StackLayer => ({
  role: item.role,
  productId: item.id,
  name: item.name,
  isToBuy: false,
  leftG: item.leftG,
  minorPerG: item.minorPerG,
  ...(item.waterShare === null ? {} : { waterShare: item.waterShare }),
  ...(item.hold === null ? {} : { hold: item.hold }),
  ...(item.weight === null ? {} : { weight: item.weight }),
  ...(item.hasProtein ? { protein: true } : {}),
});
const anyOf = (role: RoleId, isToBuy: boolean): StackLayer => ({
  role,
  productId: null,
  name: null,
  isToBuy,
  leftG: null,
  minorPerG: null,
});

/** Text that sorts as a use-by day does; what never goes off comes last. */
const dayOf = ({ useBy }: ShelfItem) => useBy ?? '9999';

/** What can stand for a role: the product that suits best, a second where it holds otherwise, or one to buy. */
function choicesOf(role: RoleId, head: Head, means: Means): StackLayer[] {
  if (means.products === null) return [anyOf(role, false)];
  const ofRole = means.products.filter((item) => item.role === role);
  const barred = barredItems(ofRole, means.allergies, head.conditions.includes('protein-sensitive'));
  const usable = ofRole.filter((item) => !item.isOut && !barred.some((bar) => bar.item === item));
  // Where all there is of a role must not go on, it is not bought blindly.
  if (usable.length === 0) return barred.length > 0 ? [] : [anyOf(role, true)];
  const lighter = head.strandDiameterUm <= thresholds.value.fineUm ? 1 : -1;
  const sorted = [...usable].sort(
    (a, b) =>
      Number(a.leftG === 0) - Number(b.leftG === 0) ||
      lighter * (weightFive(a) - weightFive(b)) ||
      (dayOf(a) < dayOf(b) ? -1 : dayOf(a) > dayOf(b) ? 1 : 0) ||
      (b.leftG ?? Infinity) - (a.leftG ?? Infinity) ||
      (a.id < b.id ? -1 : 1),
  );
  const [best] = sorted as [ShelfItem];
  const other = productRoles[role].isHold
    ? sorted.find((item) => Math.abs(holdFive(item) - holdFive(best)) >= OTHER_HOLD)
    : undefined;
  return [best, ...(other ? [other] : [])].map(layerOf);
}

/** A role of no stack that a rule may add; null where none may go on. */
export const extraLayer = (role: RoleId, head: Head, means: Means): StackLayer | null =>
  choicesOf(role, head, means)[0] ?? null;

const idOf = (layers: readonly StackLayer[]) =>
  layers.map(({ role, productId }) => productId ?? role).join('>') || 'nothing';

/** Whether layers may go on one over the other, on this head. */
function isSound(stack: Stack, head: Head): boolean {
  if (ORDER_RULES.some(({ when }) => when(stack.layers))) return false;
  const hold = holdLayer(stack);
  // Butter or oil under a pomade is grease on grease.
  if (hold?.role === 'pomade' && hasHeavy(stack)) return false;
  return !(hold && hasHeavy(stack) && head.strandDiameterUm <= thresholds.value.fineUm);
}

/** Every stack that the shelf allows on a head. */
export function stacksFor(head: Head, means: Means): Stack[] {
  const choices = new Map<RoleId, StackLayer[]>();
  const of = (role: RoleId) => {
    const known = choices.get(role) ?? choicesOf(role, head, means);
    choices.set(role, known);
    return known;
  };
  const leaveIns = of('leave-in');
  const bases = leaveIns.some(({ isToBuy }) => !isToBuy)
    ? [leaveIns.slice(0, 1)]
    : [[], leaveIns.slice(0, 1)];
  const holds = [null, ...HOLDS.flatMap(of)];
  const byId = new Map<string, Stack>();
  for (const base of bases)
    for (const moist of MOIST) {
      const under = moist.flatMap((role) => of(role).slice(0, 1));
      if (under.length < moist.length) continue;
      for (const hold of holds) {
        const layers = [...base, ...under, ...(hold ? [hold] : [])];
        const stack = { id: idOf(layers), layers };
        if (isSound(stack, head)) byId.set(stack.id, stack);
      }
    }
  return [...byId.values()];
}

/** A stack with one more layer, in its usual place. */
export function withLayer(stack: Stack, layer: StackLayer): Stack {
  const order = Object.keys(productRoles);
  const rank = ({ role }: StackLayer) => order.indexOf(role);
  const at =
    layer.role === 'humidity-shield'
      ? stack.layers.length
      : stack.layers.findIndex((l) => rank(l) > rank(layer));
  const place = at < 0 ? stack.layers.length : at;
  const layers = [...stack.layers.slice(0, place), layer, ...stack.layers.slice(place)];
  return { id: idOf(layers), layers };
}
