import { shelfKind, type ShelfKindId } from '../products/shelf-kind';

/** One ingredient of a mix, in parts by weight. */
export interface MixPart {
  readonly productId: string;
  readonly parts: number;
}

/** What is known of an ingredient; null where the usual figure of its kind is taken. */
export interface Ingredient {
  readonly role: ShelfKindId;
  readonly waterShare: number | null;
  readonly hold: number | null;
  readonly weight: number | null;
  readonly hasProtein: boolean;
  /** Price of a gram in minor units of money; null when not known. */
  readonly minorPerG: number | null;
}

/** What a mix is like, from what is in it. */
export interface MixedProduct {
  readonly waterShare: number;
  readonly hold: number;
  readonly weight: number;
  readonly hasProtein: boolean;
  readonly minorPerG: number | null;
}

/**
 * The means of the ingredients, weighted by their parts. Water adds up exactly; hold and weight are taken to
 * (assumed, there is no published rule for mixes).
 *
 * @throws RangeError when the parts do not add up to more than nothing
 */
export function mixed(
  ingredients: readonly { readonly parts: number; readonly of: Ingredient }[],
): MixedProduct {
  const whole = ingredients.reduce((sum, { parts }) => sum + parts, 0);
  if (!(whole > 0)) throw new RangeError('a mix needs at least one part of something');
  const mean = (value: (of: Ingredient) => number) =>
    ingredients.reduce((sum, { parts, of }) => sum + parts * value(of), 0) / whole;
  return {
    waterShare: mean((of) => of.waterShare ?? shelfKind(of.role).waterShare),
    hold: mean((of) => of.hold ?? shelfKind(of.role).hold),
    weight: mean((of) => of.weight ?? shelfKind(of.role).weight),
    hasProtein: ingredients.some(({ of }) => of.hasProtein),
    minorPerG: ingredients.some(({ of }) => of.minorPerG === null) ? null : mean((of) => of.minorPerG ?? 0),
  };
}

/** Grams of each ingredient that a batch takes, in the order of the parts. */
export function batchParts(
  parts: readonly MixPart[],
  batchG: number,
): { productId: string; grams: number }[] {
  const whole = parts.reduce((sum, part) => sum + part.parts, 0);
  return parts.map(({ productId, parts: share }) => ({ productId, grams: (batchG * share) / whole }));
}
