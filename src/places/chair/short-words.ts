import type { ProductUse } from '@/core/run/product-used';
import { inHands } from '@/core/products/dose';
import { handUnits } from '@/core/products/hand-units';
import type { Units } from '@/core/formats/display';
import { formatMass, formatPortion } from '@/ui/format';
import type { ChairLayer, ChairSet } from './chair-set';

/** That a product will not reach, and what to do; null where it will, or nobody knows. */
export function shortWords(
  { name, role }: ChairLayer,
  { isShort, leftG, neededG, eachG }: ProductUse,
  { handUnits: weighed }: ChairSet,
  units: Units,
): { readonly what: string; readonly todo: string } | null {
  if (!isShort || leftG === null || eachG === null) return null;
  const what = `${name} will not reach: about ${formatMass(leftG, units)} left, the rest takes ${formatMass(neededG, units)}.`;
  if (leftG < 1) return { what, todo: 'Open another before you go on.' };
  const { unit, amount } = inHands(role, eachG, weighed);
  return {
    what,
    todo: `From here ${formatPortion(amount, handUnits[unit].noun)} a section, or open another.`,
  };
}
