import { handUnitG } from '@/core/products/hand-units';
import { productRoles } from '@/core/products';
import { productUse, type ProductUse } from '@/core/run/product-used';
import type { RunState } from '@/core/run/run-state';
import type { ChairSet } from './chair-set';

/** What of each layer was used, in their order. */
export const usesOf = ({ layers, sections, handUnits }: ChairSet, state: RunState): ProductUse[] =>
  layers.map(({ role, unit, atStartG }, i) =>
    productUse(
      state,
      i,
      new Map(Object.entries(sections).map(([number, { doses }]) => [Number(number), doses[i] ?? null])),
      handUnitG(unit, productRoles[role].gramsPerMl, handUnits),
      atStartG,
    ),
  );
