/** Ids of what hands measure with. */
export const HAND_UNIT_IDS = ['dime', 'pump', 'foam-pump', 'teaspoon'] as const;
export type HandUnitId = (typeof HAND_UNIT_IDS)[number];

/** What hands measure with. One row a unit; grams are common practice until a stylist weighs their own. */
export interface HandUnit {
  readonly noun: readonly [string, string];
  /** Grams of one, or millilitres where the product's density decides. */
  readonly per: { readonly grams: number } | { readonly millilitres: number };
  /** From this many on nobody counts: the larger unit that is taken then. */
  readonly upTo?: { readonly count: number; readonly then: HandUnitId };
}

export const handUnits: Readonly<Record<HandUnitId, HandUnit>> = {
  dime: { noun: ['dime', 'dimes'], per: { grams: 1 }, upTo: { count: 12, then: 'teaspoon' } },
  pump: { noun: ['pump', 'pumps'], per: { grams: 1.8 } },
  'foam-pump': { noun: ['foam pump', 'foam pumps'], per: { grams: 1.2 } },
  teaspoon: { noun: ['teaspoon', 'teaspoons'], per: { millilitres: 4.92892 } },
};

/** Grams of one of each unit as a stylist weighed them; a unit left out is as usual. */
export type WeighedUnits = Partial<Readonly<Record<HandUnitId, number>>>;

/**
 * Grams of one hand unit of a product.
 *
 * @param gramsPerMl density of the product
 * @source the US teaspoon is 4.92892 ml (NIST Handbook 44, appendix C); pumps and dimes are common practice
 */
export function handUnitG(unit: HandUnitId, gramsPerMl: number, weighed: WeighedUnits = {}): number {
  const grams = weighed[unit];
  if (grams !== undefined) return grams;
  const { per } = handUnits[unit];
  return 'grams' in per ? per.grams : per.millilitres * gramsPerMl;
}
