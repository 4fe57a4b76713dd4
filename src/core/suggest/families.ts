import type { TechniqueId } from '../techniques';

/** How a technique is alike to others: what it does to the hair, and in which steps its count is tried. */
export interface Family {
  readonly techniques: readonly TechniqueId[];
  /** Counts that are tried, over what is usual on this head. */
  readonly countShares: readonly number[];
  /** Of them, those that the first answer looks at. */
  readonly firstShares: readonly number[];
}

/** Techniques by kind (common practice). */
export const families = {
  ropes: {
    techniques: ['two-strand-twist', 'double-two-strand-twist', 'three-strand-twist', 'braid', 'braid-with-rods', 'bantu-knot'],
    countShares: [0.33, 0.5, 0.75, 1, 1.35, 1.8],
    firstShares: [0.75, 1, 1.35],
  },
  flat: { techniques: ['flat-twist'], countShares: [0.7, 1, 1.4], firstShares: [1] },
  wound: {
    techniques: ['rod-set', 'flexible-rod-set', 'spiral-former'],
    countShares: [0.7, 0.85, 1, 1.35],
    firstShares: [0.85, 1.35],
  },
  coils: {
    techniques: ['finger-coil', 'comb-coil', 'shingling'],
    countShares: [0.5, 0.65, 0.8, 1, 1.35],
    firstShares: [0.65, 1],
  },
} as const satisfies Readonly<Record<string, Family>>; // prettier-ignore

export type FamilyId = keyof typeof families;
const FAMILY_IDS = Object.keys(families) as FamilyId[];

const OF_TECHNIQUE = new Map<TechniqueId, FamilyId>(
  FAMILY_IDS.flatMap((id) => families[id].techniques.map((technique) => [technique, id] as const)),
);

/** The family of a technique. */
export const familyOf = (technique: TechniqueId): FamilyId => OF_TECHNIQUE.get(technique)!;
