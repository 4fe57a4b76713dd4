import type { Zone } from '../hair/zone';
import { productRoles, type RoleId } from '../products';
import { toolKindOf } from '../techniques/tool-kind-of';
import { techniqueOf } from '../techniques';
import { toolKinds, type ToolKindId } from '../techniques/tool-kind';
import type { DraftSet, DraftLayer, PlanContent, ShelfProduct, ShelfTool } from './draft-brief';

/** The tools of the shelf that a technique, or its ends, can take. */
export const toolsFor = (shelf: readonly ShelfTool[], kind: ToolKindId | null): readonly ShelfTool[] =>
  kind === null ? [] : shelf.filter((tool) => tool.kind === toolKinds[kind].keptAs);

/** The kind of tool that a set takes, by technique and ends. */
export const toolKindOfSet = (set: DraftSet): ToolKindId | null => {
  const technique = techniqueOf(set.technique);
  return toolKindOf(technique, set.endsMethod ?? technique.endsMethods[0]);
};

/** The kind of tool that one zone of a set takes: what the set ends in is kept where the zone's technique can. */
export function toolKindOfZone(set: DraftSet, zone: Zone): ToolKindId | null {
  const own = set.zones?.[zone];
  const technique = techniqueOf(own?.technique ?? set.technique);
  const wanted = own?.endsMethod ?? set.endsMethod;
  return toolKindOf(technique, technique.endsMethods.find((id) => id === wanted) ?? technique.endsMethods[0]);
}

/** A tool of the shelf as a brief names it. */
export const toolOf = ({ diameterMm, workingLengthMm, owned }: ShelfTool) => ({
  diameterMm,
  workingLengthMm,
  owned,
});

/** A layer of a brief from a product of the shelf. */
export function layerOf(product: ShelfProduct): DraftLayer {
  return {
    role: product.role as RoleId,
    ...(product.waterShare === null ? {} : { waterShare: product.waterShare }),
    ...(product.hold === null ? {} : { hold: product.hold }),
    ...(product.weight === null ? {} : { weight: product.weight }),
    ...(product.hasProtein ? { protein: true } : {}),
  };
}

/** The products of the shelf that a plan takes: for its layers, and by name before the set. */
export const takenProducts = <P extends { readonly id: string; readonly name: string }>(
  { brief, layerProductIds }: Pick<PlanContent, 'brief' | 'layerProductIds'>,
  shelf: readonly P[],
): P[] =>
  shelf.filter(
    ({ id, name }) =>
      layerProductIds.includes(id) || brief.prep?.some(({ product }) => product === name) === true,
  );

/** Name of a layer: the product when one is chosen, else its role. */
export const layerName = (
  layer: DraftLayer,
  productId: string | null,
  shelf: readonly ShelfProduct[],
): string => shelf.find((product) => product.id === productId)?.name ?? productRoles[layer.role].label;
