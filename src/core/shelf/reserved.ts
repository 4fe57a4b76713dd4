import { gramsByProduct, type PlanNeeds } from './shelf-check';

/** A booked plan as the shelf looks at it. */
export interface Booked {
  readonly id: string;
  /** When it must be ready; null without a time. */
  readonly readyMs: number | null;
  readonly needs: PlanNeeds;
  readonly layerProductIds: readonly (string | null)[];
}

/**
 * Grams of each product that other booked plans take before a plan does: those to be ready earlier, and those
 * whose time is open on either side.
 */
export function reservedFor(
  plan: { readonly id: string; readonly readyMs: number | null },
  booked: readonly Booked[],
): Map<string, number> {
  const grams = new Map<string, number>();
  for (const other of booked) {
    const comesFirst = plan.readyMs === null || other.readyMs === null || other.readyMs <= plan.readyMs;
    if (other.id === plan.id || !comesFirst) continue;
    for (const [id, wantedG] of gramsByProduct(other.needs.doses, other.layerProductIds))
      grams.set(id, (grams.get(id) ?? 0) + wantedG);
  }
  return grams;
}
