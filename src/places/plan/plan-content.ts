import type { z } from 'zod';
import type { briefInput } from '@/core/formats/brief';
import { productRoles, type RoleId } from '@/core/products';
import { techniqueOf, techniques, type TechniqueId } from '@/core/techniques';

/** A brief as the plan desk edits it. */
export type DraftBrief = z.input<typeof briefInput>;
export type DraftSet = DraftBrief['set'];
export type DraftLayer = NonNullable<DraftSet['layers']>[number];

/** What a plan decides. */
export interface PlanContent {
  readonly title: string;
  readonly brief: DraftBrief;
  readonly layerProductIds: readonly (string | null)[];
}

/** A product as the plan desk offers it. */
export interface ShelfProduct {
  readonly id: string;
  readonly name: string;
  readonly role: string;
  readonly waterShare: number | null;
  readonly hold: number | null;
  readonly weight: number | null;
  readonly leftG: number | null;
}

/** A rod size as the plan desk offers it. */
export interface ShelfRod {
  readonly id: string;
  readonly diameterMm: number;
  readonly workingLengthMm: number;
  readonly owned: number;
  readonly swatch: string;
}

const FALLBACK_ROD = { diameterMm: 16, workingLengthMm: 80, owned: 0 };

/** The set of a brief changed to another technique, with that technique's usual choices. */
export function withTechnique(set: DraftSet, technique: TechniqueId, rods: readonly ShelfRod[]): DraftSet {
  if (set.technique === technique) return set;
  const next = techniqueOf(technique);
  const rod = rods[Math.floor(rods.length / 2)];
  return {
    ...set,
    technique,
    sections: next.usualSections,
    rootMethod: next.rootMethods[0],
    endsMethod: next.endsMethods[0],
    tool: next.tool ? (rod ? toolOf(rod) : FALLBACK_ROD) : null,
  };
}

/** A rod of the shelf as a brief names it. */
export const toolOf = ({ diameterMm, workingLengthMm, owned }: ShelfRod) => ({
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
  };
}

/** Name of a layer: the product when one is chosen, else its role. */
export const layerName = (
  layer: DraftLayer,
  productId: string | null,
  shelf: readonly ShelfProduct[],
): string => shelf.find((product) => product.id === productId)?.name ?? productRoles[layer.role].label;

/** "18 twists". */
export const sectionsLabel = (set: DraftSet): string => {
  const { noun } = techniques[set.technique];
  return `${set.sections ?? ''} ${set.sections === 1 ? noun[0] : noun[1]}`;
};

/** Moves one item of a list. */
export function moved<T>(items: readonly T[], from: number, to: number): T[] {
  const next = [...items];
  const [item] = next.splice(from, 1);
  next.splice(to, 0, item!);
  return next;
}
