import type { PlanFile } from '../formats/plan-file';
import type { Side } from '../hair/half';
import type { Zone } from '../hair/zone';
import { goesOn } from '../products/layer';
import { productRoles, type RoleId } from '../products';
import { handUnitG, type WeighedUnits } from '../products/hand-units';
import { productUse } from '../run/product-used';
import type { RunState } from '../run/run-state';
import { gramsByProduct } from './shelf-check';

/** A section of a set as it was laid out. */
interface LaidSection {
  readonly number: number;
  readonly zone: Zone;
  readonly side: Side | 'middle';
  readonly hairCount: number;
}

/** What each section was to get of a layer, g, by number: shares by hair of the places that it goes on. */
function sharesOf(
  dose: PlanFile['doses'][number],
  sections: readonly LaidSection[],
): ReadonlyMap<number, number | null> {
  const under = sections.filter((section) => goesOn(dose, section));
  const hairs = under.reduce((sum, { hairCount }) => sum + hairCount, 0);
  return new Map(
    sections.map((section) => [
      section.number,
      under.includes(section) ? (dose.grams * section.hairCount) / hairs : null,
    ]),
  );
}

/**
 * Grams that a set took out of each product of the shelf, by id: what was weighed or counted at the chair, and as
 * planned where nobody did.
 *
 * @param handUnits grams of the hand units as the stylist weighed them
 */
export function takenByProduct(
  doses: PlanFile['doses'],
  layerProductIds: readonly (string | null)[],
  sections: readonly LaidSection[],
  state: RunState,
  handUnits: WeighedUnits,
): ReadonlyMap<string, number> {
  const taken = doses.map((dose, layer) => {
    const { gramsPerMl, handUnit } = productRoles[dose.role as RoleId];
    const unitG = handUnitG(handUnit, gramsPerMl, handUnits);
    const { by, goneG } = productUse(state, layer, sharesOf(dose, sections), unitG, null);
    return { grams: by === null ? dose.grams : goneG };
  });
  return gramsByProduct(taken, layerProductIds);
}
