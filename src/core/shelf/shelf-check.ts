import { thresholds } from '../coefficients/thresholds';
import { toolKinds, type ToolKindId } from '../techniques/tool-kind';
import { isUnmade, leftNowG, minorPerG, type Stock } from './stock';

/** A tub as a plan looks at it. */
export interface ShelvedProduct extends Stock {
  readonly id: string;
  readonly name: string;
  readonly priceMinor: number | null;
  readonly sizeG: number | null;
  /** Last day it is good, as an ISO date; null when it keeps. */
  readonly useBy: string | null;
  /** The mix it is mixed by; null for what was bought. */
  readonly mixId: string | null;
  readonly openedOn: string | null;
}

/** A size of tool in the drawer. */
export interface ShelvedTool {
  readonly kind: string;
  readonly diameterMm: number;
  readonly owned: number;
}

/** What a plan takes: doses in the order of its layers, sections in working order, tools by size. */
export interface PlanNeeds {
  readonly doses: readonly { readonly role: string; readonly grams: number }[];
  readonly sections: readonly { readonly hairCount: number }[];
  readonly tools: readonly { readonly kind: string; readonly diameterMm: number; readonly needed: number }[];
  /** How the hair lies on its main tool; null where none is used. */
  readonly tool?: { readonly smallestFittingDiameterMm: number } | null;
}

/** One tub against one plan. */
export interface ProductNeed {
  readonly id: string;
  readonly name: string;
  readonly needG: number;
  /** What the plan may take: what is left without what is kept for booked sets; null when never weighed. */
  readonly freeG: number | null;
  readonly reservedG: number;
  /** How much is missing, g. */
  readonly shortG: number;
  /** Sections it lasts, in working order; the whole count when there is enough. */
  readonly lastsSections: number;
  /** Whether it is past its day when the set is begun. */
  readonly isPast: boolean;
  /** A mix of which no batch stands there. */
  readonly mustBeMade: boolean;
}

/** One size of tool against one plan. */
export interface ToolNeed {
  readonly kind: string;
  readonly diameterMm: number;
  readonly needed: number;
  readonly owned: number;
  readonly short: number;
  /** The nearest size of the same kind that would do the job and has enough to spare for what is missing. */
  readonly insteadMm: number | null;
}

/** The shelf against one plan. */
export interface ShelfCheck {
  readonly products: readonly ProductNeed[];
  readonly tools: readonly ToolNeed[];
  /** Price of the products taken, minor units, as far as prices are known; null when none is. */
  readonly priceMinor: number | null;
  /** Products and layers whose price is not known. */
  readonly unpriced: readonly string[];
}

/** Grams of each product that a plan takes, by id. Layers without a product of the shelf take nothing from it. */
export function gramsByProduct(
  doses: readonly { readonly grams: number }[],
  layerProductIds: readonly (string | null)[],
): ReadonlyMap<string, number> {
  const grams = new Map<string, number>();
  doses.forEach((dose, i) => {
    const id = layerProductIds[i];
    if (id) grams.set(id, (grams.get(id) ?? 0) + dose.grams);
  });
  return grams;
}

/** Sections that `freeG` of `needG` reaches, worked in order, each taking its share by hair. */
function sectionsReached(sections: PlanNeeds['sections'], needG: number, freeG: number): number {
  const hairs = sections.reduce((sum, section) => sum + section.hairCount, 0);
  let taken = 0;
  for (const [i, section] of sections.entries()) {
    taken += (needG * section.hairCount) / hairs;
    // Half a thousandth forgives the rounding of the sum, not a missing dose.
    if (taken > freeG + needG * 5e-4) return i;
  }
  return sections.length;
}

const toolKey = (tool: { readonly kind: string; readonly diameterMm: number }) =>
  `${tool.kind}/${tool.diameterMm}`;

/** Whether another size gives about the curl that was wanted, and the hair lies on it in one layer as far as it did. */
const wouldDo = (mm: number, wantedMm: number, smallestFittingMm: number): boolean =>
  Math.max(mm / wantedMm, wantedMm / mm) <= thresholds.value.sameCurl &&
  (mm >= wantedMm || mm >= smallestFittingMm);

/**
 * What of a plan the shelf has, what runs short and by how much, and what it costs.
 *
 * @param reservedG grams kept for other booked sets, by product id
 * @param day ISO date of the set, to see what is past its day by then
 */
export function checkShelf(
  plan: PlanNeeds,
  layerProductIds: readonly (string | null)[],
  shelf: readonly ShelvedProduct[],
  drawer: readonly ShelvedTool[],
  reservedG: ReadonlyMap<string, number>,
  day: string | null,
): ShelfCheck {
  const needs = gramsByProduct(plan.doses, layerProductIds);
  const products = shelf
    .filter((product) => needs.has(product.id))
    .map((product): ProductNeed => {
      const needG = needs.get(product.id)!;
      const kept = reservedG.get(product.id) ?? 0;
      const left = leftNowG(product);
      const freeG = left === null ? null : Math.max(0, left - kept);
      return {
        id: product.id,
        name: product.name,
        needG,
        freeG,
        reservedG: kept,
        shortG: freeG === null ? 0 : Math.max(0, needG - freeG),
        lastsSections: freeG === null ? plan.sections.length : sectionsReached(plan.sections, needG, freeG),
        isPast: product.useBy !== null && day !== null && product.useBy < day,
        mustBeMade: isUnmade(product),
      };
    });

  const owned = new Map<string, number>();
  for (const tool of drawer) owned.set(toolKey(tool), (owned.get(toolKey(tool)) ?? 0) + tool.owned);
  const wanted = new Map<string, { kind: string; diameterMm: number; needed: number }>();
  for (const { kind: used, diameterMm, needed } of plan.tools) {
    const kind = toolKinds[used as ToolKindId]?.keptAs ?? used;
    const soFar = wanted.get(toolKey({ kind, diameterMm })) ?? { kind, diameterMm, needed: 0 };
    wanted.set(toolKey(soFar), { ...soFar, needed: soFar.needed + needed });
  }
  const tools = [...wanted.values()].map(({ kind, diameterMm, needed }): ToolNeed => {
    const have = owned.get(toolKey({ kind, diameterMm })) ?? 0;
    const short = Math.max(0, needed - have);
    const spare = drawer
      .filter((tool) => tool.kind === kind && tool.diameterMm !== diameterMm)
      .filter((tool) => tool.owned - (wanted.get(toolKey(tool))?.needed ?? 0) >= short)
      .filter((tool) => wouldDo(tool.diameterMm, diameterMm, plan.tool?.smallestFittingDiameterMm ?? 0))
      .sort((a, b) => Math.abs(a.diameterMm - diameterMm) - Math.abs(b.diameterMm - diameterMm));
    const instead = short > 0 ? spare[0] : undefined;
    return { kind, diameterMm, needed, owned: have, short, insteadMm: instead?.diameterMm ?? null };
  });

  let priceMinor: number | null = null;
  const unpriced: string[] = [];
  plan.doses.forEach((dose, i) => {
    const product = shelf.find((candidate) => candidate.id === layerProductIds[i]);
    const perG = product ? minorPerG(product) : null;
    if (perG === null) unpriced.push(product?.name ?? dose.role);
    else priceMinor = (priceMinor ?? 0) + perG * dose.grams;
  });
  return { products, tools, priceMinor, unpriced: [...new Set(unpriced)] };
}

/** Whether something of a plan runs short, or is past its day. */
export const isShort = ({ products, tools }: ShelfCheck): boolean =>
  products.some(({ shortG, isPast }) => shortG > 0 || isPast) || tools.some(({ short }) => short > 0);
