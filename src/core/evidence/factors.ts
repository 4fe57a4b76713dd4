import type { SetEvidence } from './set-evidence';

/** Something that is chosen, or that happens, and may make the difference. */
export interface Factor {
  readonly id: string;
  /** What it is called as a question: "night care". */
  readonly label: string;
  /** More of it, and less of it, by one step that a stylist would take. */
  readonly more: string;
  readonly less: string;
  /** That step, in the unit of `read`. */
  readonly step: number;
  readonly read: (seen: SetEvidence) => number | null;
  /** It is also how one plans: it may show how sets are chosen, and not what it does. */
  readonly isAlsoPlanning: boolean;
  /** Two halves of one head can differ in it. */
  readonly canBeHalved: boolean;
  /** The two hold products that are told apart, by key; null for anything else. */
  readonly products: readonly [string, string] | null;
}

/** One row a factor. */
const FACTORS: readonly Factor[] = [
  {
    id: 'sections',
    label: 'section count',
    more: 'a third more sections',
    less: 'a quarter fewer sections',
    step: Math.log(4 / 3),
    read: ({ factors }) => Math.log(factors.sections),
    isAlsoPlanning: false,
    canBeHalved: false,
    products: null,
  },
  {
    id: 'start',
    label: 'how wet it is begun',
    more: 'begun a step wetter',
    less: 'begun a step drier',
    step: 1,
    read: ({ factors }) => factors.startState,
    isAlsoPlanning: false,
    canBeHalved: false,
    products: null,
  },
  {
    id: 'night',
    label: 'night care',
    more: 'every night kept',
    less: 'no night kept',
    step: 1,
    read: ({ factors }) => factors.nightShare,
    isAlsoPlanning: false,
    canBeHalved: false,
    products: null,
  },
  {
    id: 'dew-point',
    label: 'damp air',
    more: 'damper air',
    less: 'drier air',
    step: 5,
    read: ({ factors }) => factors.dewPointC,
    isAlsoPlanning: true,
    canBeHalved: false,
    products: null,
  },
  {
    id: 'dryness',
    label: 'dryness at takedown',
    more: 'dry to the root at takedown',
    less: 'taken down less surely dry',
    step: 0.4,
    read: ({ factors }) => factors.chanceDry,
    isAlsoPlanning: true,
    canBeHalved: false,
    products: null,
  },
  {
    id: 'dose',
    label: 'how much product',
    more: 'a quarter more product',
    less: 'a quarter less product',
    step: 0.25,
    read: ({ factors }) => factors.doseRatio,
    isAlsoPlanning: false,
    canBeHalved: true,
    products: null,
  },
];

/** What names a hold product: its place on the shelf, or its role. */
export const holdKey = ({ factors: { hold } }: SetEvidence): string | null =>
  hold && (hold.productId ?? hold.role);

/**
 * The factors of a log: those that are always there, and each hold product against the one that is used most.
 *
 * @param nameOf a hold product by its key
 */
export function factorsOf(seen: readonly SetEvidence[], nameOf: (key: string) => string): Factor[] {
  const uses = new Map<string, number>();
  for (const one of seen) {
    const key = holdKey(one);
    if (key !== null) uses.set(key, (uses.get(key) ?? 0) + 1);
  }
  const byUse = [...uses].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1)).map(([key]) => key);
  const [usual, ...others] = byUse;
  return [
    ...FACTORS,
    ...(usual === undefined
      ? []
      : others.map((key): Factor => ({
          id: `hold:${key}`,
          label: `${nameOf(key)} or ${nameOf(usual)}`,
          more: `${nameOf(key)} rather than ${nameOf(usual)}`,
          less: `${nameOf(usual)} rather than ${nameOf(key)}`,
          step: 1,
          read: (one) => {
            const own = holdKey(one);
            return own === null ? null : Number(own === key);
          },
          isAlsoPlanning: false,
          canBeHalved: true,
          products: [key, usual],
        }))),
  ];
}
