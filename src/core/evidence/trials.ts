import { grouped } from '../grouped';
import { productRoles } from '../products';
import { listed } from '../words/words';
import type { LearntSet } from './learning';
import type { WayLayer } from './set-evidence';
import { nextIsALeft, trialVerdict, type TrialSet, type TrialVerdict } from './trial';

/** A half-head set of a trial, as it was worn. */
export interface WornTrial extends TrialSet {
  readonly setId: string;
  readonly startedAtMs: number;
}

/** Two ways that were worn side by side on one head, set after set. */
export interface Trial {
  readonly key: string;
  readonly headId: string;
  readonly a: string;
  readonly b: string;
  readonly aLayers: readonly WayLayer[];
  readonly bLayers: readonly WayLayer[];
  readonly sets: readonly WornTrial[];
  readonly verdict: TrialVerdict;
  /** The side that A goes on next, where it is not left to a coin. */
  readonly nextIsALeft: boolean | null;
}

/** What names a way: its products, or roles where no product is told. */
export const wayKey = (layers: readonly WayLayer[]): string =>
  layers
    .map(
      ({ productId, role, grams }) => `${productId ?? role}${grams === null ? '' : `:${Math.round(grams)}`}`,
    )
    .sort()
    .join('+');

/** A way in words. @param productName a product by its id; null where it is gone */
export function wayWords(layers: readonly WayLayer[], productName: (id: string) => string | null): string {
  if (layers.length === 0) return 'nothing more';
  return listed(
    layers.map(
      ({ productId, role }) =>
        (productId && productName(productId)) || productRoles[role].label.toLowerCase(),
    ),
  );
}

/**
 * Trials of a studio: half-head sets of the same two ways on the same head belong together. A is what lay on the left the
 * first time.
 *
 * @param noticeable points that this studio notices
 */
export function trialsOf(
  sets: readonly LearntSet[],
  noticeable: number,
  productName: (id: string) => string | null,
): Trial[] {
  const waysOf = ({ seen: { halves } }: LearntSet) =>
    halves ? [wayKey(halves.left), wayKey(halves.right)].sort() : [];
  const halved = sets
    .filter((set) => new Set(waysOf(set)).size > 1)
    .sort((x, y) => x.startedAtMs - y.startedAtMs);
  const groups = grouped(halved, (set) => [set.headId, ...waysOf(set)].join('|'));
  return [...groups].map(([key, own]): Trial => {
    const first = own[0]!.seen.halves!;
    const aKey = wayKey(first.left);
    const worn = own.map(({ id, startedAtMs, seen }): WornTrial => {
      const halves = seen.halves!;
      const isALeft = wayKey(halves.left) === aKey;
      return {
        setId: id,
        startedAtMs,
        isALeft,
        pairs: halves.pairs.map(({ day, left, right }) => ({
          day,
          a: isALeft ? left : right,
          b: isALeft ? right : left,
        })),
        gaveUpFirst: halves.gaveUpFirst && ((halves.gaveUpFirst === 'left') === isALeft ? 'a' : 'b'),
      };
    });
    const sides = worn.map(({ isALeft }) => isALeft);
    return {
      key,
      headId: own[0]!.headId,
      a: wayWords(first.left, productName),
      b: wayWords(first.right, productName),
      aLayers: first.left,
      bLayers: first.right,
      sets: worn,
      verdict: trialVerdict(worn, noticeable),
      nextIsALeft: sides.length % 2 === 0 ? null : nextIsALeft(sides, true),
    };
  });
}
