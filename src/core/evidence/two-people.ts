import { compared } from '../coefficients/evidence';
import { ratersTable, weightedKappa } from '../stats/agreement';
import { RATING_IDS, type RatingId, type Ratings } from '../wear/rating-scales';

/** One day of a style that two people rated. */
export interface RatedPair {
  readonly setId: string;
  readonly first: { readonly by: string; readonly ratings: Ratings };
  readonly second: { readonly by: string; readonly ratings: Ratings };
}

/** How far two people are apart on one scale. */
export interface ScaleAgreement {
  readonly scale: RatingId;
  readonly pairs: number;
  /** Points that the second gives more. */
  readonly offset: number;
  /** What is left between them once that is taken off. */
  readonly typicalGap: number;
  /** Of points, and of four bands; null under ten pairs, or where there is no spread to judge. */
  readonly absolute: number | null;
  readonly kappa: number | null;
  readonly reading: 'few' | 'no-spread' | 'not-yet' | 'usable' | 'good';
}

/** Two people who rated the same days. */
export interface TwoPeople {
  readonly first: string;
  readonly second: string;
  readonly setIds: readonly string[];
  /** Furthest apart first. */
  readonly scales: readonly ScaleAgreement[];
}

/** Bands of a scale that its anchors stand for: 0–2, 3–5, 6–8, 9–10. */
const BANDS = [3, 6, 9] as const;
const bandOf = (value: number): number => BANDS.filter((from) => value >= from).length;

function agreementOf(scale: RatingId, pairs: readonly (readonly [number, number])[]): ScaleAgreement {
  const c = compared.value;
  const offset = pairs.reduce((sum, [a, b]) => sum + b - a, 0) / pairs.length;
  const table = pairs.length > 1 ? ratersTable(pairs) : null;
  const isEnough = pairs.length >= c.fewestPairs;
  const counts = Array.from({ length: BANDS.length + 1 }, (_, i) =>
    Array.from(
      { length: BANDS.length + 1 },
      (__, j) => pairs.filter(([a, b]) => bandOf(a) === i && bandOf(b) === j).length,
    ),
  );
  const absolute = isEnough ? (table?.absolute ?? null) : null;
  return {
    scale,
    pairs: pairs.length,
    offset,
    typicalGap: table?.typicalGap ?? Math.abs(offset),
    absolute,
    kappa: isEnough ? weightedKappa(counts, (i, j) => (i - j) ** 2) : null,
    reading: !isEnough
      ? 'few'
      : absolute === null
        ? 'no-spread'
        : absolute < c.notYet
          ? 'not-yet'
          : absolute > c.good
            ? 'good'
            : 'usable',
  };
}

/**
 * How far apart people are who rated the same days, two by two. Names come in alphabetical order.
 *
 * @source evidence §8
 */
export function twoPeople(rated: readonly RatedPair[]): TwoPeople[] {
  const groups = new Map<
    string,
    { names: readonly [string, string]; rows: { setId: string; a: Ratings; b: Ratings }[] }
  >();
  for (const { setId, first, second } of rated) {
    const isInOrder = first.by < second.by;
    const [a, b] = isInOrder ? [first, second] : [second, first];
    const key = `${a.by}|${b.by}`;
    const own = groups.get(key) ?? { names: [a.by, b.by] as const, rows: [] };
    own.rows.push({ setId, a: a.ratings, b: b.ratings });
    groups.set(key, own);
  }
  return [...groups.values()]
    .map(({ names, rows }): TwoPeople => ({
      first: names[0],
      second: names[1],
      setIds: [...new Set(rows.map(({ setId }) => setId))],
      scales: RATING_IDS.flatMap((scale) => {
        const pairs = rows.flatMap(({ a, b }) => {
          const [x, y] = [a[scale], b[scale]];
          return x !== undefined && y !== undefined ? [[x, y] as const] : [];
        });
        return pairs.length > 0 ? [agreementOf(scale, pairs)] : [];
      }).sort((x, y) => Math.abs(y.offset) - Math.abs(x.offset)),
    }))
    .sort((x, y) => y.setIds.length - x.setIds.length);
}
