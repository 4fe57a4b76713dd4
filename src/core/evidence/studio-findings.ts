import { differenceOf, type Difference, type DifferenceOutcome } from './difference';
import { isEnoughForCurve, lastingOf, type Lasting, type LastingGroup } from './lasting';
import type { Learning, LearntSet } from './learning';
import { BAND_KINDS, bandRightness, dryRightness, type BandRightness, type DryRightness } from './rightness';
import { trialsOf, type Trial } from './trials';
import { twoPeople, type RatedPair, type TwoPeople } from './two-people';

/** Everything that a studio's log says, with the sets it rests on. */
export interface StudioFindings {
  readonly sets: number;
  readonly heads: number;
  /** When the first of them was begun; null without any. */
  readonly sinceMs: number | null;
  readonly lasting: readonly Lasting[];
  readonly trials: readonly Trial[];
  readonly bands: readonly BandRightness[];
  readonly dry: DryRightness;
  readonly people: readonly TwoPeople[];
}

/** What findings are made of. */
export interface FindingsSource {
  readonly sets: readonly LearntSet[];
  readonly noticeable: number;
  /** A product by its id; null where it is gone. */
  readonly productName: (id: string) => string | null;
  readonly rated: readonly RatedPair[];
}

/** A hold product, or the role it stands for, in words. */
export const holdName =
  (productName: FindingsSource['productName']) =>
  (key: string): string =>
    productName(key) ?? key.replaceAll('-', ' ');

const shownGroup = (group: LastingGroup): LastingGroup => ({
  ...group,
  setIds: [],
  values: isEnoughForCurve(group) ? [] : group.values,
});

/** Everything but what made the difference, which takes longer. */
export function studioFindings({ sets, noticeable, productName, rated }: FindingsSource): StudioFindings {
  return {
    sets: sets.length,
    heads: new Set(sets.map(({ headId }) => headId)).size,
    sinceMs:
      sets.length === 0
        ? null
        : sets.reduce((least, { startedAtMs }) => Math.min(least, startedAtMs), Infinity),
    lasting: lastingOf(sets, holdName(productName)),
    trials: trialsOf(sets, noticeable, productName),
    bands: BAND_KINDS.map((kind) => bandRightness(kind, sets)),
    dry: dryRightness(sets),
    people: twoPeople(rated),
  };
}

/**
 * Findings as a screen needs them: no list of all sets, but the newest forecasts that are drawn, and days one by one where
 * there are too few for a curve.
 */
export const asShown = (findings: StudioFindings, mostDrawn: number): StudioFindings => ({
  ...findings,
  lasting: findings.lasting.map((one) => {
    const groups = one.groups.map(shownGroup);
    const { comparison } = one;
    return {
      ...one,
      groups,
      comparison: comparison && {
        ...comparison,
        a: shownGroup(comparison.a),
        b: shownGroup(comparison.b),
      },
    };
  }),
  bands: findings.bands.map((band) => ({ ...band, sets: band.sets.slice(-mostDrawn) })),
  dry: { ...findings.dry, chances: [] },
});

/** What made the difference to how long sets last, and to how defined they come out. */
export const DIFFERENCE_OUTCOMES: readonly DifferenceOutcome[] = ['days', 'definition'];
export const differencesOf = (
  sets: readonly LearntSet[],
  spreads: Pick<Learning['spreads'], DifferenceOutcome>,
  productName: FindingsSource['productName'],
): Difference[] =>
  DIFFERENCE_OUTCOMES.map((outcome) => differenceOf(sets, outcome, spreads[outcome], holdName(productName)));
