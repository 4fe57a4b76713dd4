import { coefficients, type CoefficientTable, type Source } from '../coefficients/coefficient';

/** What each number of a technique means, and its unit. */
const MEANING = {
  ropes: ['–', 'ropes a section is parted into'],
  packing: ['–', 'packing fraction of dry, released hair'],
  retentionCap: ['–', 'best share of the set that stays'],
  installMin: ['min', 'putting one in, whatever its length'],
  installMinPerCm: ['min/cm', 'each cm of its length'],
  installPower: ['–', 'growth of that time with hair per section'],
  takedownMin: ['min', 'undoing one, whatever its length'],
  takedownMinPerCm: ['min/cm', 'each cm undone'],
  medianDays: ['days', 'first takedown to given up'],
  lnDaysSd: ['sd of ln days', 'spread of that'],
  definition: ['points', 'definition against a middling set'],
  frizz: ['points', 'frizz against a middling set'],
  volume: ['points', 'volume against a middling set'],
  opening: [
    '–',
    'opening kept from taking it out, sliding, separating and fluffing, over what its curl resists with',
  ],
  shortestCm: ['cm', 'shortest hair that holds it'],
  longestCm: ['cm', 'longest hair it is done on'],
  tension: ['points', 'how much putting it in and undoing it pulls, of ten'],
} as const;

export type TechniqueNumber = keyof typeof MEANING;

/** Value, plausible low and high, and source of each number of a technique; units and meaning are the same for all. */
export function techniqueCoefficients(
  rows: Readonly<
    Record<TechniqueNumber, readonly [value: number, low: number, high: number, source: Source]>
  >,
): CoefficientTable<TechniqueNumber> {
  const keys = Object.keys(MEANING) as TechniqueNumber[];
  return coefficients(
    Object.fromEntries(
      keys.map((key) => {
        const [value, low, high, source] = rows[key];
        const [unit, note] = MEANING[key];
        return [key, [value, unit, low, high, source, note] as const];
      }),
    ) as unknown as Parameters<typeof coefficients<TechniqueNumber>>[0],
  );
}
